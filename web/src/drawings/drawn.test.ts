import { createOfferSheet } from '@tender-gill/catalogue'
import { BAND_KEYS, type BandKey, type NormalisedAsk } from '@tender-gill/contract'
import { AXES } from '@tender-gill/core'
import fc from 'fast-check'
import { createElement, Fragment, type ComponentType } from 'react'
import { renderToStaticMarkup } from 'react-dom/server'
import { describe, expect, it } from 'vitest'
import { AgeBar } from './AgeBar.tsx'
import { AskStrip } from './AskStrip.tsx'
import { DayLine } from './DayLine.tsx'
import { FleshPrint } from './FleshPrint.tsx'
import { IceClock } from './IceClock.tsx'
import { PieceHeat } from './PieceHeat.tsx'
import { SHOAL_SIZE, Shoal } from './Shoal.tsx'
import { Tide } from './Tide.tsx'
import { TraitStrip } from './TraitStrip.tsx'
import { WorthBar } from './WorthBar.tsx'

const draw = <P extends object>(drawing: ComponentType<P>, props: P): string => renderToStaticMarkup(createElement(drawing, props))
/** What a screen reader is told of a drawing. */
const labelOf = (markup: string): string => /aria-label="([^"]*)"/.exec(markup)?.[1] ?? ''
/** Every number in the places of a drawing: none may be missing or without end. */
const placesOf = (markup: string): readonly number[] =>
  [...markup.matchAll(/\s(?:x|y|x1|x2|y1|y2|cx|cy|width|height|r|rx|ry|d|points)="([^"]*)"/g)].flatMap(([, text = '']) =>
    text
      .replaceAll(/[A-Za-z%,]/g, ' ')
      .split(/\s+/)
      .filter((part) => part !== '')
      .map(Number),
  )
const isWhole = (markup: string): boolean => !/NaN|Infinity|undefined/.test(markup) && placesOf(markup).every(Number.isFinite)
const widthsOf = (markup: string): readonly number[] =>
  [...markup.matchAll(/<rect[^>]*\swidth="([^"]*)"/g)].map(([, width]) => Number(width))

const days = fc.double({ min: 0, max: 30, noNaN: true })
const rangeArbitrary = fc
  .array(days, { minLength: 3, maxLength: 3 })
  .map((all) => [...all].sort((a, b) => a - b))
  .map(([low = 0, typical = 0, high = 0]) => ({ low, typical, high }))

describe('how old a fish is', () => {
  it('stands whole on its line, whatever the days, and is told in words', () => {
    fc.assert(
      fc.property(rangeArbitrary, days, days, (iceDays, keepingDays, neededIceDays) => {
        const markup = draw(AgeBar, { iceDays, keepingDays, neededIceDays })
        expect(isWhole(markup)).toBe(true)
        for (const place of placesOf(markup).slice(4)) expect(place).toBeLessThanOrEqual(101)
        expect(labelOf(markup)).toMatch(/days on ice behind it, .* when it is eaten; its time is up at/)
      }),
      { numRuns: 100 },
    )
  })

  it('draws no meal where it is eaten at once', () => {
    const bars = (neededIceDays: number) =>
      widthsOf(draw(AgeBar, { iceDays: { low: 2, typical: 3, high: 5 }, keepingDays: 9, neededIceDays })).length
    expect(bars(0)).toBe(3)
    expect(bars(2)).toBe(4)
  })
})

describe('what is left of a fish’s time', () => {
  const HOUR = 3_600_000
  const stretch = fc.record({ hours: fc.integer({ min: 1, max: 40 }), celsius: fc.option(fc.double({ min: -5, max: 60, noNaN: true })) })
  it('is drawn whole for any history, also where its clock stands or it is eaten late', () => {
    fc.assert(
      fc.property(
        fc.array(stretch, { maxLength: 6 }),
        fc.boolean(),
        fc.array(fc.integer({ min: 0, max: 90 }), { maxLength: 3 }),
        (all, ticks, eaten) => {
          let at = 0
          const history = all.map(({ hours, celsius }) => {
            const fromMs = at * HOUR
            at += hours
            return { fromMs, toMs: at * HOUR, hours, celsius, basis: 'reading' as const }
          })
          const nowMs = at * HOUR
          const lastsMs = ticks ? { low: nowMs + HOUR, typical: nowMs + 5 * HOUR, high: nowMs + 9 * HOUR } : null
          const eatenMs = [...new Set(eaten)].map((hours) => nowMs + hours * HOUR)
          const markup = draw(IceClock, { history, nowMs, lastsMs, eatenMs, words: 'as told' })
          expect(isWhole(markup)).toBe(true)
          expect(widthsOf(markup).every((width) => width >= 0)).toBe(true)
          expect(labelOf(markup)).toBe('as told')
        },
      ),
      { numRuns: 100 },
    )
  })
})

