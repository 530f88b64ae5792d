import { BAND_KEYS, FORMATS, METHODS, SIGNS, STYLE_NAMES, type AskKey, type BandKey, type Method } from '@tender-gill/contract'
import { describe, expect, it } from 'vitest'
import { buildBrief } from '../testing/builders.ts'
import type { DefaultAsk } from './askTable.ts'
import { AXES, DESIRABILITY_FLOOR } from './constants.ts'
import { ACROSS, COOK_PLANS, DONE_C, LEAST_DEPTH_MM, MOST_DEPTH_MM } from './cookPlans.ts'
import { gridCell, METHODS_IN_ORDER, usualFormats } from './cuts.ts'
import { FORMAT_ASKS } from './formats.ts'
import { METHOD_TABLE } from './methods.ts'
import { SIGN_TABLE } from './signs.ts'
import { listStyles, readAskTable, STYLE_TABLE } from './styles.ts'
import { SALT_DIFFUSIVITY, WINDOW_TABLE } from './windows.ts'

type Patch = Partial<DefaultAsk>
/** Every ask of the tables with the words for where it stands. */
function listAsks(): readonly (readonly [where: string, key: AskKey, ask: Patch])[] {
  const rows: (readonly [string, AskKey, Patch])[] = []
  const put = (where: string, asks: object | undefined) => {
    for (const [key, ask] of Object.entries(asks ?? {}) as [AskKey, Patch][]) rows.push([`${where} ${key}`, key, ask])
  }
  const putEntry = (where: string, { asks, byFormat }: { asks: object; byFormat?: object | undefined }) => {
    put(where, asks)
    for (const [format, patches] of Object.entries(byFormat ?? {})) put(`${where} ${format}`, patches as object)
  }
  for (const method of METHODS) putEntry(method, METHOD_TABLE[method])
  for (const [method, styles] of Object.entries(STYLE_TABLE))
    for (const [style, entry] of Object.entries(styles)) putEntry(`${method} ${style}`, entry)
  for (const [format, patches] of Object.entries(FORMAT_ASKS)) put(format, patches)
  return rows
}
const ASKS = listAsks()
const isBand = (key: AskKey): key is BandKey => (BAND_KEYS as readonly string[]).includes(key)

describe('what the ways of cooking ask', () => {
  it('is written for every way, with the heat it is done by and what is left on the plate', () => {
    expect([...METHODS_IN_ORDER].sort()).toEqual([...METHODS].sort())
    for (const method of METHODS) {
      const { cookingYield, asks } = METHOD_TABLE[method]
      expect([method, cookingYield > 0.4 && cookingYield <= 1]).toEqual([method, true])
      expect(Object.keys(asks).length, method).toBeGreaterThan(2)
    }
  })

  it('lies on the scale of its trait, the right way up, and pulls from 0 to 5', () => {
    for (const [where, key, { from, to, pull, must }] of ASKS) {
      if (pull !== undefined) expect(pull >= 0 && pull <= 5, where).toBe(true)
      if (!isBand(key)) continue
      const { min, max } = AXES[key]
      for (const edge of [from, to, must?.from, must?.to])
        if (edge !== undefined) expect(edge >= min && edge <= max, `${where}: ${edge} of ${min} to ${max}`).toBe(true)
      if (from !== undefined && to !== undefined) expect(from, where).toBeLessThan(to)
    }
  })

  it('never lets go of a fish that is within its band: a must is looser than what is wished', () => {
    for (const [where, , { from, to, must }] of ASKS) {
      if (must?.from !== undefined && from !== undefined) expect(must.from, where).toBeLessThanOrEqual(from)
      if (must?.to !== undefined && to !== undefined) expect(must.to, where).toBeGreaterThanOrEqual(to)
    }
  })

  it('gives its reason wherever it asks with a band of its own', () => {
    for (const method of METHODS)
      for (const [key, ask] of Object.entries(METHOD_TABLE[method].asks) as [string, DefaultAsk][]) {
        expect(ask.why.trim().length, `${method} ${key}`).toBeGreaterThan(5)
        expect(ask.why, `${method} ${key}`).not.toMatch(/\.$/)
      }
  })

  it('is the style’s where one is named, and the method’s where none is', () => {
    for (const method of METHODS) {
      expect(readAskTable(buildBrief({ method })).asks).toBe(METHOD_TABLE[method].asks)
      for (const style of listStyles(method)) {
        expect(STYLE_NAMES, `${method} ${style}`).toContain(style)
        const entry = STYLE_TABLE[method]?.[style]
        if (entry) expect(readAskTable(buildBrief({ method, style })).asks).toBe(entry.asks)
      }
    }
  })
})

