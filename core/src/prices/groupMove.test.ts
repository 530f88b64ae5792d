import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { toCivil } from '../calendar/index.ts'
import { cases } from '../testing/cases.ts'
import { gatherGroupMoves, STILL_GROUP, type MemberSeries } from './groupMove.ts'
import { createPatternReader, findMonthPattern, FLAT_YEAR } from './monthPattern.ts'
import type { PriceDay } from './priceDays.ts'
import { findDay, gatherQuotes, layEndToEnd, listQuotes, mergeQuotes, sliceQuotes, type SeriesQuote } from './quotes.ts'

/** Days since 1970: 2024-01-01. */
const FIRST_DAY = 19_723
const SOURCE = { merchant: 'quay', glaze: 0, id: null, dated: true }
const toSeries = (member: string, points: readonly (readonly [day: number, logPerKg: number])[]): MemberSeries => ({
  member,
  quotes: gatherQuotes(points.map(([day, logPerKg]) => ({ day: FIRST_DAY + day, logPerKg, source: SOURCE }))),
})
const pointsArbitrary = fc.array(fc.tuple(fc.integer({ min: 0, max: 200 }), fc.double({ min: 0, max: 5, noNaN: true })), {
  minLength: 1,
  maxLength: 60,
})
const seriesArbitrary = fc
  .array(pointsArbitrary, { minLength: 2, maxLength: 5 })
  .map((all) => all.map((points, i) => toSeries(`fish ${i}`, points)))
const DAYS = Array.from({ length: 24 }, (_, i) => FIRST_DAY + i * 9)

describe('how the prices of a group move together', () => {
  it('is the same whatever each of them costs: a dear fish weighs no more than a cheap one', () => {
    fc.assert(
      fc.property(seriesArbitrary, fc.double({ min: -2, max: 2, noNaN: true }), (series, dearer) => {
        const raised = series.map((one, i) =>
          i === 0 ? { ...one, quotes: { ...one.quotes, logPerKg: one.quotes.logPerKg.map((log) => log + dearer) } } : one,
        )
        const [before, after] = [gatherGroupMoves(series)(), gatherGroupMoves(raised)()]
        for (const day of DAYS) expect(after.indexOn(day)).toBeCloseTo(before.indexOn(day), 8)
      }),
      { numRuns: cases(80) },
    )
  })

  it('is the same in whatever order the members are named', () => {
    fc.assert(
      fc.property(seriesArbitrary, (series) => {
        const [there, back] = [gatherGroupMoves(series)(), gatherGroupMoves([...series].reverse())()]
        for (const day of DAYS) expect(back.indexOn(day)).toBeCloseTo(there.indexOn(day), 10)
      }),
      { numRuns: cases(80) },
    )
  })

  it('without one of them does not hang on that one', () => {
    fc.assert(
      fc.property(seriesArbitrary, pointsArbitrary, (series, otherwise) => {
        const changed = series.map((one, i) => (i === 0 ? toSeries(one.member, otherwise) : one))
        const [before, after] = [gatherGroupMoves(series)('fish 0'), gatherGroupMoves(changed)('fish 0')]
        expect(after.pattern).toEqual(before.pattern)
        for (const day of DAYS) expect(after.indexOn(day)).toBeCloseTo(before.indexOn(day), 10)
      }),
      { numRuns: cases(80) },
    )
  })

  it('follows a rise that all of them share, and stands still where none of them moves', () => {
    const flat = Array.from({ length: 90 }, (_, day) => [day, 2] as const)
    const still = gatherGroupMoves([toSeries('a', flat), toSeries('b', flat), toSeries('c', flat)])('a')
    expect(DAYS.map((day) => still.indexOn(day))).toEqual(DAYS.map(() => 0))
    const risen = flat.map(([day, log]) => [day, day < 45 ? log : log + 0.3] as const)
    const { indexOn } = gatherGroupMoves([toSeries('a', risen), toSeries('b', risen), toSeries('c', risen)])('a')
    const rise = indexOn(FIRST_DAY + 89) - indexOn(FIRST_DAY + 44)
    expect(rise).toBeGreaterThan(0.2)
    expect(rise).toBeLessThanOrEqual(0.3 + 1e-9)
  })

  it('takes little notice of the slip of one merchant', () => {
    const flat = Array.from({ length: 60 }, (_, day) => [day, 2] as const)
    const slipped = flat.map(([day, log]) => [day, day === 30 ? log + Math.log(10) : log] as const)
    const sound = ['b', 'c', 'd', 'e'].map((name) => toSeries(name, flat))
    const { indexOn } = gatherGroupMoves([...sound, toSeries('a', slipped)])()
    for (const day of DAYS.slice(0, 6)) expect(Math.abs(indexOn(day))).toBeLessThan(0.02)
  })

  it('is no movement at all where nobody else is there to move', () => {
    const alone = toSeries('a', [
      [0, 1],
      [9, 2],
    ])
    expect(gatherGroupMoves([alone])('a')).toBe(STILL_GROUP)
    expect(gatherGroupMoves([])()).toBe(STILL_GROUP)
    expect(gatherGroupMoves([alone])('somebody else').indexOn(FIRST_DAY + 9)).not.toBe(0)
  })
})

