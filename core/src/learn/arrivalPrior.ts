import type { FreshnessRequest, LearntMerchant } from '@tender-gill/contract'
import { RANGE_SD } from '../tables/learning.ts'

/** What a merchant's fish is taken to be before anything is seen of it, days on ice; undefined where none of its was looked at. */
export const arrivalPrior = (learnt: LearntMerchant | undefined): FreshnessRequest['prior'] =>
  learnt && learnt.arrivals > 0
    ? { medianIceDays: learnt.iceDays.typical, lnSd: Math.log(learnt.iceDays.high / learnt.iceDays.low) / (2 * RANGE_SD) }
    : undefined
