import type { Method } from '@tender-gill/contract'
import { say, type Cook } from '../facts/index.ts'
import type { Fact } from '@tender-gill/contract'
import type { CookPlace } from '../tables/cookMedia.ts'
import { PLATING_MIN, PORTIONS_AT_A_TIME, SHARED_OVEN_K, SLACK_MIN, TOUCH_MIN } from '../tables/kitchenRun.ts'

export type RunPlace = CookPlace | 'hand'
export type Places = Readonly<Record<RunPlace, number>>

/** A dish that has to be on the table at a minute, with how it is cooked. */
export interface RunDish {
  readonly id: string
  readonly dish: string
  readonly method: Method
  readonly covers: number
  /** Minutes after midnight. */
  readonly serveAtMin: number
  readonly cook: Pick<Cook, 'stages' | 'pull' | 'total'>
  /** Work until it is ready for the pan, min; it may be done at any time before, and holds nobody up. */
  readonly prepareMin?: number
}

/** Something that is held for a while: a place, or a hand. Minutes after midnight. */
interface Held {
  readonly place: RunPlace
  readonly fromMin: number
  readonly toMin: number
  readonly units: number
  readonly celsius: number | null
}

/** One thing that is done. */
export interface RunTask {
  readonly kind: 'prepare' | 'stage' | 'turn' | 'out' | 'serve'
  /** Which batch, from 1; all of it in the last where it fits at once. */
  readonly batch: number
  /** Minutes after midnight. */
  readonly atMin: number
  /** Which stage of the dish. */
  readonly stage: number
}
export interface RunRow {
  readonly id: string
  /** How much earlier than its moment it is ready, min. */
  readonly shiftMin: number
  readonly startMin: number
  readonly outMin: number
  readonly tasks: readonly RunTask[]
  /** Batches that it takes where it does not fit at once. */
  readonly batches: number
}
/** Two dishes that want the same place at once, however they are moved. */
export interface RunClash {
  readonly place: RunPlace
  readonly dishes: readonly string[]
  readonly fromMin: number
  readonly toMin: number
  readonly sentence: Fact
}
export interface RunPlan {
  /** Whether the least shift is proved, or the search was left. */
  readonly status: 'optimal' | 'left'
  readonly rows: readonly RunRow[]
  readonly clashes: readonly RunClash[]
}

const isPlace = (place: string | null): place is CookPlace => place !== null && place in PORTIONS_AT_A_TIME

/** What a dish does when it is ready just in time. */
interface Laid {
  readonly dish: RunDish
  readonly slackMin: number
  readonly startMin: number
  readonly outMin: number
  readonly tasks: readonly RunTask[]
  readonly held: readonly Held[]
  readonly batches: number
}

/** Units of a place a dish wants, and in how many batches it goes where the kitchen has not that many. */
function fit(place: CookPlace, covers: number, places: Places): { readonly units: number; readonly batches: number } {
  const wanted = Math.ceil(covers / PORTIONS_AT_A_TIME[place])
  const units = Math.min(wanted, Math.max(1, places[place]))
  return { units, batches: Math.ceil(wanted / units) }
}

function layDish(dish: RunDish, places: Places): Laid {
  const { stages, total, pull } = dish.cook
  const { prepareMin = 0 } = dish
  const heated = stages.filter(({ rest }) => !rest)
  const fits = heated.map(({ place }) => (isPlace(place) ? fit(place, dish.covers, places) : { units: 1, batches: 1 }))
  const batches = Math.max(1, ...fits.map(({ batches: own }) => own))
  // The last batch is ready just in time; those before it went in one after the other.
  const lastMin = dish.serveAtMin - PLATING_MIN - total.typical
  const starts = Array.from({ length: batches }, (_, i) => lastMin - (batches - 1 - i) * pull.minutes.typical)
  const [startMin = lastMin] = starts
  const tasks: RunTask[] = starts.flatMap((at, i): RunTask[] => [
    ...heated.map(({ fromMinutes, turned }, stage): RunTask => ({
      kind: turned ? 'turn' : 'stage',
      atMin: at + fromMinutes,
      stage,
      batch: i + 1,
    })),
    { kind: 'out', atMin: at + pull.minutes.typical, stage: heated.length, batch: i + 1 },
  ])
  const touched = tasks.map(({ atMin }) => ({ place: 'hand' as const, fromMin: atMin, toMin: atMin + TOUCH_MIN, units: 1, celsius: null }))
  const held = starts.flatMap((at) =>
    heated.flatMap(({ place, fromMinutes, toMinutes, celsius }, stage): readonly Held[] =>
      isPlace(place)
        ? [
            {
              place,
              fromMin: at + fromMinutes,
              toMin: at + toMinutes,
              units: fits[stage]?.units ?? 1,
              celsius: place === 'oven' ? celsius : null,
            },
          ]
        : [],
    ),
  )
  return {
    ...{ dish, slackMin: SLACK_MIN[dish.method] ?? 0, startMin, outMin: lastMin + pull.minutes.typical, batches },
    tasks: [
      ...(prepareMin > 0 ? [{ kind: 'prepare' as const, atMin: startMin - prepareMin, stage: 0, batch: 1 }] : []),
      ...tasks,
      { kind: 'serve' as const, atMin: dish.serveAtMin, stage: heated.length, batch: batches },
    ],
    held: [...held, ...touched],
  }
}