/** A price that swings over the year, one quote a week. */
const swing = (years: number, by: number, level = 2): readonly PriceDay[] =>
  Array.from({ length: Math.floor((years * 365) / 7) }, (_, week) => {
    const day = FIRST_DAY + week * 7
    return { day, logPerKg: level + by * Math.cos((2 * Math.PI * (week * 7)) / 365.25), quotes: 1, certain: false }
  })

describe('how a year of prices stands month by month', () => {
  it('is found where it is there: dear in winter, cheap in summer, whatever the fish costs', () => {
    for (const level of [0.5, 2, 4]) {
      const pattern = findMonthPattern(swing(3, 0.3, level))
      expect(pattern).toHaveLength(12)
      expect(pattern[0]).toBeGreaterThan(0.15)
      expect(pattern[6]).toBeLessThan(-0.15)
      expect(pattern).toEqual(findMonthPattern(swing(3, 0.3, 1)).map((value) => expect.closeTo(value, 8)))
    }
  })

  it('is believed more, the longer it was seen', () => {
    const heights = [1, 2, 4, 8].map((years) => findMonthPattern(swing(years, 0.3))[0] as number)
    expect(heights).toEqual([...heights].sort((a, b) => a - b))
    expect(heights.at(-1)).toBeLessThanOrEqual(0.3)
  })

  it('is the group’s until nearly every month is known', () => {
    const group = Array.from({ length: 12 }, (_, month) => month / 100)
    expect(findMonthPattern(swing(0.5, 0.3), group)).toBe(group)
    expect(findMonthPattern([], group)).toBe(group)
    expect(findMonthPattern(swing(0.5, 0.3))).toBe(FLAT_YEAR)
  })

  it('takes the group’s for a month that was never seen, or stands between its neighbours', () => {
    const withoutJuly = swing(2, 0.3).filter(({ day }) => toCivil(day).month !== 7)
    const group = Array.from({ length: 12 }, () => 0.7)
    expect(findMonthPattern(withoutJuly, group)[6]).toBe(0.7)
    const own = findMonthPattern(withoutJuly)
    expect(own[6]).toBeCloseTo(((own[5] as number) + (own[7] as number)) / 2, 12)
  })

  it('is read on a day without a step, and of no height where the year is flat', () => {
    const read = createPatternReader(findMonthPattern(swing(3, 0.3)))
    for (let day = FIRST_DAY; day < FIRST_DAY + 730; day += 1) {
      expect(Math.abs(read(day + 1) - read(day))).toBeLessThan(0.012)
      expect(read(day)).toBe(read(day))
    }
    expect(createPatternReader(FLAT_YEAR)(FIRST_DAY + 40)).toBe(0)
  })
})

const quoteArbitrary: fc.Arbitrary<SeriesQuote> = fc.record({
  day: fc.integer({ min: FIRST_DAY, max: FIRST_DAY + 30 }),
  logPerKg: fc.double({ min: 0, max: 5, noNaN: true }),
  source: fc.record({
    merchant: fc.constantFrom('quay', 'shed', null),
    glaze: fc.constantFrom(0, 0.1),
    id: fc.constantFrom(null, 'a', 'b'),
    dated: fc.boolean(),
  }),
})
const quotesArbitrary = fc.array(quoteArbitrary, { maxLength: 40 })
const plain = (quotes: readonly SeriesQuote[]) => quotes.map((quote) => JSON.stringify(quote)).sort()

describe('quotes in columns', () => {
  it('hold each quote once, oldest first and those of a day the cheapest first', () => {
    fc.assert(
      fc.property(quotesArbitrary, (quotes) => {
        const listed = listQuotes(gatherQuotes(quotes))
        expect(plain(listed)).toEqual(plain(quotes))
        for (const [i, { day, logPerKg }] of listed.entries()) {
          const next = listed[i + 1]
          if (next) expect(day < next.day || (day === next.day && logPerKg <= next.logPerKg)).toBe(true)
        }
      }),
      { numRuns: cases(150) },
    )
  })

  it('are the same merged from parts as gathered at once', () => {
    fc.assert(
      fc.property(fc.array(quotesArbitrary, { maxLength: 4 }), (parts) => {
        const merged = mergeQuotes(parts.map(gatherQuotes))
        const order = (quotes: readonly SeriesQuote[]) => quotes.map(({ day, logPerKg }) => [day, logPerKg])
        expect(order(listQuotes(merged))).toEqual(order(listQuotes(gatherQuotes(parts.flat()))))
        expect(layEndToEnd(parts.map(gatherQuotes)).day).toHaveLength(parts.flat().length)
      }),
      { numRuns: cases(100) },
    )
  })

  it('are cut at a day: what is before it was asked before, what is after it since', () => {
    fc.assert(
      fc.property(quotesArbitrary, fc.integer({ min: FIRST_DAY - 2, max: FIRST_DAY + 32 }), (quotes, day) => {
        const all = gatherQuotes(quotes)
        const at = findDay(all, day)
        expect(listQuotes(sliceQuotes(all, 0, at)).every((one) => one.day < day)).toBe(true)
        expect(listQuotes(sliceQuotes(all, at)).every((one) => one.day >= day)).toBe(true)
      }),
      { numRuns: cases(150) },
    )
  })
})
