import type { NormalisedBrief } from '../facts/index.ts'
import type { Scoring } from '../fit/index.ts'
import { DRAWS } from '../tables/constants.ts'
import { addPenalties, createScratch, type Scratch } from './addPenalties.ts'
import { drawByte, fillBytesInPlace, hashDraw, hashText } from './hash.ts'
import { normalOfByte } from './normal.ts'
import { finish } from './finish.ts'
import { planEntrant, planKeys, type Entrant, type EntrantPlan } from './planEntrant.ts'

/** How one species fared over the draws, shares of all draws. */
export interface SpeciesShares {
  readonly rankShares: readonly [number, number, number]
  /** Share of draws in which one of its offers passes the musts. */
  readonly passShare: number
  /** Share of draws in which it stands ahead of the leader. */
  readonly aheadShare: number
}

export interface RankShares {
  readonly bySpecies: ReadonlyMap<string, SpeciesShares>
  /** Share of draws in which nothing passes. */
  readonly noneShare: number
}

export interface SimulateOptions {
  readonly draws: number
  readonly seed: number
  readonly scoring: Scoring
  /** The species that stands first at typical. */
  readonly leader: string | undefined
}

/** What all entrants share in each draw: the pulls, their sum, and the market. */
export interface DrawWeather {
  readonly draws: number
  readonly seed: number
  /** Pull of each scored ask in each draw, ask by ask. */
  readonly pulls: readonly Float64Array[]
  readonly pullSum: Float64Array
  /** Stands in for the pull of an ask that is only a must. */
  readonly ones: Float64Array
  /** The day's market in each draw, as a level. */
  readonly market: Uint8Array
}

const MARKET_NAME = hashText('market')

function drawWeather({ draws, seed, scoring }: SimulateOptions): DrawWeather {
  const pulls = scoring.asks.map(({ key, ask }) => {
    const name = hashText(`pull|${key}`)
    return Float64Array.from(
      { length: draws },
      (_, draw) => ask.pull * Math.exp(DRAWS.pullSpread * normalOfByte(drawByte(seed, draw, name))),
    )
  })
  const pullSum = new Float64Array(draws)
  for (const ofAsk of pulls) for (let draw = 0; draw < draws; draw += 1) pullSum[draw] = (pullSum[draw] ?? 0) + (ofAsk[draw] ?? 0)
  const market = new Uint8Array(draws)
  fillBytesInPlace(market, seed, MARKET_NAME)
  return { draws, seed, pulls, pullSum, ones: new Float64Array(draws).fill(1), market }
}

/**
 * Equal fits are common, since a whole band is equally good. They fall by lot: a hash of seed, draw and species, so that no name is favoured
 * and adding a fish moves no other pair.
 */
type GoesBefore = (species: number, other: number, draw: number) => boolean

function createTieBreak(names: readonly string[], seed: number): GoesBefore {
  const lots = Uint32Array.from(names, (name) => hashText(`tie|${name}`))
  return (a, b, draw) => hashDraw(seed, draw, lots[a] as number) > hashDraw(seed, draw, lots[b] as number)
}

/** The best three species so far in every draw. */
interface Podium {
  readonly who: readonly Int32Array[]
  readonly fits: readonly Float64Array[]
  readonly goesBefore: GoesBefore
}

const createPodium = (draws: number, goesBefore: GoesBefore): Podium => ({
  goesBefore,
  who: [0, 1, 2].map(() => new Int32Array(draws).fill(-1)),
  fits: [0, 1, 2].map(() => new Float64Array(draws).fill(-Infinity)),
})

/** Sets a species among the best three of each draw in which it beats one of them, letting those it beats fall a place. */
function placeSpeciesInPlace({ who, fits, goesBefore }: Podium, species: number, fit: Float64Array): void {
  const worst = fits[2] as Float64Array
  for (let d = 0; d < fit.length; d += 1) {
    const x = fit[d] as number
    if (x === -Infinity || x < (worst[d] as number)) continue
    let place = 3
    while (place > 0) {
      const above = (fits[place - 1] as Float64Array)[d] as number
      const other = (who[place - 1] as Int32Array)[d] as number
      if (!(x > above || (x === above && other >= 0 && goesBefore(species, other, d)))) break
      place -= 1
    }
    for (let fall = 2; fall > place; fall -= 1) {
      const to = fits[fall] as Float64Array
      const toWho = who[fall] as Int32Array
      to[d] = (fits[fall - 1] as Float64Array)[d] as number
      toWho[d] = (who[fall - 1] as Int32Array)[d] as number
    }
    if (place > 2) continue
    const at = fits[place] as Float64Array
    const atWho = who[place] as Int32Array
    at[d] = x
    atWho[d] = species
  }
}