const HAIR = 1e-9
const meets = (a: Held, b: Held): boolean => a.place === b.place && a.fromMin < b.toMin - HAIR && b.fromMin < a.toMin - HAIR
/** Ovens as hot as each other are one oven that both stand in. */
const shares = (a: Held, b: Held): boolean => a.celsius !== null && b.celsius !== null && Math.abs(a.celsius - b.celsius) <= SHARED_OVEN_K

/** Minutes over which more is held than there is, once another dish comes to those before it. */
function countOver(added: readonly Held[], before: readonly Held[], places: Places): number {
  let over = 0
  for (const one of added) {
    const others = before.filter((held) => meets(one, held) && !shares(one, held))
    if (others.length === 0) continue
    const edges = [...new Set([one.fromMin, one.toMin, ...others.flatMap(({ fromMin, toMin }) => [fromMin, toMin])])].sort((a, b) => a - b)
    for (let i = 0; i + 1 < edges.length; i += 1) {
      const [from = 0, to = 0] = [edges[i], edges[i + 1]]
      const middle = (from + to) / 2
      const within = ({ fromMin, toMin }: Held) => fromMin < middle && middle < toMin
      if (!within(one)) continue
      const used = one.units + others.filter(within).reduce((sum, { units }) => sum + units, 0)
      if (used > places[one.place]) over += to - from
    }
  }
  return over
}

const moveBy = (held: readonly Held[], shiftMin: number): readonly Held[] =>
  held.map((one) => ({ ...one, fromMin: one.fromMin - shiftMin, toMin: one.toMin - shiftMin }))

/** A minute of clash weighs more than any shift. */
const CLASH_WEIGHT = 1000
/** Tries after which the best so far is taken. */
const MOST_TRIES = 30_000

interface Best {
  cost: number
  shifts: readonly number[]
}

/** Shifts that cost least, by branch and bound: what a set of dishes costs never falls when another is added. */
function findShifts(laid: readonly Laid[], places: Places): { readonly shifts: readonly number[]; readonly left: boolean } {
  const best: Best = { cost: Infinity, shifts: laid.map(() => 0) }
  let tries = 0
  const branch = (i: number, cost: number, shifts: readonly number[], held: readonly Held[]): void => {
    if (cost >= best.cost || tries > MOST_TRIES) return
    const one = laid[i]
    if (!one) {
      best.cost = cost
      best.shifts = shifts
      return
    }
    for (let shift = 0; shift <= one.slackMin; shift += 1) {
      tries += 1
      const moved = moveBy(one.held, shift)
      const added = shift + CLASH_WEIGHT * countOver(moved, held, places)
      if (cost + added < best.cost) branch(i + 1, cost + added, [...shifts, shift], [...held, ...moved])
    }
  }
  branch(0, 0, [], [])
  return { shifts: best.shifts, left: tries > MOST_TRIES }
}

/** What two dishes still want at once. */
function listClashes(laid: readonly Laid[], shifts: readonly number[], places: Places): readonly RunClash[] {
  const moved = laid.map(({ held }, i) => moveBy(held, shifts[i] ?? 0))
  return laid.flatMap(({ dish }, i) =>
    laid.slice(0, i).flatMap((other, j) => {
      const [own, theirs] = [moved[i] ?? [], moved[j] ?? []]
      return own.flatMap((held) => {
        const met = theirs.find((one) => meets(held, one) && !shares(held, one) && countOver([held], theirs, places) > 0)
        if (!met) return []
        const [fromMin, toMin] = [Math.max(held.fromMin, met.fromMin), Math.min(held.toMin, met.toMin)]
        const sentence = say('run.clash', {
          place: held.place,
          a: { code: 'name', params: { text: other.dish.dish } },
          b: { code: 'name', params: { text: dish.dish } },
        })
        return [{ place: held.place, dishes: [other.dish.id, dish.id], fromMin, toMin, sentence }]
      })
    }),
  )
}

/**
 * Several dishes at once: each worked back from the minute at which it is served, and moved earlier within its slack where two want the same
 * oven, burners or hand, the least total shift first. What cannot be solved is said.
 * @param places how many of each the kitchen has
 */
export function planRun(dishes: readonly RunDish[], places: Places): RunPlan {
  // Those that can wait least are placed first, and keep their moment.
  const laid = dishes.map((dish) => layDish(dish, places)).sort((a, b) => a.slackMin - b.slackMin || (a.dish.id < b.dish.id ? -1 : 1))
  const { shifts, left } = findShifts(laid, places)
  const rows = laid.map(({ dish, startMin, outMin, tasks, batches }, i): RunRow => {
    const shiftMin = shifts[i] ?? 0
    const moved = tasks.map((task) => (task.kind === 'serve' ? task : { ...task, atMin: task.atMin - shiftMin }))
    return { id: dish.id, shiftMin, startMin: startMin - shiftMin, outMin: outMin - shiftMin, tasks: moved, batches }
  })
  return {
    status: left ? 'left' : 'optimal',
    rows: rows.sort((a, b) => a.startMin - b.startMin || (a.id < b.id ? -1 : 1)),
    clashes: listClashes(laid, shifts, places),
  }
}
