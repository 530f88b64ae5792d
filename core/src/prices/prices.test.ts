import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  computePerKg,
  estimatePrice,
  findUsualPrice,
  gatherGroupMoves,
  gatherQuotes,
  type PriceEstimate,
  type PriceQuote,
} from './index.ts'
import { gatherDays } from './priceDays.ts'
import { cases } from '../testing/cases.ts'

const quotesArbitrary = fc
  .array(fc.record({ day: fc.integer({ min: 0, max: 700 }), perKg: fc.double({ min: 1, max: 90, noNaN: true }) }), {
    minLength: 1,
    maxLength: 40,
  })
  .map((rows) => rows.map(({ day, perKg }): PriceQuote => ({ day, logPerKg: Math.log(perKg) })))
const must = (estimate: PriceEstimate | undefined): PriceEstimate => {
  if (!estimate) throw new Error('no estimate')
  return estimate
}
/** What is usual, from quotes. */
const usualOf = (quotes: readonly PriceQuote[], day: number) => findUsualPrice(gatherDays(quotes), day)
const SOURCE = { merchant: null, glaze: 0, id: null, dated: true }
const toColumns = (quotes: readonly PriceQuote[]) => gatherQuotes(quotes.map(({ day, logPerKg }) => ({ day, logPerKg, source: SOURCE })))
const groupOf = (series: readonly (readonly PriceQuote[])[]) =>
  gatherGroupMoves(series.map((quotes, i) => ({ member: String(i), quotes: toColumns(quotes) })))()
const at = (day: number, perKg: number): PriceQuote => ({ day, logPerKg: Math.log(perKg) })
const daily = (from: number, to: number, perKg: (day: number) => number) =>
  Array.from({ length: to - from }, (_, i) => at(from + i, perKg(from + i)))

describe('the price of a kilogram', () => {
  it('is read from the pound, the piece and the box', () => {
    expect(computePerKg({ price: 10, unit: 'lb' })).toBeCloseTo(22.046, 3)
    expect(computePerKg({ price: 10, unit: 'each', eachG: 500 })).toBe(20)
    expect(computePerKg({ price: 60, unit: 'box', eachG: 6000 })).toBe(10)
    expect(computePerKg({ price: 10, unit: 'each' })).toBeUndefined()
    expect(computePerKg({ price: 10, unit: 'box' })).toBeUndefined()
  })
})

describe('the estimate of a price', () => {
  it('lies within the quotes it rests on, its range around it, whatever their order', () => {
    fc.assert(
      fc.property(quotesArbitrary, fc.integer({ min: 700, max: 900 }), (quotes, day) => {
        const { perKg, quotes: count, ageDays } = must(estimatePrice(quotes, day))
        const logs = quotes.map(({ logPerKg }) => logPerKg)
        // The pattern of a year may carry it a little past them where every month is quoted; these are too few for that.
        expect(Math.log(perKg.typical)).toBeGreaterThanOrEqual(Math.min(...logs) - 1e-9)
        expect(Math.log(perKg.typical)).toBeLessThanOrEqual(Math.max(...logs) + 1e-9)
        expect(perKg.low).toBeLessThanOrEqual(perKg.typical)
        expect(perKg.high).toBeGreaterThanOrEqual(perKg.typical)
        expect(count).toBe(quotes.length)
        expect(ageDays).toBe(day - Math.max(...quotes.map((quote) => quote.day)))
        expect(estimatePrice([...quotes].reverse(), day)).toEqual(estimatePrice(quotes, day))
      }),
      { seed: 302, numRuns: cases(300) },
    )
  })

  it('scales with the prices: twice as dear is twice as dear', () => {
    fc.assert(
      fc.property(quotesArbitrary, fc.double({ min: 0.2, max: 5, noNaN: true }), (quotes, factor) => {
        const scaled = quotes.map(({ day, logPerKg }) => ({ day, logPerKg: logPerKg + Math.log(factor) }))
        expect(must(estimatePrice(scaled, 720)).perKg.typical / must(estimatePrice(quotes, 720)).perKg.typical).toBeCloseTo(factor, 6)
      }),
      { seed: 303 },
    )
  })

  it('knows nothing of the days to come', () => {
    expect(estimatePrice([at(20, 10)], 19)).toBeUndefined()
    expect(estimatePrice([at(10, 10), at(20, 90)], 15)).toEqual(estimatePrice([at(10, 10)], 15))
  })

  it('grows less sure the older the last quote is', () => {
    const width = (day: number) => {
      const { perKg } = must(estimatePrice([at(0, 10), at(3, 11), at(6, 10)], day))
      return perKg.high / perKg.low
    }
    expect(width(6)).toBeLessThan(width(20))
    expect(width(20)).toBeLessThan(width(200))
  })

  it('lets a slip of the point pass, counts it, and follows a real jump once it is said twice', () => {
    const steady = daily(0, 30, (day) => 10 + (day % 3) * 0.2)
    const slip = must(estimatePrice([...steady, at(30, 100)], 31))
    expect(slip.perKg.typical).toBeLessThan(11)
    expect(slip.slips).toBe(1)
    const jump = must(estimatePrice([...steady, at(30, 24), at(31, 24.5)], 31))
    expect(jump.perKg.typical).toBeGreaterThan(23)
    expect(jump.slips).toBe(0)
  })

  it('takes what is asked on the very day as it is, and what the cook typed in before any list', () => {
    const steady = daily(0, 30, () => 10)
    expect(must(estimatePrice([...steady, at(30, 11)], 30)).perKg.typical).toBeCloseTo(11, 9)
    expect(must(estimatePrice([...steady, at(30, 11)], 31)).perKg.typical).toBeLessThan(11)
    const typed = { ...at(30, 40), certain: true }
    const estimate = must(estimatePrice([...steady, at(30, 11), typed], 30))
    expect(estimate.perKg.typical).toBeCloseTo(40, 9)
    expect(estimate.slips).toBe(0)
    expect(must(estimatePrice([...steady, at(30, 40)], 30)).perKg.typical).toBeLessThan(11)
  })

  it('follows a price that wanders closely, and averages one that scatters', () => {
    let seed = 7
    const noise = () => {
      seed = (seed * 16807) % 2147483647
      return seed / 2147483647 - 0.5
    }
    let level = 0
    const wandering = daily(0, 200, () => 10 * Math.exp((level += 0.06 * noise())))
    const scattered = daily(0, 200, () => 10 * Math.exp(0.3 * noise()))
    expect(must(estimatePrice(wandering, 200)).halfLifeDays).toBeLessThanOrEqual(2)
    expect(must(estimatePrice(scattered, 200)).halfLifeDays).toBeGreaterThanOrEqual(14)
    expect(must(estimatePrice(scattered, 200)).perKg.typical).toBeCloseTo(10, 0)
  })

  it('moves an old quote with the group, less the more it has of its own, and never without one', () => {
    const risen = () => groupOf([daily(0, 60, (day) => (day < 30 ? 10 : 15)), daily(0, 60, (day) => (day < 30 ? 4 : 6))])
    const alone = must(estimatePrice([at(5, 20)], 60)).perKg.typical
    const moved = must(estimatePrice([at(5, 20)], 60, risen)).perKg.typical
    expect(alone).toBeCloseTo(20, 9)
    expect(moved).toBeGreaterThan(27)
    expect(moved).toBeLessThan(30.01)
    const own = daily(20, 60, () => 20)
    expect(must(estimatePrice(own, 60, risen)).perKg.typical).toBeLessThan(21)
    expect(estimatePrice([], 60, risen)).toBeUndefined()
  })

  it('knows the months once it has seen a year of them', () => {
    const wave = (day: number) => 10 * Math.exp(0.4 * Math.cos((2 * Math.PI * (day - 15)) / 365))
    const weekly = daily(0, 730, wave).filter(({ day }) => day % 7 === 0 && day < 690)
    const known = must(estimatePrice(weekly, 725)).perKg.typical
    const lastQuote = Math.exp(weekly.at(-1)?.logPerKg ?? 0)
    expect(Math.abs(Math.log(known / wave(725)))).toBeLessThan(Math.abs(Math.log(lastQuote / wave(725))))
  })

  it('does not fall towards the middle of the year because the month ahead was never seen', () => {
    const wave = (day: number) => 10 * Math.exp(0.4 * Math.cos((2 * Math.PI * (day - 45)) / 365))
    // Eleven months up to the dearest time: the next month is not known yet.
    const quotes = daily(95, 410, wave).filter(({ day }) => day % 7 === 0)
    for (const day of [410, 418, 426]) expect(must(estimatePrice(quotes, day)).perKg.typical).toBeGreaterThan(wave(410) * 0.93)
  })
})