describe('the scales', () => {
  it('are longer than their shoulders, and what is desired of a fish never falls to nothing', () => {
    for (const key of BAND_KEYS) {
      const { min, max, shoulder } = AXES[key]
      expect(min, key).toBeLessThan(max)
      expect(shoulder, key).toBeGreaterThan(0)
    }
    expect(DESIRABILITY_FLOOR).toBeGreaterThan(0)
    expect(DESIRABILITY_FLOOR).toBeLessThan(0.2)
  })
})

describe('which cuts go with which way of cooking', () => {
  it('leaves every way at least one, the most usual first, and every cut at least one way', () => {
    for (const method of METHODS) {
      const usual = usualFormats(method)
      expect(usual.length, method).toBeGreaterThan(0)
      for (const format of usual) expect(gridCell(method, format)).toBe('allowed')
    }
    for (const format of FORMATS)
      expect(
        METHODS.some((method) => gridCell(method, format) === 'allowed'),
        format,
      ).toBe(true)
  })

  it('cooks whole what says so in its name, and nothing else that way', () => {
    for (const method of ['roast-whole', 'steam-whole'] satisfies Method[])
      expect(FORMATS.filter((format) => gridCell(method, format) !== 'impossible')).toEqual(['whole'])
  })
})

describe('how the minutes are planned', () => {
  it('shares out the whole of what a piece needs, and no more', () => {
    for (const [method, plan] of Object.entries(COOK_PLANS)) {
      const stages = plan(DONE_C.set)
      const shares = stages.reduce((sum, { share = 0 }) => sum + share, 0)
      expect(shares, method).toBeCloseTo(1, 12)
      expect(stages.filter(({ turned }) => turned).length, method).toBeLessThanOrEqual(1)
      expect(stages[0]?.turned ?? false, method).toBe(false)
    }
  })

  it('puts a bath above what the middle is to reach, however far it is cooked', () => {
    for (const celsius of Object.values(DONE_C)) expect(COOK_PLANS['sous-vide']?.(celsius)[0]?.celsius).toBeGreaterThan(celsius)
  })

  it('has the three ends of cooking in their order, and depths in theirs', () => {
    expect(DONE_C.rare).toBeLessThan(DONE_C.moist)
    expect(DONE_C.moist).toBeLessThan(DONE_C.set)
    expect(LEAST_DEPTH_MM).toBeLessThan(MOST_DEPTH_MM)
    for (const shape of Object.values(ACROSS)) expect(shape.lengthOverWidth).toBeGreaterThanOrEqual(1)
  })
})

describe('the signs of age', () => {
  it('are each believed by half or so, and never as if they were all there is', () => {
    for (const sign of SIGNS) {
      const { trust, spanOfKeeping, falseAlarms, vetoFrom } = SIGN_TABLE[sign]
      expect(trust, sign).toBeGreaterThan(0)
      expect(trust, sign).toBeLessThan(1)
      expect(spanOfKeeping, sign).toBeGreaterThan(0)
      expect(vetoFrom ?? 3, sign).toBe(3)
      for (const left of Object.values(falseAlarms)) expect([0, 0.5], sign).toContain(left)
    }
  })
})

describe('what goes in from the faces', () => {
  it('wants less salt than there is to go in, and no front beyond what is too deep', () => {
    for (const [kind, { uptake, speed, mostMinutes, methods }] of Object.entries(WINDOW_TABLE)) {
      expect(speed, kind).toBeGreaterThan(0)
      expect(mostMinutes, kind).toBeGreaterThan(0)
      expect(
        [...methods].every((method) => METHODS.includes(method)),
        kind,
      ).toBe(true)
      if (uptake.kind === 'front') expect(uptake.fromMm, kind).toBeLessThan(uptake.toMm)
      else {
        expect(uptake.fromG, kind).toBeLessThan(uptake.toG ?? Infinity)
        expect(uptake.fromG, kind).toBeLessThan(uptake.faceG)
      }
    }
    expect(SALT_DIFFUSIVITY.low).toBeLessThan(SALT_DIFFUSIVITY.typical)
    expect(SALT_DIFFUSIVITY.typical).toBeLessThan(SALT_DIFFUSIVITY.high)
  })
})
