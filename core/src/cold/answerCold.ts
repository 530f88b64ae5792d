import type { ColdRequest, ColdStretch, OfferSheet, Range, ResolvedOffer, Result } from '@tender-gill/contract'
import { celsius, days, figure, say, type Caution, type Cold, type Problem } from '../facts/index.ts'
import { findOffer } from '../rows/index.ts'
import { ENGINE_VERSION } from '../tables/constants.ts'
import { TOLD_WARMTHS_C, UNKNOWN_WARMTH_C } from '../tables/signs.ts'
import { computeIceKg } from './computeIceKg.ts'
import { computeIceDays, computeKeepingDays, computeSpoilageRate, passesHistamineLimit, sumHoursAbove, unknownAge } from './keeping.ts'

/** What a fish was kept at, an unknown warm stretch at what it counts for. */
const readWarmth = ({ hours, celsius: at }: ColdStretch) => ({ hours, tempC: at ?? UNKNOWN_WARMTH_C })

/** Days on ice that a history is worth. */
export const sumIceDays = (history: readonly ColdStretch[]): number =>
  history.reduce((sum, stretch) => sum + computeIceDays(readWarmth(stretch)), 0)

/** What the histamine rule says of a history: an unknown warm stretch is one too many. */
export function judgeHistamine(
  { histamine: former }: Pick<ResolvedOffer, 'histamine'>,
  history: readonly ColdStretch[],
): Cold['histamine'] {
  const known = history.flatMap(({ hours, celsius: at }) => (at === null ? [] : [{ hours, tempC: at }]))
  const unknown = history.some(({ hours, celsius: at }) => at === null && hours > 0)
  return {
    former,
    hoursAbove4: sumHoursAbove(known, 4.4),
    anyAbove21: sumHoursAbove(known, 21) > 0,
    stop: former && (unknown || passesHistamineLimit(known)),
  }
}

function listCautions({ histamine: { former, stop }, leftDays }: Pick<Cold, 'histamine' | 'leftDays'>, history: readonly ColdStretch[]) {
  const found: Caution[] = []
  const add = (kind: string, sentence: Caution['sentence']) => found.push({ kind, sentence })
  const lived = history.filter(({ hours }) => hours > 0)
  const warmest = Math.max(...lived.map(({ celsius: at }) => at ?? UNKNOWN_WARMTH_C))
  if (stop) add('histamine', say('cold.histamine.stop'))
  else if (former && warmest > 4) add('histamine', say('caution.histamine.warm', { temperature: celsius(warmest) }))
  else if (former) add('histamine', say('caution.histamine'))
  if (warmest > 15) add('keeping', say('caution.keeping.warm', { temperature: celsius(15) }))
  if (lived.some(({ celsius: at }) => at !== null && at > -10 && at < -2))
    add('keeping', say('caution.keeping.between', { from: celsius(-10), to: celsius(-2) }))
  if (lived.some(({ celsius: at }) => at === null)) add('keeping', say('cold.unknown', { temperature: celsius(UNKNOWN_WARMTH_C) }))
  if (leftDays.typical > 0 && leftDays.low <= 0) add('keeping', say('cold.doubtful'))
  return found
}

/** What it comes to, in a sentence. */
function sumUp({ leftDays: { low, typical, high }, histamine }: Pick<Cold, 'histamine' | 'leftDays'>): Cold['sentence'] {
  if (histamine.stop) return say('cold.stop')
  if (typical <= 0) return say('cold.spent', { days: figure(-typical, 1), doubt: high > 0 ? 'yes' : 'no' })
  return say('cold.left', { left: days(typical), low: figure(Math.max(0, low), 1), high: figure(high, 1) })
}

export interface ColdKept extends Pick<ColdRequest, 'ageIceDays' | 'use'> {
  readonly history: readonly ColdStretch[]
  readonly offer: ResolvedOffer
}

/** How an offer stands after how it was kept: its clock, what is left of it, and the histamine rule. */
export function measureCold({ offer, history, ageIceDays, use = 'cooked' }: ColdKept): Omit<Cold, 'iceKg'> {
  const iceDays = sumIceDays(history)
  const keepingDays = computeKeepingDays(offer, { servedRaw: use === 'raw' })
  const age: Range = ageIceDays ?? unknownAge(offer)
  const leftAt = (aged: number): number => keepingDays - aged - iceDays
  const leftDays = { low: leftAt(age.high), typical: leftAt(age.typical), high: leftAt(age.low) }
  const histamine = judgeHistamine(offer, history)
  return {
    ...{ species: offer.species, offerId: offer.id, iceDays, keepingDays, leftDays, histamine },
    leftHoursAt: TOLD_WARMTHS_C.map((at) => ({ celsius: at, hours: (Math.max(0, leftDays.typical) * 24) / computeSpoilageRate(at) })),
    cautions: listCautions({ leftDays, histamine }, history),
    sentence: sumUp({ leftDays, histamine }),
    engineVersion: ENGINE_VERSION,
  }
}

/**
 * How long a fish will keep after how it was kept: days on ice of its history by the relative rate of spoilage, what is left of its keeping
 * time as a range, hours left at usual warmths, the histamine rule, and the ice that a journey takes.
 * @param request already valid by its schema   @returns the answer unrounded, or every problem with its place
 */
export function answerCold(request: ColdRequest, sheet: Pick<OfferSheet, 'offers'>): Result<Cold, readonly Problem[]> {
  const { ageIceDays: age, journey } = request
  if (age && (age.low > age.typical || age.typical > age.high))
    return { ok: false, error: [{ path: '/ageIceDays', message: say('problem.age-upside-down') }] }
  const offer = findOffer(request, sheet)
  if (!offer.ok) return offer
  return { ok: true, value: { ...measureCold({ ...request, offer: offer.value }), iceKg: journey ? computeIceKg(journey) : null } }
}
