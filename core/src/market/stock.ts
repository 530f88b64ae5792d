import type { Stock, StockStanding } from '@tender-gill/contract'
import { STOCK } from '../tables/constants.ts'

type Part = 'biomass' | 'pressure' | 'gear' | 'management' | 'feed' | 'escapes' | 'disease' | 'discharge'
interface PartScore {
  readonly part: Part
  readonly weight: number
  readonly low: number
  readonly typical: number
  readonly high: number
  readonly recent: boolean
}

const clamp01 = (x: number) => Math.min(1, Math.max(0, x))
/** Score of biomass against its target, 0..100. */
export const scoreBiomass = (ratio: number): number => 100 * clamp01((ratio - 0.3) / 0.7)
/** Score of fishing pressure against its reference, 0..100. */
export const scorePressure = (ratio: number): number => 100 * clamp01((1.6 - ratio) / 0.8)

const PART_WORDS: Record<Part, string> = {
  biomass: 'how much is left',
  pressure: 'fishing pressure',
  gear: 'what the gear does',
  management: 'how it is managed',
  feed: 'feed',
  escapes: 'escapes',
  disease: 'disease',
  discharge: 'discharge',
}

function scorePart(
  part: Part,
  weight: number,
  evidence: { value: number; year?: number } | undefined,
  score: (x: number) => number,
  year: number,
): PartScore {
  if (!evidence) return { part, weight, ...STOCK.unknown, recent: false }
  const typical = score(evidence.value)
  const recent = evidence.year !== undefined && year - evidence.year <= STOCK.oldYears
  const spread = recent ? 0 : STOCK.oldSpread
  return { part, weight, low: Math.max(0, typical - spread), typical, high: Math.min(100, typical + spread), recent }
}

const same = (x: number) => x

function scoreParts(stock: Stock, year: number): readonly PartScore[] {
  if (stock.origin === 'farmed') {
    const w = STOCK.farmWeights
    return [
      scorePart('feed', w.feed, stock.feed, same, year),
      scorePart('escapes', w.escapes, stock.escapes, same, year),
      scorePart('disease', w.disease, stock.disease, same, year),
      scorePart('discharge', w.discharge, stock.discharge, same, year),
    ]
  }
  const w = STOCK.weights
  return [
    scorePart('biomass', w.biomass, stock.biomassRatio, scoreBiomass, year),
    scorePart('pressure', w.pressure, stock.pressureRatio, scorePressure, year),
    scorePart('gear', w.gear, stock.gearScore, same, year),
    scorePart('management', w.management, stock.managementScore, same, year),
  ]
}

const geometricMean = (parts: readonly PartScore[], end: 'low' | 'typical' | 'high') => {
  const weights = parts.reduce((sum, { weight }) => sum + weight, 0)
  return Math.exp(parts.reduce((sum, part) => sum + part.weight * Math.log(Math.max(STOCK.leastPart, part[end])), 0) / weights)
}

/**
 * Stock standing, 0..100: weighted geometric mean of its parts, each at least 5; a missing part counts 35 (10 to 70) and is never
 * renormalised away; evidence over five years old widens the range.
 * @param year the year of the day asked for
 */
export function computeStockStanding(stock: Stock, year: number): StockStanding {
  const parts = scoreParts(stock, year)
  const weights = parts.reduce((sum, { weight }) => sum + weight, 0)
  const weakest = parts.reduce((a, b) => (b.typical < a.typical ? b : a))
  const biomass = stock.biomassRatio?.value
  return {
    low: geometricMean(parts, 'low'),
    typical: geometricMean(parts, 'typical'),
    high: geometricMean(parts, 'high'),
    weakest: PART_WORDS[weakest.part],
    confidence: parts.reduce((sum, { weight, recent }) => sum + (recent ? weight : 0), 0) / weights,
    spent: biomass !== undefined && biomass < STOCK.spentBiomass,
  }
}
