import type { Brief, OfferSheet, Result, TurningKind, TurningRequest } from '@tender-gill/contract'
import { say, type Problem, type TurningPoint, type TurningPoints } from '../facts/index.ts'
import { finish } from '../draws/index.ts'
import { createBoard, knowsTheYear } from '../lineUp/index.ts'
import { describeTurn } from './describeTurn.ts'
import { smallest, type Turn, type Wanted } from './nearest.ts'
import { findFirst } from './findFirst.ts'
import { createField, type Runner } from './runners.ts'
import { turnByFormat, turnByMonth } from './turnByBoard.ts'
import { turnByEdge } from './turnByEdge.ts'
import { turnByPrice } from './turnByPrice.ts'
import { turnByPull } from './turnByPull.ts'

export interface TurningOptions {
  readonly today: string
  /** The fish that should win; left out, the question is what dethrones the leader. */
  readonly winner?: string
}

function askFor(leader: Runner | undefined, winner: string | undefined): Wanted {
  const isLeader = ({ species }: Runner) => species === leader?.species
  if (winner === undefined)
    return { holds: (first) => first !== undefined && !isLeader(first), challengers: (runner) => !isLeader(runner), defenders: isLeader }
  return {
    holds: (first) => first?.species === winner,
    challengers: ({ species }) => species === winner,
    defenders: ({ species }) => species !== winner,
  }
}

/**
 * What would change the answer: for each kind of single change (a price, a pull, a band's edge, the month, the cut) the smallest by which
 * the leader loses first place and to whom; or, for any other fish, the smallest that makes it win. Solved, not sampled: places come from
 * exact roots between breakpoints, against every rival, and each is proved by moving there.
 * @param brief already valid by its schema
 */
export const findTurningPoints = (brief: Brief, sheet: OfferSheet, options: TurningOptions): Result<TurningPoints, readonly Problem[]> =>
  finish(stepTurningPoints(brief, sheet, options))

/** `findTurningPoints` for a request as it comes in from outside. */
export const answerTurning = (
  { winner, ...brief }: TurningRequest,
  sheet: OfferSheet,
  { today }: { readonly today: string },
): Result<TurningPoints, readonly Problem[]> => findTurningPoints(brief, sheet, { today, ...(winner === undefined ? {} : { winner }) })

/** The kinds of change that are solved one ask, one edge, one species at a time. */
type Solver = () => Turn | undefined

/** `findTurningPoints` in steps, one ask, edge, species, month or cut at a time, so that other questions can be answered in between. */
export function* stepTurningPoints(
  brief: Brief,
  sheet: OfferSheet,
  { today, winner }: TurningOptions,
): Generator<number, Result<TurningPoints, readonly Problem[]>> {
  const laid = createBoard(brief, sheet, today)
  if (!laid.ok) return laid
  const board = laid.value
  const field = createField(board)
  const leader = findFirst(field)
  const accepted = winner === undefined ? undefined : board.findSpecies(winner)
  if (winner !== undefined && accepted === undefined)
    return { ok: false, error: [{ path: '/winner', message: say('problem.no-fish', { name: winner }) }] }
  const wanted = askFor(leader, accepted)
  if (!leader || (accepted !== undefined && accepted === leader.species))
    return { ok: true, value: { leader: leader?.species ?? null, points: [], nothingInRange: [], notLookedAt: [] } }
  const indexes = field.asks.map((_, i) => i)
  const pricedSpecies = [...new Set(field.runners.filter(({ cost }) => cost).map(({ species }) => species))]
  const movers =
    accepted === undefined ? pricedSpecies : pricedSpecies.filter((species) => species === accepted || species === leader.species)
  const seasonal = knowsTheYear(brief, board.brief, sheet)
  const solvers: readonly (readonly [TurningKind, boolean, readonly Solver[]])[] = [
    ['price', pricedSpecies.length > 0, movers.map((species) => () => turnByPrice(field, wanted, species))],
    ['pull', field.asks.length > 0, indexes.map((at) => () => turnByPull(field, wanted, at))],
    [
      'edge',
      field.asks.length > 0,
      indexes.flatMap((at) =>
        (['from', 'to'] as const).map(
          (end): Solver =>
            () =>
              turnByEdge(field, wanted, at, end),
        ),
      ),
    ],
  ]
  const known = solvers.filter(([, isKnown]) => isKnown)
  const work = known.reduce((sum, [, , steps]) => sum + steps.length, 2)
  let done = 0
  const looked: (readonly [TurningKind, TurningPoint | undefined])[] = []
  for (const [kind, , steps] of known) {
    const turns: (Turn | undefined)[] = []
    for (const solve of steps) {
      turns.push(solve())
      done += 1
      yield done / work
    }
    const turn = smallest(turns)
    looked.push([kind, turn && describeTurn(turn, field)])
  }
  if (seasonal) looked.push(['month', turnByMonth(brief, sheet, board, wanted)])
  yield (done + 1) / work
  looked.push(['format', turnByFormat(brief, sheet, board, wanted, today)])
  const unknown = solvers.filter(([, isKnown]) => !isKnown).map(([kind]) => kind)
  return {
    ok: true,
    value: {
      leader: leader.species,
      points: looked.flatMap(([, point]) => point ?? []).sort((a, b) => a.steps - b.steps),
      nothingInRange: looked.filter(([, point]) => !point).map(([kind]) => kind),
      notLookedAt: seasonal ? unknown : [...unknown, 'month'],
    },
  }
}
