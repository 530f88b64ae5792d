import type { Entry } from '@tender-gill/contract'

/** How an entry turned out: well, badly, or neither. */
export function findOutcome(entry: Entry): 'good' | 'bad' | null {
  switch (entry.kind) {
    case 'bought':
      return entry.state === 'bought' ? 'good' : entry.state === 'ordered' ? null : 'bad'
    case 'looked':
      return entry.outcome === 'buy' ? 'good' : entry.refused || entry.outcome === 'walk-away' ? 'bad' : null
    case 'kept':
      return entry.end === 'thrown' ? 'bad' : 'good'
    case 'cooked':
      return entry.done === null ? null : entry.done === 'right' ? 'good' : 'bad'
    case 'served':
      if (entry.again === false || entry.bones === 'many') return 'bad'
      return entry.again ? 'good' : null
    case 'came-back':
      return 'bad'
    case 'swapped':
      return entry.worked === null ? null : entry.worked ? 'good' : 'bad'
    default:
      return null
  }
}