describe('what a fish usually costs at this time of the year', () => {
  /** Weekly prices over two years and a half that are dear in winter by a third to each side. */
  const seasonal = (day: number) => 20 * Math.exp(0.3 * Math.cos((2 * Math.PI * day) / 365.25))
  const weekly = Array.from({ length: 130 }, (_, i) => at(i * 7, seasonal(i * 7)))

  it('is what was asked around this day of the calendar: a dear season is not told as dear', () => {
    for (const day of [640, 700, 760, 820, 880]) {
      const usual = usualOf(weekly, day) ?? Number.NaN
      expect(Math.abs(Math.log(usual / seasonal(day)))).toBeLessThan(0.05)
    }
  })

  it('lies within what was really asked within six weeks of it, in the years that count, whatever was asked', () => {
    const wanders = fc.array(fc.double({ min: 1, max: 90, noNaN: true }), { minLength: 120, maxLength: 120 })
    fc.assert(
      fc.property(wanders, fc.integer({ min: 790, max: 835 }), (prices, day) => {
        const quotes = prices.map((perKg, i) => at(i * 7, perKg))
        const usual = usualOf(quotes, day) ?? Number.NaN
        const near = quotes.filter((quote) => {
          const apart = (((day - quote.day) % 365) + 365) % 365
          return quote.day <= day - 7 && (apart <= 48 || apart >= 365 - 48)
        })
        const logs = near.map(({ logPerKg }) => logPerKg)
        expect(Math.log(usual)).toBeGreaterThanOrEqual(Math.min(...logs) - 1e-9)
        expect(Math.log(usual)).toBeLessThanOrEqual(Math.max(...logs) + 1e-9)
      }),
      { seed: 305 },
    )
  })

  it('leaves out the last week, which is what is held against it', () => {
    const jumped = [...weekly.filter(({ day }) => day <= 800), at(802, 500)]
    expect(usualOf(jumped, 803)).toBeCloseTo(
      usualOf(
        weekly.filter(({ day }) => day <= 795),
        803,
      ) ?? 0,
      6,
    )
  })

  it('is the middle of the year where nothing was asked at that time, and nothing from a few days', () => {
    const summer = Array.from({ length: 8 }, (_, i) => at(150 + i * 7, 10 + i))
    expect(usualOf(summer, 330)).toBeCloseTo(Math.exp((Math.log(13) + Math.log(14)) / 2), 6)
    expect(usualOf(summer.slice(0, 4), 330)).toBeNull()
  })
})
