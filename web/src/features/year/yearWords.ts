import type { YearOfDish } from '@tender-gill/contract'
import { nameMonth } from '../../reader/index.ts'
import { joinWords } from '../../parts/dishWords.ts'

interface Run {
  readonly leader: string | null
  /** Months, 1..12. */
  readonly from: number
  readonly to: number
}

/** Months one after another with the same leader; a run may go over the turn of the year. */
export function listRuns(
  months: readonly { readonly month: number; readonly leader: { readonly common: string } | null }[],
): readonly Run[] {
  const runs: Run[] = []
  for (const { month, leader } of months) {
    const last = runs.at(-1)
    if (last && last.leader === (leader?.common ?? null)) runs[runs.length - 1] = { ...last, to: month }
    else runs.push({ leader: leader?.common ?? null, from: month, to: month })
  }
  const [first, ...rest] = runs
  const last = rest.at(-1)
  return first && last && first.leader === last.leader ? [...rest.slice(0, -1), { ...last, to: first.to }] : runs
}

const describeRun = ({ leader, from, to }: Run): string =>
  `${leader ?? 'nobody'} ${from === to ? `in ${nameMonth(from)}` : `from ${nameMonth(from)} to ${nameMonth(to)}`}`

/** Fits this close are alike. */
const ALIKE = 1
/** Whether a month is among the best of a year; none is where all are alike. */
export function isAmongBest(fits: readonly (number | null)[], fit: number | null): boolean {
  const known = fits.flatMap((one) => one ?? [])
  const most = Math.max(...known)
  const allAlike = known.length === fits.length && most - Math.min(...known) <= ALIKE
  return fit !== null && !allAlike && most - fit <= ALIKE
}

/** More best months than this are most of the year. */
const MOST_BEST = 6
const describeMonths = ({ from, to }: Run): string =>
  from === to ? `in ${nameMonth(from)}` : `from ${nameMonth(from)} to ${nameMonth(to)}`

/** When the dish is at its best, as people say it. */
export function describeBest({ months }: Pick<YearOfDish, 'months'>): string {
  const fits = months.map(({ best }) => best)
  if (fits.every((fit) => fit === null)) return 'No fish can do it in any month'
  const runs = listRuns(months.map(({ month, best }) => ({ month, leader: isAmongBest(fits, best) ? { common: 'best' } : null })))
  const good = runs.filter(({ leader }) => leader !== null)
  if (good.length === 0) return 'As good in any month'
  const isGood = (fit: number | null) => isAmongBest(fits, fit)
  // Where most months are good, the others are the news.
  if (fits.filter(isGood).length > MOST_BEST && fits.every((fit) => fit !== null))
    return `Good all year, less so ${joinWords(runs.filter(({ leader }) => leader === null).map(describeMonths))}`
  return `Best ${joinWords(good.map(describeMonths))}`
}

/** Who comes first when, as people say it. */
export function describeYear({ months }: Pick<YearOfDish, 'months'>): string {
  const runs = listRuns(months)
  const [only] = runs
  if (runs.length === 1) return only?.leader ? `${only.leader}, all the year round` : 'No fish can do it in any month'
  const words = joinWords(runs.map(describeRun))
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}`
}
