import type { MercuryClass } from '@tender-gill/contract'
import type { NormalisedBrief } from '../facts/index.ts'
import { BODY_KG, CHILD_PORTION, MERCURY_LIMIT_UG_PER_KG_WEEK, MERCURY_UG_PER_G } from '../tables/constants.ts'

/** Whether somebody eats for whom mercury is counted: children under twelve, a pregnancy. */
export const isMercuryCounted = ({ diners }: Pick<NormalisedBrief, 'diners'>): boolean =>
  (diners.children ?? 0) + (diners.pregnant ?? 0) > 0

/** The week's portions, as methylmercury for each kg of body weight. */
export interface MercuryEstimate {
  readonly eater: 'pregnant' | 'child'
  /** µg per kg of body weight and week */
  readonly low: number
  readonly typical: number
  readonly high: number
  readonly overLimit: boolean
}

/**
 * Weekly methylmercury from the portions eaten of this class (class mean x portion / body weight), for the most sensitive eater at the table.
 * Compared with 1.3 µg per kg and week (published limits run from 0.7 to 1.6).
 * @returns undefined when nobody sensitive eats
 */
export function estimateMercury(mercury: MercuryClass, brief: Pick<NormalisedBrief, 'diners' | 'portionG'>): MercuryEstimate | undefined {
  const eater = (brief.diners.children ?? 0) > 0 ? 'child' : (brief.diners.pregnant ?? 0) > 0 ? 'pregnant' : undefined
  if (!eater) return undefined
  const gPerKg = eater === 'child' ? (brief.portionG * CHILD_PORTION) / BODY_KG.child : brief.portionG / BODY_KG.adult
  const weekly = gPerKg * (brief.diners.portionsAWeek ?? 1)
  const [low, typical, high] = MERCURY_UG_PER_G[mercury]
  return {
    eater,
    low: low * weekly,
    typical: typical * weekly,
    high: high * weekly,
    overLimit: typical * weekly > MERCURY_LIMIT_UG_PER_KG_WEEK.typical,
  }
}
