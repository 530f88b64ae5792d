import type { AskKey, BandKey, Range } from '@tender-gill/contract'
import type { NormalisedBrief } from '../facts/index.ts'
import { toAxis } from '../axes/index.ts'
import type { Fit, Scoring } from '../fit/index.ts'
import { ASK_ORDER } from '../tables/askOrder.ts'
import { AXES, DRAWS, type AxisScale } from '../tables/constants.ts'
import { readTrait, type Candidate } from '../traits/index.ts'
import { drawTrait } from './drawTrait.ts'
import { hashText } from './hash.ts'

/** A candidate that passes every gate at typical, with its exact fit. */
export interface Entrant {
  readonly candidate: Candidate
  readonly fit: Fit
}

/** How one ask of one entrant is drawn: everything that does not change from draw to draw, worked out once as plain numbers. */
export interface DrawPlan {
  readonly kind: 'normal' | 'fat' | 'price' | 'unknown'
  /** Index into the pulls; -1 when the ask is only a must. */
  readonly scored: number
  readonly name: number
  /** Hash of the firmness that fat leans on; 0 when firmness is not drawn, and fat is then drawn on its own. */
  readonly leansOn: number
  readonly typical: number
  /** Change of the value, or of its logarithm for prices, for one z below and above typical. */
  readonly stepDown: number
  readonly stepUp: number
  readonly scale: AxisScale
  readonly min: number
  readonly max: number
  readonly mustFrom: number
  readonly mustTo: number
  readonly gFrom: number
  readonly gTo: number
  readonly perShoulder: number
}

/** One entrant ready to be drawn: what varies, and the asks whose desirability is fixed (colour) as pull index and ln d. */
export interface EntrantPlan {
  readonly plans: readonly DrawPlan[]
  readonly fixed: readonly { readonly scored: number; readonly logD: number }[]
}

const TEXTURE_MUST_EXEMPT = new Set<AskKey>(['thickness', 'weight'])
/** The ends of the grid of z: no draw falls further out. */
const Z_END = 4

interface MustBounds {
  readonly from: number
  readonly to: number
}

function findMust(key: AskKey, brief: NormalisedBrief): MustBounds {
  const must = TEXTURE_MUST_EXEMPT.has(key) ? null : (brief.asks[key]?.must ?? null)
  const budget = key === 'portionCost' && brief.budget?.must ? brief.budget.perPortion : Infinity
  return { from: must?.from ?? -Infinity, to: Math.min(budget, must?.to ?? Infinity) }
}

/** One ask as every entrant is drawn on it, worked out once for all of them. */
interface KeyPlan {
  readonly key: BandKey
  readonly scored: number
  readonly must: MustBounds
  /** The band, open where the ask is only a must, in the trait's unit and on its axis. */
  readonly from: number
  readonly to: number
  readonly gFrom: number
  readonly gTo: number
}

function planKey(key: BandKey, brief: NormalisedBrief, scoring: Scoring): KeyPlan {
  const scored = scoring.asks.findIndex((other) => other.key === key)
  const { from, to } = (scored >= 0 && brief.asks[key]) || { from: null, to: null }
  return {
    key,
    scored,
    must: findMust(key, brief),
    from: from ?? -Infinity,
    to: to ?? Infinity,
    gFrom: from === null ? -Infinity : toAxis(key, from),
    gTo: to === null ? Infinity : toAxis(key, to),
  }
}

/** What is drawn for a brief: the bands, and whether firmness is among them for fat to lean on. */
export interface DrawKeys {
  readonly bands: readonly KeyPlan[]
  readonly firmnessDrawn: boolean
}

/** The asks that are drawn: the scored ones and those that are only musts. */
export function planKeys(brief: NormalisedBrief, scoring: Scoring): DrawKeys {
  const keys = drawnKeys(brief, scoring).filter((key): key is BandKey => key !== 'colour')
  return { bands: keys.map((key) => planKey(key, brief, scoring)), firmnessDrawn: keys.includes('firmness') }
}

/** Whether no draw of a range can leave the band or break the must: then it need not be drawn at all. */
function isInert(range: Range, { key, from, to, must }: KeyPlan): boolean {
  const least = drawTrait(key, range, -Z_END)
  const most = drawTrait(key, range, Z_END)
  return least >= from && most <= to && least >= must.from && most <= must.to
}

interface OwnHashes {
  readonly offer: number
  /** Hash of the firmness that fat leans on; 0 when it is not drawn. */
  readonly firmness: number
}

function planBand(range: Range | null, plan: KeyPlan, hashes: OwnHashes): DrawPlan | undefined {
  if (range && isInert(range, plan)) return undefined
  const { key, must } = plan
  const axis = AXES[key]
  const price = key === 'portionCost'
  const { low, typical, high } = range ?? { low: 1, typical: 1, high: 1 }
  return {
    kind: !range ? 'unknown' : price ? 'price' : key === 'fat' && hashes.firmness !== 0 ? 'fat' : 'normal',
    scored: plan.scored,
    name: hashText(`|${key}`, hashes.offer),
    leansOn: hashes.firmness,
    typical,
    stepDown: (price ? Math.log(typical / low) : typical - low) / DRAWS.z95,
    stepUp: (price ? Math.log(high / typical) : high - typical) / DRAWS.z95,
    scale: axis.scale,
    min: axis.min,
    max: axis.max,
    mustFrom: must.from,
    mustTo: must.to,
    gFrom: plan.gFrom,
    gTo: plan.gTo,
    perShoulder: 1 / axis.shoulder,
  }
}

/** Readies one entrant to be drawn: a plan for each ask that can cost it anything. */
export function planEntrant({ candidate, fit }: Entrant, { bands, firmnessDrawn }: DrawKeys, brief: NormalisedBrief): EntrantPlan {
  const offer = hashText(candidate.offer.id)
  const hashes = { offer, firmness: firmnessDrawn ? hashText('|firmness', offer) : 0 }
  const plans: DrawPlan[] = []
  for (const band of bands) {
    const reading = band.scored >= 0 ? fit.readings[band.scored] : undefined
    const plan = planBand(reading ? reading.value : readTrait(band.key, candidate, brief), band, hashes)
    if (plan) plans.push(plan)
  }
  const fixed = fit.readings.flatMap(({ key, desirability }, scored) =>
    key === 'colour' ? [{ scored, logD: Math.log(desirability) }] : [],
  )
  return { plans, fixed }
}

const drawnKeys = (brief: NormalisedBrief, scoring: Scoring): readonly AskKey[] =>
  ASK_ORDER.filter((key) => {
    if (scoring.asks.some((ask) => ask.key === key)) return true
    if (scoring.dropped.includes(key)) return false
    const budget = key === 'portionCost' && brief.budget?.must
    return budget || (key !== 'colour' && brief.asks[key]?.must && !TEXTURE_MUST_EXEMPT.has(key))
  })