describe('the line of the day', () => {
  const time = fc
    .tuple(fc.integer({ min: 0, max: 23 }), fc.integer({ min: 0, max: 59 }))
    .map(([hour, minute]) => `${String(hour).padStart(2, '0')}:${String(minute).padStart(2, '0')}`)
  it('keeps every mark and the hour within itself, and says all of them', () => {
    fc.assert(
      fc.property(fc.option(time), fc.uniqueArray(time, { maxLength: 5 }), (now, times) => {
        const marks = times.map((one) => ({ time: one, label: `order from ${one}` }))
        const markup = draw(DayLine, { now, marks })
        expect(isWhole(markup)).toBe(true)
        for (const [, x] of markup.matchAll(/\scx="([^"]*)"/g)) {
          expect(Number(x)).toBeGreaterThanOrEqual(16)
          expect(Number(x)).toBeLessThanOrEqual(804)
        }
        for (const { time: one, label } of marks) expect(labelOf(markup)).toContain(`${one} ${label}`)
        expect(labelOf(markup).includes('now')).toBe(now !== null)
      }),
      { numRuns: 100 },
    )
  })
})

const valueOn = (key: BandKey, share: number): number =>
  AXES[key].min + share * (Math.min(AXES[key].max, AXES[key].min + 1_000) - AXES[key].min)
const onScale = fc
  .constantFrom(...BAND_KEYS)
  .chain((key) =>
    fc
      .array(fc.double({ min: 0, max: 1, noNaN: true }), { minLength: 5, maxLength: 5 })
      .map((shares) => ({ key, values: shares.map((share) => valueOn(key, share)) })),
  )
const sorted = (values: readonly number[]): readonly number[] => [...values].sort((a, b) => a - b)

describe('a strip', () => {
  it('stays within its width for every trait, range and wish, and says its figure', () => {
    fc.assert(
      fc.property(onScale, fc.boolean(), ({ key, values }, open) => {
        const [low = 0, typical = 0, high = 0] = sorted(values.slice(0, 3))
        const [from = 0, to = 0] = sorted(values.slice(3))
        const ask = { from: open ? null : from, to, pull: 3, must: null, because: ['method'], reason: 'r' } as unknown as NormalisedAsk
        const strip = draw(AskStrip, { standing: { trait: key, low, typical, high, desirability: 1 }, ask, width: 72 })
        const line = draw(TraitStrip, {
          trait: key,
          value: { low, typical, high },
          name: 'Cod',
          wanted: { from: ask.from, to: ask.to },
          ghost: typical,
        })
        for (const [markup, width] of [
          [strip, 72],
          [line, 220],
        ] as const) {
          expect(isWhole(markup)).toBe(true)
          expect(labelOf(markup)).toContain('usually')
          for (const [, x] of markup.matchAll(/\scx="([^"]*)"/g)) expect(Number(x) >= 0 && Number(x) <= width).toBe(true)
        }
      }),
      { numRuns: 150 },
    )
  })

  it('fills its dot inside what is wanted and leaves it hollow outside, and is empty where nothing is known', () => {
    const ask = { from: 3, to: 10, pull: 3, must: null, because: ['method'], reason: 'r' } as unknown as NormalisedAsk
    const dot = (desirability: number) =>
      /<circle[^>]*fill="([^"]*)"/.exec(draw(AskStrip, { standing: { trait: 'fat', low: 2, typical: 4, high: 8, desirability }, ask }))?.[1]
    expect(dot(1)).not.toBe(dot(0.4))
    const unknown = draw(AskStrip, { standing: { trait: 'portionCost', low: null, typical: null, high: null, desirability: 0.6 }, ask })
    expect(unknown).toContain('not known')
    expect(unknown).not.toContain('<circle')
    expect(draw(AskStrip, { standing: { trait: 'colour', low: null, typical: null, high: null, desirability: 1 }, ask })).toBe('')
  })

  it('shows the missing fish as a ghost beside, by name', () => {
    const ask = { from: 3, to: 10, pull: 3, must: null, because: ['method'], reason: 'r' } as unknown as NormalisedAsk
    const standing = { trait: 'fat' as const, low: 2, typical: 4, high: 8, desirability: 1 }
    const ghost = { standing: { ...standing, typical: 9 }, name: 'Meagre' }
    const markup = draw(AskStrip, { standing, ask, ghost })
    expect(labelOf(markup)).toContain('Meagre has 9')
    expect(markup.match(/<circle/g)).toHaveLength(2)
  })
})

describe('where a stock stands', () => {
  it('fills the shoal from the left, hollow where no evidence is kept', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 100 }), (standing) => {
        const markup = draw(Shoal, { standing: { low: standing, typical: standing, high: standing } })
        const filled = widthsOf(markup).reduce((sum, width) => sum + width, 0) / (18 * SHOAL_SIZE)
        expect(filled).toBeCloseTo(standing / 100, 9)
        expect(labelOf(markup)).toContain(`Stock ${standing} of 100`)
      }),
    )
    const none = draw(Shoal, { standing: null })
    expect(labelOf(none)).toBe('Stock: no evidence kept')
    expect(none).toContain('stroke-dasharray')
    expect(Math.max(...widthsOf(none))).toBe(0)
  })
})

