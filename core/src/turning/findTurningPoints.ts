import type { BandKey, Brief, Format, OfferSheet, Opening, Problem, Result } from '@tender-gill/contract'
import { fromAxis, toAxis } from '../axes/index.ts'
import { ASK_LABEL, describeValue } from '../describe/index.ts'
import { finish } from '../draws/index.ts'
import { createBoard, type Board } from '../lineUp/index.ts'
import { AXES } from '../tables/constants.ts'
import { FORMAT_LABEL } from '../tables/formats.ts'
import { usualFormats } from '../tables/methods.ts'
import { edgeRoots, pullRoots, sideOf, toEdgeRunner } from './roots.ts'
import { createField, findFirst, lacksOnly, moveBand, type Field, type Move, type Runner, type Share } from './runners.ts'

export type TurningKind = 'price' | 'pull' | 'edge' | 'month' | 'format'

/** The smallest change of one kind by which first place passes to another. */
export interface TurningPoint {
  readonly kind: TurningKind
  /** Who stands first after it. */
  readonly species: string
  readonly common: string
  /** Size in steps of its kind: price 10 %, pull 1, edge half a shoulder, month 1. */
  readonly steps: number
  /** Where it begins and where first place passes, in the unit of the thing changed; null where there is no number. */
  readonly from: number | null
  readonly to: number | null
  /** The change written into the brief, a hair beyond the turning point; empty for prices, which are the market's. */
  readonly opens: readonly Opening[]
  readonly sentence: string
}

export interface TurningPoints {
  readonly leader: string | null
  /** Smallest first; kinds that are not here have nothing in range. */
  readonly points: readonly TurningPoint[]
  /** Kinds that were looked at and hold nothing within their range. */
  readonly nothingInRange: readonly TurningKind[]
  /** Kinds that could not be looked at, because nothing is known to change. */
  readonly notLookedAt: readonly TurningKind[]
}

const PULL_MOST = 5
/** A pull of exactly nothing would stop the ask from being scored at all. */
const PULL_LEAST = 1e-6
const PRICE_MOST = 4
const STEP = { price: 0.1, pull: 1, edgeShoulders: 0.5 } as const
/** Beyond a turning point by this much of its axis the order is settled. */
const HAIR = 1e-7

interface Wanted {
  /** Whether first place in this hand answers the question. */
  readonly holds: (first: Runner | undefined) => boolean
  /** Runners that must win for it. */
  readonly challengers: (runner: Runner) => boolean
  readonly defenders: (runner: Runner) => boolean
}

interface Turn {
  readonly move: Move
  readonly value: number
  readonly steps: number
  readonly first: Runner
}

/** The nearest of many places at which first place passes; only places are tried, and each is proved by moving there. */
function findNearest(
  field: Field,
  wanted: Wanted,
  places: readonly number[],
  now: number,
  toMove: (place: number) => Move,
  toSteps: (place: number) => number,
): Turn | undefined {
  const sorted = [...new Set(places)].filter((place) => Number.isFinite(place)).sort((a, b) => Math.abs(a - now) - Math.abs(b - now))
  for (const place of sorted) {
    const beyond = place + (place >= now ? HAIR : -HAIR)
    const move = toMove(beyond)
    const first = findFirst(field, move)
    if (first && wanted.holds(first)) return { move, value: place, steps: toSteps(place), first }
  }
  return undefined
}

function* pairs(field: Field, wanted: Wanted, mayRun: (runner: Runner) => boolean): Generator<readonly [Runner, Runner]> {
  const runners = field.runners.filter(mayRun)
  const challengers = runners.filter(wanted.challengers)
  for (const defender of runners.filter(wanted.defenders)) for (const challenger of challengers) yield [challenger, defender]
}

function turnByPull(field: Field, wanted: Wanted, at: number): Turn | undefined {
  const pull = field.asks[at]?.ask.pull ?? 0
  const none: Share = { logD: 0, miss: 0, rangeMiss: 0 }
  const view = (runner: Runner) => ({ total: runner.total, share: runner.shares[at] ?? none })
  const places = [...pairs(field, wanted, ({ gates }) => gates.length === 0)].flatMap(([a, b]) => pullRoots(view(a), view(b), pull))
  return findNearest(
    field,
    wanted,
    places.filter((place) => place >= PULL_LEAST && place <= PULL_MOST),
    pull,
    (to) => ({ kind: 'pull', at, to }),
    (to) => Math.abs(to - pull) / STEP.pull,
  )
}

