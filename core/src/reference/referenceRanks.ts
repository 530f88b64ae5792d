import type { AskKey, BandKey } from '@tender-gill/contract'
import type { NormalisedBrief } from '../facts/index.ts'
import {
  correlateFat,
  correlatePrice,
  drawByte,
  drawTrait,
  hashDraw,
  hashText,
  normalOfByte,
  uniformFromBits,
  type Entrant,
  type RankShares,
  type SimulateOptions,
} from '../draws/index.ts'
import { ASK_ORDER } from '../tables/askOrder.ts'
import { DESIRABILITY_FLOOR, DRAWS, UNKNOWN_DRAW, colourLikeness } from '../tables/constants.ts'
import { readColour, readTrait } from '../traits/index.ts'
import { referenceDesirability } from './referenceFit.ts'

const bits = (seed: number, draw: number, name: string) => hashDraw(seed, draw, hashText(name))
const normal = (seed: number, draw: number, name: string) => normalOfByte(drawByte(seed, draw, hashText(name)))

function drawZ(key: BandKey, id: string, firmnessDrawn: boolean, { seed, draw }: { seed: number; draw: number }): number {
  const own = normal(seed, draw, `${id}|${key}`)
  if (key === 'portionCost') return correlatePrice(normal(seed, draw, 'market'), own)
  if (key === 'fat' && firmnessDrawn) return correlateFat(normal(seed, draw, `${id}|firmness`), own)
  return own
}

const hasDrawnMust = (key: AskKey, brief: NormalisedBrief) =>
  (key === 'portionCost' && brief.budget?.must === true) ||
  (key !== 'colour' && key !== 'thickness' && key !== 'weight' && Boolean(brief.asks[key]?.must))

/** Fit of one entrant in one draw, or null when it fails a must: every step spelt out. */
function referenceDraw({ candidate }: Entrant, brief: NormalisedBrief, { scoring, seed }: SimulateOptions, draw: number): number | null {
  const { offer } = candidate
  const pullOf = (key: AskKey) => {
    const scored = scoring.asks.find((ask) => ask.key === key)
    return scored ? scored.ask.pull * Math.exp(DRAWS.pullSpread * normal(seed, draw, `pull|${key}`)) : 0
  }
  const keys = ASK_ORDER.filter((key) => pullOf(key) > 0 || (!scoring.dropped.includes(key) && hasDrawnMust(key, brief)))
  const firmnessDrawn = keys.includes('firmness')
  const pulls = keys.reduce((sum, key) => sum + pullOf(key), 0)
  let logs = 0
  for (const key of keys) {
    if (key === 'colour') {
      logs +=
        pullOf(key) *
        Math.log(
          Math.max(DESIRABILITY_FLOOR, ...(brief.asks.colour?.wanted ?? []).map((want) => colourLikeness(want, readColour(offer, brief)))),
        )
      continue
    }
    const range = readTrait(key, candidate, brief)
    if (!range) {
      logs +=
        pullOf(key) *
        Math.log(UNKNOWN_DRAW.from + uniformFromBits(bits(seed, draw, `${offer.id}|${key}`)) * (UNKNOWN_DRAW.to - UNKNOWN_DRAW.from))
      continue
    }
    const x = drawTrait(key, range, drawZ(key, offer.id, firmnessDrawn, { seed, draw }))
    const ask = brief.asks[key]
    const must = key === 'thickness' || key === 'weight' ? null : (ask?.must ?? null)
    const budget = key === 'portionCost' && brief.budget?.must ? brief.budget.perPortion : Infinity
    if ((must && must.from !== null && x < must.from) || (must && must.to !== null && x > must.to) || x > budget) return null
    logs += pullOf(key) * Math.log(referenceDesirability(key, x, ask?.from ?? null, ask?.to ?? null))
  }
  return pulls > 0 ? 100 * Math.exp(logs / pulls) : 100
}

/** Rank shares the straightforward way: sort every draw. The oracle of `simulateRanks`, and the other side of its benchmark. */
export function referenceRanks(entrants: readonly Entrant[], brief: NormalisedBrief, options: SimulateOptions): RankShares {
  const species = [...new Set(entrants.map(({ candidate }) => candidate.offer.species))]
  const tally = new Map(species.map((name) => [name, { places: [0, 0, 0], passes: 0, ahead: 0 }]))
  let none = 0
  for (let draw = 0; draw < options.draws; draw += 1) {
    const fits = entrants.flatMap((entrant) => {
      const fit = referenceDraw(entrant, brief, options, draw)
      return fit === null ? [] : [{ fit, id: entrant.candidate.offer.id, species: entrant.candidate.offer.species }]
    })
    const lot = (name: string) => bits(options.seed, draw, `tie|${name}`)
    const sorted = fits.sort((a, b) => b.fit - a.fit || lot(b.species) - lot(a.species) || (a.id < b.id ? -1 : 1))
    const ranked = sorted.filter((row, i) => sorted.findIndex((other) => other.species === row.species) === i)
    if (ranked.length === 0) none += 1
    const leaderAt = ranked.findIndex((row) => row.species === options.leader)
    ranked.forEach((row, place) => {
      const counts = tally.get(row.species)
      if (!counts) return
      counts.passes += 1
      if (place < 3) counts.places[place] = (counts.places[place] ?? 0) + 1
      if (options.leader !== undefined && row.species !== options.leader && (leaderAt < 0 || place < leaderAt)) counts.ahead += 1
    })
  }
  const bySpecies = new Map(
    [...tally].map(([name, { places, passes, ahead }]) => {
      const [a = 0, b = 0, c = 0] = places.map((n) => n / options.draws)
      return [name, { rankShares: [a, b, c] as const, passShare: passes / options.draws, aheadShare: ahead / options.draws }]
    }),
  )
  return { bySpecies, noneShare: none / options.draws }
}