describe('a year of landings', () => {
  it('is twelve bars and no more than the best of them, in every month of any year', () => {
    const month = fc.double({ min: 0, max: 900, noNaN: true })
    fc.assert(
      fc.property(fc.array(month, { minLength: 12, maxLength: 12 }), fc.integer({ min: 1, max: 12 }), (landings, now) => {
        const season = { species: 'Gadus morhua', water: 'Marrow Sound', landings } as unknown as Parameters<typeof Tide>[0]['season']
        const markup = draw(Tide as ComponentType<Parameters<typeof Tide>[0]>, { season, month: now })
        expect(isWhole(markup)).toBe(true)
        expect(widthsOf(markup)).toHaveLength(12)
        expect(labelOf(markup)).toContain('Marrow Sound')
      }),
      { numRuns: 60 },
    )
  })
})

describe('a piece with the heat in it', () => {
  const throughC = fc.array(fc.double({ min: -20, max: 200, noNaN: true }), { minLength: 3, maxLength: 24 })
  it('is drawn whole at any heat and depth, its probe at the coldest place', () => {
    fc.assert(
      fc.property(throughC, fc.integer({ min: 4, max: 150 }), fc.boolean(), (planes, depthMm, round) => {
        const markup = draw(PieceHeat, { throughC: planes, depthMm, round, skin: 'below', label: 'the heat' })
        expect(isWhole(markup)).toBe(true)
        expect(markup).not.toContain('rgb()')
        const height = Number(/viewBox="-4 -4 \d+ ([\d.]+)"/.exec(markup)?.[1]) - 8
        const probe = Number(/<circle[^>]*\scy="([^"]*)"/.exec(markup)?.[1])
        expect(probe > 0 && probe < height).toBe(true)
        // Drawn from above to below, told from below to above.
        const reached = planes.length - 1 - Math.floor((probe / height) * planes.length)
        if (!round) expect(planes[reached]).toBe(Math.min(...planes))
      }),
      { numRuns: 100 },
    )
  })

  it('is probed at its core while one place is as cold as another', () => {
    for (const round of [false, true]) {
      const markup = draw(PieceHeat, { throughC: [4, 4, 4, 4, 4], depthMm: 30, round, skin: 'none', label: 'from the cold' })
      expect(Number(/<circle[^>]*\scy="([^"]*)"/.exec(markup)?.[1])).toBeCloseTo(45, -1)
    }
    const bothSides = draw(PieceHeat, { throughC: [2, 8, 5, 5, 5, 8, 9], depthMm: 30, round: false, skin: 'none', label: 'cold below' })
    expect(Number(/<circle[^>]*\scy="([^"]*)"/.exec(bothSides)?.[1])).toBeGreaterThan(75)
  })

  it('has a tint of its own beside another on the same page', () => {
    const piece = { depthMm: 30, round: false, skin: 'none' as const, label: 'x' }
    const two = renderToStaticMarkup(
      createElement(
        Fragment,
        null,
        createElement(PieceHeat, { ...piece, throughC: [10, 20, 30] }),
        createElement(PieceHeat, { ...piece, throughC: [60, 70, 80] }),
      ),
    )
    const ids = [...two.matchAll(/<linearGradient id="([^"]*)"/g)].map(([, id]) => id)
    expect(new Set(ids).size).toBe(2)
    for (const id of ids) expect(two).toContain(`url(#${id})`)
  })
})

describe('what a price is worth', () => {
  it('never runs beyond its bar, and draws no line where no price is known', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 99, noNaN: true }), fc.option(fc.double({ min: 0, max: 99, noNaN: true })), (worth, price) => {
        const markup = draw(WorthBar, { worth, price, most: 60, label: 'worth' })
        expect(markup).not.toMatch(/NaN|Infinity/)
        expect(markup.match(/<div/g)).toHaveLength(price === null ? 2 : 3)
      }),
      { numRuns: 60 },
    )
    expect(draw(WorthBar, { worth: 0, price: 0, most: 0, label: 'nothing' })).not.toMatch(/NaN|Infinity/)
  })
})

describe('a print of the flesh', () => {
  it('is drawn for every fish of the book at every size, named and told in words', () => {
    for (const offer of createOfferSheet('2026-06-13').offers.slice(0, 120))
      for (const size of ['small', 'large'] as const) {
        const markup = draw(FleshPrint as ComponentType<Parameters<typeof FleshPrint>[0]>, { offer, name: offer.common, size })
        expect(isWhole(markup)).toBe(true)
        expect(labelOf(markup).length).toBeGreaterThan(offer.common.length + 10)
      }
  })
})
