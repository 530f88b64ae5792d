import type { LookBack } from '@tender-gill/contract'
import { toDayNumber } from '@tender-gill/core'
import { formatMass, formatMoney } from '../../reader/index.ts'

/** One thing that came otherwise than was expected, out of a hundred of what was expected. */
export interface Against {
  readonly day: number
  readonly ofHundred: number
  readonly name: string
}
const against = (day: string, value: number, expected: number, name: string): readonly Against[] =>
  expected > 0 ? [{ day: toDayNumber(day), ofHundred: Math.round((1000 * value) / expected) / 10, name }] : []

export const pricesAgainst = ({ prices }: Pick<LookBack, 'prices'>): readonly Against[] =>
  prices.flatMap(({ day, perKg, expectedPerKg, common, merchant }) =>
    against(day, perKg, expectedPerKg, merchant === null ? common : `${common}, ${merchant}`),
  )
export const yieldsAgainst = ({ yields }: Pick<LookBack, 'yields'>): readonly Against[] =>
  yields.flatMap(({ day, share, book, common }) => against(day, share, book.typical, common))
export const minutesAgainst = ({ minutes: list }: Pick<LookBack, 'minutes'>): readonly Against[] =>
  list.flatMap(({ day, minutes, sheet, dish }) => against(day, minutes, sheet.typical, dish))

const median = (values: readonly number[]): number | undefined => {
  const sorted = [...values].sort((a, b) => a - b)
  const at = (sorted.length - 1) / 2
  const [low, high] = [sorted[Math.floor(at)], sorted[Math.ceil(at)]]
  return low === undefined || high === undefined ? undefined : (low + high) / 2
}

/** "Usually 4 of 100 more than expected, over 31": what a chart comes to, in words. */
export function sayAgainst(
  points: readonly Against[],
  { more, less, what }: { readonly more: string; readonly less: string; readonly what: string },
): string {
  const middle = median(points.map(({ ofHundred }) => ofHundred))
  if (middle === undefined) return `No ${what} in this time.`
  const off = Math.round(Math.abs(middle - 100))
  const over = `over ${points.length} ${what}`
  return off < 1 ? `Usually just as expected, ${over}.` : `Usually ${off} of 100 ${middle > 100 ? more : less}, ${over}.`
}

const count = (n: number, one: string, many: string): string => `${n} ${n === 1 ? one : many}`

/** What the time came to, in a line. */
export function sayServices({ services: { dishes, again, notAgain, portionsBack } }: Pick<LookBack, 'services'>): string {
  if (dishes === 0) return 'No dish was written down in this time.'
  const back = portionsBack === 0 ? 'nothing came back' : `${count(portionsBack, 'portion', 'portions')} came back`
  return `${count(dishes, 'dish', 'dishes')} written down: ${again} would be taken again, ${notAgain} not; ${back}.`
}

/** What went where, and what the rest saved. */
export function sayFish({ fish, saved }: Pick<LookBack, 'fish' | 'saved'>): string {
  const sum = (key: 'usedG' | 'thrownG' | 'restG') => fish.reduce((all, month) => all + month[key], 0)
  const [used, thrown, rest] = [sum('usedG'), sum('thrownG'), sum('restG')]
  if (used + thrown + rest === 0) return 'Nothing is written of where fish went.'
  const share = used + thrown === 0 ? '' : `, ${Math.round((100 * thrown) / (used + thrown))} of 100,`
  const credit = saved.map(({ currency, amount }) => formatMoney(amount, currency)).join(' and ')
  const whole = `${formatMass(thrown)}${share} of what was kept over was thrown away.`
  return rest === 0
    ? whole
    : `${whole} ${formatMass(rest)} of the rest went into something else${credit === '' ? '' : `: ${credit} saved`}.`
}
