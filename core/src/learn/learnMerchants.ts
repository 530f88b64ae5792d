import type { Learnt, LearnEvent } from '@tender-gill/contract'
import { groupBy } from '../lists/index.ts'
import { ARRIVAL_PRIOR, BETWEEN_SHARE, FAIL_PRIOR, RANGE_SD } from '../tables/learning.ts'

type Delivered = Extract<LearnEvent, { kind: 'delivered' }>
type Arrived = Extract<LearnEvent, { kind: 'arrived' }>

/** Days on ice on arrival, lognormal: half of what is not known lies between fish, half is this merchant. */
function learnIceDays(days: readonly number[]): Learnt['merchants'][number]['iceDays'] {
  const variance = ARRIVAL_PRIOR.lnSd ** 2 * BETWEEN_SHARE
  const posterior = variance / (1 + days.length)
  const logs = days.map((one) => Math.log(Math.max(ARRIVAL_PRIOR.leastDays, one))).sort((a, b) => a - b)
  const mean = (posterior * logs.reduce((sum, ln) => sum + ln, Math.log(ARRIVAL_PRIOR.medianDays))) / variance
  const reach = RANGE_SD * Math.sqrt(variance + posterior)
  return { low: Math.exp(mean - reach), typical: Math.exp(mean), high: Math.exp(mean + reach) }
}

/** How a merchant delivers: whether lines come as ordered, and how old fish is when it comes. */
export function learnMerchants(events: readonly (Delivered | Arrived)[]): Learnt['merchants'] {
  const byMerchant = [...groupBy(events, ({ merchant }) => merchant)].sort(([a], [b]) => (a < b ? -1 : 1))
  return byMerchant.map(([merchant, own]) => {
    const lines = own.filter((event): event is Delivered => event.kind === 'delivered')
    const days = own.flatMap((event) => (event.kind === 'arrived' ? [event.iceDays] : []))
    const failed = lines.filter(({ asOrdered }) => !asOrdered).length
    return {
      merchant,
      failChance: (FAIL_PRIOR.failed + failed) / (FAIL_PRIOR.failed + FAIL_PRIOR.came + lines.length),
      ...{ n: lines.length, arrivals: days.length, iceDays: learnIceDays(days) },
    }
  })
}
