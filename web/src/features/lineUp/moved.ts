import type { LineUp, RankedFish } from '@tender-gill/contract'

/** A place in words: 1st, 2nd, 11th. */
export const ordinal = (n: number): string => {
  const tens = n % 100
  const end = tens > 10 && tens < 14 ? 'th' : (['th', 'st', 'nd', 'rd'][n % 10] ?? 'th')
  return `${n}${end}`
}
const placeOf = (rows: readonly RankedFish[], species: string): number => rows.findIndex((row) => row.species === species) + 1

/**
 * What a change of the brief did to the order, in one sentence: who leads now, where the former leader went, how many more or fewer can.
 * @param changed what was changed, in words   @returns null where nothing was
 */
export function describeMoved(changed: readonly string[], before: LineUp, after: LineUp): string | null {
  if (changed.length === 0) return null
  const [was] = before.ranked
  const [is] = after.ranked
  const said = `${changed.slice(0, 2).join(', ')}${changed.length > 2 ? ' and more' : ''}`
  const cause = `${said.charAt(0).toUpperCase()}${said.slice(1)}`
  const more = after.ranked.length - before.ranked.length
  const count = more === 0 ? '' : more > 0 ? `; ${more} more can do it` : `; ${-more} fewer can do it`
  if (!is) return `${cause}: nobody can do it any more.`
  if (!was) return `${cause}: ${is.common} first${count}.`
  if (is.species !== was.species) {
    const fell = placeOf(after.ranked, was.species)
    const out = after.leftOut.find(({ species }) => species === was.species)
    const gone =
      fell > 0 ? `${was.common} fell to ${ordinal(fell)}` : `${was.common} is left out${out ? `: ${out.sentence.replace(/\.$/, '')}` : ''}`
    return `${cause}: ${is.common} now first; ${gone}${count}.`
  }
  const climbed = after.ranked
    .slice(0, 8)
    .map((row, i) => ({ row, place: i + 1, was: placeOf(before.ranked, row.species) }))
    .filter(({ place, was: old }) => old === 0 || old - place >= 3)[0]
  const climb = climbed ? `; ${climbed.row.common} ${climbed.was === 0 ? 'comes in' : 'climbed'} to ${ordinal(climbed.place)}` : ''
  return `${cause}: ${is.common} still first${climb}${count}.`
}