const without = (total: Share, pull: number, share: Share): Share => ({
  logD: total.logD - pull * share.logD,
  miss: total.miss - pull * share.miss,
  rangeMiss: total.rangeMiss - pull * share.rangeMiss,
})

function turnByEdge(field: Field, wanted: Wanted, at: number, end: 'from' | 'to'): Turn | undefined {
  const scored = field.asks[at]
  if (!scored || scored.key === 'colour') return undefined
  const { ask } = scored
  const key: BandKey = scored.key
  const nowValue = ask[end]
  if (nowValue === null) return undefined
  const now = toAxis(key, nowValue)
  const isBound = moveBand(ask, end, nowValue).must !== ask.must
  const view = (runner: Runner) => {
    const value = runner.values[at]
    const share = runner.shares[at]
    return value && share ? toEdgeRunner(key, value, without(runner.total, ask.pull, share)) : undefined
  }
  // The miss on the other side of the band does not move with this edge: it is part of the rest of those it concerns.
  const places: number[] = []
  for (const [a, b] of pairs(field, wanted, (runner) => (isBound ? lacksOnly(runner, key) : runner.gates.length === 0))) {
    const left = view(a)
    const right = view(b)
    if (left && right)
      places.push(...edgeRoots(withOtherSide(left, a, at, field, end), withOtherSide(right, b, at, field, end), key, end, ask.pull))
    else if (left ?? right) places.push(...looseRoots(left ?? right, left ? b : a, at, key, end, ask.pull))
  }
  const least = toAxis(key, Math.max(AXES[key].min, key === 'weight' || AXES[key].scale === 'ln' ? 1e-3 : 0))
  const most = toAxis(key, AXES[key].max)
  const other = end === 'from' ? ask.to : ask.from
  const stop = other === null ? undefined : toAxis(key, other)
  const inRange = (place: number) =>
    place >= least && place <= most && (stop === undefined || (end === 'from' ? place < stop - HAIR : place > stop + HAIR))
  return findNearest(
    field,
    wanted,
    places.filter(inRange),
    now,
    (place) => ({ kind: 'edge', at, end, to: fromAxis(key, place) }),
    (place) => Math.abs(place - now) / (STEP.edgeShoulders * AXES[key].shoulder),
  )
}

type EdgeView = NonNullable<ReturnType<typeof toEdgeRunner>>

/** A value that lies beyond the edge that stays has a miss no move of this edge undoes. */
function withOtherSide(view: EdgeView, runner: Runner, at: number, field: Field, end: 'from' | 'to'): EdgeView {
  const scored = field.asks[at]
  const value = runner.values[at]
  if (!scored || scored.key === 'colour' || !value) return view
  const { key, ask } = scored
  const stays = end === 'from' ? ask.to : ask.from
  if (stays === null) return view
  const edge = toAxis(key, stays)
  const side = sideOf(end === 'from' ? 'to' : 'from')
  const { shoulder } = AXES[key]
  const missOf = (g: number) => Math.max(0, (side * (edge - g)) / shoulder)
  const miss = missOf(view.typical)
  return {
    ...view,
    rest: {
      logD: view.rest.logD + ask.pull * Math.log(Math.max(0.01, 1 - miss)),
      miss: view.rest.miss + ask.pull * miss,
      rangeMiss: view.rest.rangeMiss + ask.pull * (missOf(view.low) + missOf(view.high)),
    },
  }
}

