import type { Brief, MonthOfDish, OfferSheet, Result, YearOfDish } from '@tender-gill/contract'
import type { LineUp, Problem } from '../facts/index.ts'
import { createBoard, knowsTheYear, rankBoard } from '../lineUp/index.ts'
import { midMonth } from '../market/index.ts'

/** Draws a month: enough to tell a fifth from a quarter, twelve times over. */
const DRAWS_A_MONTH = 400
/** Fish that are drawn as a band of their own; the rest come first too seldom to be seen. */
const MOST_FISH = 6
const MONTHS = Array.from({ length: 12 }, (_, i) => i + 1)

export interface YearOptions {
  readonly today: string
  /** A fish that is told of in any case, by its accepted name. */
  readonly taken?: string
}

interface Ranked {
  readonly month: number
  readonly date: string
  readonly ranked: LineUp['ranked']
}

/** Fish by how often they come first over the whole year, and the one that is taken. */
function listFish(ranked: readonly Ranked[], taken: string | undefined): YearOfDish['fish'] {
  const sums = new Map<string, { readonly common: string; readonly sum: number }>()
  for (const month of ranked)
    for (const { species, common, firstShare } of month.ranked)
      if (firstShare > 0) sums.set(species, { common, sum: (sums.get(species)?.sum ?? 0) + firstShare })
  const leaders = [...sums]
    .sort(([a, { sum: x }], [b, { sum: y }]) => y - x || (a < b ? -1 : 1))
    .slice(0, MOST_FISH)
    .map(([species, { common }]) => ({ species, common }))
  const row = ranked.flatMap((month) => month.ranked).find(({ species }) => species === taken)
  if (!row || leaders.some(({ species }) => species === taken)) return leaders
  return [...leaders, { species: row.species, common: row.common }]
}

function describeMonth({ month, date, ranked }: Ranked, fish: YearOfDish['fish']): MonthOfDish {
  const first = ranked.reduce<LineUp['ranked'][number] | undefined>(
    (best, row) => (best && best.firstShare >= row.firstShare ? best : row),
    undefined,
  )
  return {
    month,
    date,
    able: ranked.length,
    leader: first ? { species: first.species, common: first.common, fit: first.fit, firstShare: first.firstShare } : null,
    shares: fish.map(({ species }) => ranked.find((row) => row.species === species)?.firstShare ?? 0),
    best: ranked[0]?.fit ?? null,
    fits: fish.map(({ species }) => ranked.find((row) => row.species === species)?.fit ?? null),
  }
}

/**
 * A dish over the year: the line-up in the middle of every month, on the same sheet and with the same seed; yields how many months are done.
 * @returns the year, or every problem of the brief with its place
 */
export function* stepYearOfDish(
  brief: Brief,
  sheet: OfferSheet,
  { today, taken }: YearOptions,
): Generator<number, Result<YearOfDish, readonly Problem[]>> {
  const now = createBoard(brief, sheet, today)
  if (!now.ok) return now
  const ranked: Ranked[] = []
  for (const month of MONTHS) {
    yield ranked.length
    const date = midMonth(now.value.brief.date, month)
    const board = createBoard({ ...brief, date, draws: DRAWS_A_MONTH, allOffers: false }, sheet, today)
    ranked.push({ month, date, ranked: board.ok ? rankBoard(board.value, sheet, { leftOut: false }).ranked : [] })
  }
  const fish = listFish(ranked, taken)
  const months = ranked.map((month) => describeMonth(month, fish))
  return {
    ok: true,
    value: {
      fish,
      months,
      known: knowsTheYear(brief, now.value.brief, sheet),
    },
  }
}

/** The year in one go. */
export function findYearOfDish(brief: Brief, sheet: OfferSheet, options: YearOptions): Result<YearOfDish, readonly Problem[]> {
  const steps = stepYearOfDish(brief, sheet, options)
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
  }
}
