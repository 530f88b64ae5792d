import type { EntryLine, LearnEvent } from '@tender-gill/contract'

/** What a line teaches; nothing where it is set aside, or says too little. */
export function toLearnEvents(lines: readonly EntryLine[]): readonly LearnEvent[] {
  return lines.flatMap(({ entry, setAside }): readonly LearnEvent[] => {
    if (setAside) return []
    const { offerId, merchant } = entry
    switch (entry.kind) {
      case 'served':
        return offerId !== null && Object.keys(entry.notes).length > 0 ? [{ kind: 'cooked', offerId, notes: entry.notes }] : []
      case 'weighed': {
        const { form, boughtAs, boughtG, edibleG } = entry
        // A weight that cannot be teaches nothing: a slip in a book that was brought in must not stand in the way of the rest.
        return offerId !== null && form !== null && edibleG < boughtG ? [{ kind: 'yield', offerId, form, boughtAs, boughtG, edibleG }] : []
      }
      case 'bought':
        return merchant !== null && entry.state !== 'ordered' ? [{ kind: 'delivered', merchant, asOrdered: entry.state === 'bought' }] : []
      case 'looked':
        return merchant !== null && entry.iceDays ? [{ kind: 'arrived', merchant, iceDays: entry.iceDays.typical }] : []
      case 'swapped': {
        const { method, missing, standIn, worked } = entry
        return method !== null && worked !== null ? [{ kind: 'swap', method, missing, standIn, worked }] : []
      }
      default:
        return []
    }
  })
}