/** Against a runner whose value is not known, and so does not move: the places where the other meets its standing. */
function looseRoots(
  view: EdgeView | undefined,
  still: Runner,
  at: number,
  key: BandKey,
  end: 'from' | 'to',
  pull: number,
): readonly number[] {
  if (!view) return []
  const share = still.shares[at] ?? { logD: 0, miss: 0, rangeMiss: 0 }
  const { shoulder } = AXES[key]
  const side = sideOf(end)
  const gone = Math.exp((still.total.logD - view.rest.logD) / pull)
  const byMiss = (still.total.miss - view.rest.miss) / pull
  return [1 - gone, byMiss, share.miss].map((miss) => view.typical + side * miss * shoulder).concat([view.low, view.typical, view.high])
}

/** Costs at which something turns for one runner: where its score meets another's, and where budget and bound open or close. */
function priceFactors(runner: Runner, others: readonly Runner[], { brief, asks }: Field): readonly number[] {
  if (!runner.cost) return []
  const { typical, low, high } = runner.cost
  const at = asks.findIndex(({ key }) => key === 'portionCost')
  const ask = asks[at]?.ask
  const gates = [
    ...(brief.budget?.must ? [brief.budget.perPortion / typical] : []),
    ...[brief.asks.portionCost?.must?.from, brief.asks.portionCost?.must?.to].flatMap((edge) => (edge ? [edge / typical] : [])),
  ]
  if (!ask || ask.pull <= 0) return gates
  const share = runner.shares[at] ?? { logD: 0, miss: 0, rangeMiss: 0 }
  const rest = without(runner.total, ask.pull, share)
  const { shoulder } = AXES.portionCost
  const edges = [ask.from, ask.to].flatMap((edge) => (edge ? [edge] : []))
  const atMiss = (miss: number) =>
    [...(ask.to ? [ask.to * Math.exp(miss * shoulder)] : []), ...(ask.from ? [ask.from * Math.exp(-miss * shoulder)] : [])].map(
      (cost) => cost / typical,
    )
  const meets = others.flatMap(({ total }) => {
    const d = Math.exp((total.logD - rest.logD) / ask.pull)
    const misses = [1 - d, (total.miss - rest.miss) / ask.pull]
    const ties = (total.rangeMiss - rest.rangeMiss) / ask.pull
    const ends = [low / typical, high / typical].flatMap((end) => atMiss(ties).map((factor) => factor / end))
    const both = ask.to ? [(ask.to * Math.exp((ties * shoulder) / 2)) / Math.sqrt(low * high)] : []
    return [...misses.filter((miss) => miss >= 0 && miss <= 1).flatMap(atMiss), ...ends, ...both]
  })
  return [...gates, ...edges.flatMap((edge) => [edge / typical, edge / low, edge / high]), ...atMiss(0.99), ...meets]
}

function turnByPrice(field: Field, wanted: Wanted, species: string): Turn | undefined {
  const own = field.runners.filter((runner) => runner.species === species && runner.cost && lacksOnly(runner, 'portionCost'))
  const others = field.runners.filter((runner) => runner.species !== species && runner.gates.length === 0)
  const rivals = others.filter((runner) => wanted.challengers(runner) || wanted.defenders(runner))
  const places = own
    .flatMap((runner) => priceFactors(runner, rivals, field))
    .filter((factor) => factor > 1 / PRICE_MOST && factor < PRICE_MOST)
  return findNearest(
    field,
    wanted,
    places.map(Math.log),
    0,
    (place) => ({ kind: 'price', species, factor: Math.exp(place) }),
    (place) => Math.abs(Math.exp(place) - 1) / STEP.price,
  )
}

const smallest = (turns: readonly (Turn | undefined)[]): Turn | undefined =>
  turns.filter((turn) => turn !== undefined).sort((a, b) => a.steps - b.steps)[0]

const percent = (factor: number) => Math.abs(Math.round((factor - 1) * 1000) / 10)

