import { formatMassPrice, formatMassPriceRange } from '../../reader/index.ts'
import type { PriceHistory } from '@tender-gill/contract'

type Series = PriceHistory['series'][number]

/** Today's price beside what it usually is at this time of the year, in money too. */
export function describeUsual({ now, usualPerKg, currency }: Series): string {
  if (usualPerKg === null) return 'Too few days of quotes to say what is usual.'
  const percent = Math.round((now.perKg.typical / usualPerKg - 1) * 100)
  const usual = `its usual price for the month, ${formatMassPrice(usualPerKg, currency)}`
  if (Math.abs(percent) < 3) return `At ${usual}.`
  return `${Math.abs(percent)} % ${percent < 0 ? 'below' : 'above'} ${usual}.`
}

/** What the estimate rests on. */
export function describeBasis({ now, currency }: Series): string {
  const age = now.ageDays === 0 ? 'the last from today' : now.ageDays === 1 ? 'the last from yesterday' : `the last ${now.ageDays} days old`
  const quotes = now.quotes === 1 ? '1 quote' : `${now.quotes} quotes`
  const memory = now.halfLifeDays < 1 ? 'the last quote decides' : `a quote counts half after ${now.halfLifeDays} days`
  const slips = now.slips > 0 ? ` ${now.slips} ${now.slips === 1 ? 'day was' : 'days were'} set aside as a slip.` : ''
  return `From ${quotes}, ${age}; ${memory}. Nine in ten days lie within ${formatMassPriceRange(now.perKg.low, now.perKg.high, currency)}.${slips}`
}