/** Fills in the ln fit of a species in every draw: that of its best passing offer, -Infinity where none passes. */
function fillSpeciesFitsInPlace(best: Float64Array, plans: Iterable<EntrantPlan>, weather: DrawWeather, scratch: Scratch): Float64Array {
  best.fill(-Infinity)
  for (const plan of plans) {
    const logs = addPenalties(plan, weather, scratch)
    for (let d = 0; d < best.length; d += 1) {
      const sum = weather.pullSum[d] as number
      const fit = sum > 0 ? (logs[d] as number) / sum : (logs[d] as number)
      if (fit > (best[d] as number)) best[d] = fit
    }
  }
  return best
}

const countPasses = (fits: Float64Array): number => {
  let count = 0
  for (let d = 0; d < fits.length; d += 1) if ((fits[d] as number) > -Infinity) count += 1
  return count
}

/** Draws in which a species stands ahead of the leader. */
function countAhead(fits: Float64Array, leader: Float64Array, wins: (draw: number) => boolean): number {
  let count = 0
  for (let d = 0; d < fits.length; d += 1) {
    const x = fits[d] as number
    const other = leader[d] as number
    if (x > other || (x === other && x > -Infinity && wins(d))) count += 1
  }
  return count
}

/**
 * Stochastic multicriteria acceptability analysis: traits from their ranges, costs from theirs, pulls around those set; counts how often
 * each species comes first, second and third. Deterministic for a seed and free of position. Time grows with entrants
 * times draws; memory with draws alone.
 */
export function simulateRanks(entrants: readonly Entrant[], brief: NormalisedBrief, options: SimulateOptions): RankShares {
  return finish(stepRanks(entrants, brief, options))
}

/** `simulateRanks` in steps, one a species: yields the share that is done, so that a long study can be watched and left. */
export function* stepRanks(entrants: readonly Entrant[], brief: NormalisedBrief, options: SimulateOptions): Generator<number, RankShares> {
  const { draws, leader } = options
  const weather = drawWeather(options)
  const groups = new Map<string, Entrant[]>()
  for (const entrant of entrants) {
    const { species } = entrant.candidate.offer
    const group = groups.get(species)
    if (group) group.push(entrant)
    else groups.set(species, [entrant])
  }
  const keys = planKeys(brief, options.scoring)
  const scratch = createScratch(draws)
  const fitsOf = (species: string, into: Float64Array) =>
    fillSpeciesFitsInPlace(
      into,
      (groups.get(species) ?? []).map((entrant) => planEntrant(entrant, keys, brief)),
      weather,
      scratch,
    )
  const leaderFits = leader === undefined ? undefined : fitsOf(leader, new Float64Array(draws))
  const names = [...groups.keys()]
  const goesBefore = createTieBreak(names, options.seed)
  const podium = createPodium(draws, goesBefore)
  const leaderAt = names.indexOf(leader ?? '')
  const room = new Float64Array(draws)
  const passes = new Uint32Array(names.length)
  const ahead = new Uint32Array(names.length)
  for (const [s, species] of names.entries()) {
    const fits = species === leader && leaderFits ? leaderFits : fitsOf(species, room)
    placeSpeciesInPlace(podium, s, fits)
    passes[s] = countPasses(fits)
    if (leaderFits && s !== leaderAt) ahead[s] = countAhead(fits, leaderFits, (draw) => goesBefore(s, leaderAt, draw))
    yield (s + 1) / names.length
  }
  const places = podium.who.map((who) => {
    const counts = new Uint32Array(names.length)
    for (const s of who) if (s >= 0) counts[s] = (counts[s] ?? 0) + 1
    return counts
  })
  const share = (count: number | undefined) => (count ?? 0) / draws
  const bySpecies = new Map<string, SpeciesShares>(
    names.map((species, s) => [
      species,
      {
        rankShares: [share(places[0]?.[s]), share(places[1]?.[s]), share(places[2]?.[s])] as const,
        passShare: share(passes[s]),
        aheadShare: share(ahead[s]),
      },
    ]),
  )
  return { bySpecies, noneShare: share(podium.who[0]?.filter((who) => who === -1).length) }
}