function describeTurn(turn: Turn, field: Field): TurningPoint {
  const { move, first, value, steps } = turn
  const base = { species: first.species, common: first.common, steps }
  if (move.kind === 'price') {
    const factor = Math.exp(value)
    const own = field.runners.find(({ species, cost }) => species === move.species && cost)
    const cost = own?.cost ? own.cost.typical * factor : null
    const name = own?.common ?? move.species
    return {
      ...base,
      kind: 'price',
      from: own?.cost?.typical ?? null,
      to: cost,
      opens: [],
      sentence: `${first.common} goes first if a portion of ${name} costs ${percent(factor)} % ${factor > 1 ? 'more' : 'less'}${cost === null ? '' : `, ${cost.toFixed(2)}`}.`,
    }
  }
  const scored = field.asks[move.at]
  const key = scored?.key ?? 'firmness'
  const label = ASK_LABEL[key]
  const path = key === 'colour' ? '/colour' : `/asks/${key}`
  if (move.kind === 'pull')
    return {
      ...base,
      kind: 'pull',
      from: scored?.ask.pull ?? 0,
      to: value,
      opens: [{ path: `${path}/pull`, value: move.to }],
      sentence: `${first.common} goes first if ${label.toLowerCase()} matters ${value.toFixed(1)} of 5 instead of ${scored?.ask.pull ?? 0}.`,
    }
  const edge = fromAxis(key as BandKey, value)
  return {
    ...base,
    kind: 'edge',
    from: scored?.ask[move.end] ?? null,
    to: edge,
    opens: [{ path: `${path}/${move.end}`, value: move.to }],
    sentence: `${first.common} goes first if ${label.toLowerCase()} is wanted ${move.end === 'from' ? 'from' : 'up to'} ${describeValue(key as BandKey, edge)} instead of ${describeValue(key as BandKey, scored?.ask[move.end] ?? 0)}.`,
  }
}

const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
] as const
const midMonth = (date: string, month: number) => `${date.slice(0, 4)}-${String(month).padStart(2, '0')}-15`

const leaderOf = (board: Result<Board, readonly Problem[]>): Runner | undefined =>
  board.ok ? findFirst(createField(board.value)) : undefined

function turnByMonth(brief: Brief, sheet: OfferSheet, board: Board, wanted: Wanted): TurningPoint | undefined {
  const now = Number(board.brief.date.slice(5, 7))
  const distance = (month: number) => Math.min(Math.abs(month - now), 12 - Math.abs(month - now))
  const months = MONTHS.map((_, i) => i + 1).filter((month) => month !== now)
  for (const month of months.sort((a, b) => distance(a) - distance(b) || a - b)) {
    const date = midMonth(board.brief.date, month)
    const first = leaderOf(createBoard({ ...brief, date }, sheet, date))
    if (first && wanted.holds(first))
      return {
        kind: 'month',
        species: first.species,
        common: first.common,
        steps: distance(month),
        from: now,
        to: month,
        opens: [{ path: '/date', value: date }],
        sentence: `${first.common} goes first in ${MONTHS[month - 1] ?? ''}.`,
      }
  }
  return undefined
}

function turnByFormat(brief: Brief, sheet: OfferSheet, board: Board, wanted: Wanted, today: string): TurningPoint | undefined {
  const formats = usualFormats(brief.method).filter((format: Format) => format !== brief.format)
  for (const format of formats) {
    const first = leaderOf(createBoard({ ...brief, format }, sheet, today))
    if (first && wanted.holds(first))
      return {
        kind: 'format',
        species: first.species,
        common: first.common,
        steps: 1,
        from: null,
        to: null,
        opens: [{ path: '/format', value: format }],
        sentence: `${first.common} goes first with ${FORMAT_LABEL[format]} instead of ${FORMAT_LABEL[board.brief.format]}.`,
      }
  }
  return undefined
}

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
    return { ok: false, error: [{ path: '/winner', message: `no fish named "${winner}" in the book` }] }
  const wanted = askFor(leader, accepted)
  if (!leader || (accepted !== undefined && accepted === leader.species))
    return { ok: true, value: { leader: leader?.species ?? null, points: [], nothingInRange: [], notLookedAt: [] } }
  const indexes = field.asks.map((_, i) => i)
  const pricedSpecies = [...new Set(field.runners.filter(({ cost }) => cost).map(({ species }) => species))]
  const movers =
    accepted === undefined ? pricedSpecies : pricedSpecies.filter((species) => species === accepted || species === leader.species)
  const seasonal = board.brief.waters !== null && (brief.market?.seasons?.length ?? 0) > 0
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
