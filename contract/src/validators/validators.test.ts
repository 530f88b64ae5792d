import { describe, expect, it } from 'vitest'
import { parseBrief as parseInBrowser } from '@tender-gill/contract/browser'
import { buildOpenApi } from '../openApi.ts'
import { Brief } from '../brief.ts'
import { createParser, parseBrief, parseServingInput, parseLineUp, parsePriceInput, parseStandIns, parseStandInsRequest } from './index.ts'

const brief = (patch: object = {}) => ({ dish: 'Skewers', method: 'grill', format: 'chunk', ...patch })
const pathsOf = (result: ReturnType<typeof parseBrief>) => (result.ok ? [] : result.error.map(({ path }) => path))

const MISTAKES: readonly (readonly [string, object, readonly string[]])[] = [
  ['an unknown method', { method: 'fry' }, ['/method']],
  ['an empty dish', { dish: '' }, ['/dish']],
  ['a dish of 121 characters', { dish: 'x'.repeat(121) }, ['/dish']],
  ['a negative cover count', { covers: -1 }, ['/covers']],
  ['half a cover', { covers: 1.5 }, ['/covers']],
  ['a cut 2 mm thick', { thicknessMm: 2 }, ['/thicknessMm']],
  ['an empty pool', { pool: [] }, ['/pool']],
  ['99 draws', { draws: 99 }, ['/draws']],
  ['a pull of 6', { asks: { fat: { pull: 6 } } }, ['/asks/fat/pull']],
  ['an ask that does not exist', { asks: { juiciness: {} } }, ['/asks/juiciness']],
  ['an unknown field in diners', { diners: { guests: 2 } }, ['/diners/guests']],
  ['a day that is none', { date: '2026-02-31' }, ['/date']],
  [
    'a price of nothing',
    { market: { prices: [{ species: 'Gadus morhua', form: 'whole', price: 0, currency: 'EUR', unit: 'kg' }] } },
    ['/market/prices/0/price'],
  ],
]

describe('parseBrief', () => {
  it.each(MISTAKES)('refuses %s at its place', (_what, patch, paths) => {
    expect(pathsOf(parseBrief(brief(patch)))).toEqual(paths)
  })

  it.each(MISTAKES)('refuses %s in the browser with the same words', (_what, patch) => {
    expect(parseInBrowser(brief(patch))).toEqual(parseBrief(brief(patch)))
  })

  it('is one validator for all who ask with one schema, and what each was told stays as it was', () => {
    const another = createParser(Brief)
    const first = another(brief({ covers: -1 }))
    expect(pathsOf(parseBrief(brief({ thicknessMm: 2 })))).toEqual(['/thicknessMm'])
    expect(pathsOf(first)).toEqual(['/covers'])
    expect(another(brief()).ok).toBe(true)
  })

  it('names every missing and unknown field of one document at once', () => {
    expect(parseBrief({ dish: 'x', colour: { wanted: ['blue'] }, hue: 1 })).toEqual({
      ok: false,
      error: expect.arrayContaining([
        { path: '/method', message: 'is required' },
        { path: '/format', message: 'is required' },
        { path: '/hue', message: 'unknown field "hue"' },
        { path: '/colour/wanted/0', message: 'must be one of: white, ivory, grey, tan, pink, red, dark' },
      ]),
    })
  })

  it('takes every field of the contract', () => {
    const full = {
      thicknessMm: 30,
      covers: 24,
      portionG: 160,
      portionBasis: 'cooked',
      diners: {
        children: 2,
        pregnant: 0,
        elderly: 0,
        immunocompromised: 0,
        boneShy: false,
        newToWholeFish: false,
        dislikesStrongFish: false,
        allergies: ['crustacean'],
      },
      doneness: 'set',
      skin: 'any',
      seasoning: 'balanced',
      longCooking: false,
      smokeHeat: 'hot',
      wholeServes: 1,
      wholeWeightG: { from: 300, to: 500 },
      origin: 'any',
      state: 'any',
      offers: { 'Salmo salar': { origin: 'farmed', state: 'thawed', frozenForRaw: false } },
      rawTreatment: 'none',
      keep: { hours: 48, tempC: 4 },
      date: '2026-06-13',
      waters: null,
      budget: { perPortion: 4.2, currency: 'EUR', must: false },
      colour: { wanted: ['white', 'ivory'], pull: 3, must: false },
      asks: { fat: { from: 3, to: 10, pull: 3, must: false } },
      pool: ['Argyrosomus regius'],
      unavailable: ['Lophius piscatorius'],
      market: { prices: [], seasons: [], stocks: [] },
      allOffers: false,
      draws: 2000,
      seed: 1,
    }
    expect(parseBrief(brief(full)).ok).toBe(true)
    expect(
      parseStandInsRequest(brief({ ...full, missing: 'Gadus morhua', missingOffer: 'gadus-morhua.wild.fresh.body', because: 'too-dear' }))
        .ok,
    ).toBe(true)
  })

  it('refuses what is no object at the root', () => {
    expect(pathsOf(parseBrief([]))).toEqual([''])
    expect(pathsOf(parseBrief(null))).toEqual([''])
  })
})

describe('other inputs', () => {
  it('names the place inside a stored dish and a stored price', () => {
    expect(parseServingInput({ brief: brief({ covers: 0 }) })).toMatchObject({ ok: false, error: [{ path: '/brief/covers' }] })
    expect(parsePriceInput({ price: { species: 'Gadus morhua', form: 'whole', price: 9, currency: 'euro', unit: 'kg' } })).toMatchObject({
      ok: false,
      error: [{ path: '/price/currency' }],
    })
  })
})

describe('the published OpenAPI document', () => {
  it('refers only to schemas it carries', () => {
    const document = buildOpenApi('1')
    const text = JSON.stringify(document.paths)
    const names = [...text.matchAll(/#\/components\/schemas\/(\w*)/g)].map(([, name]) => name)
    expect(names.length).toBeGreaterThan(20)
    for (const name of names) expect(Object.keys(document.components.schemas)).toContain(name)
  })
})

describe('parsers', () => {
  it('work in whatever order they are first used, though their schemas hold each other', () => {
    expect(parseServingInput({ brief: brief() }).ok).toBe(true)
    expect(parseBrief(brief()).ok).toBe(true)
    expect(parseLineUp({}).ok).toBe(false)
    expect(parseStandIns({}).ok).toBe(false)
  })
})
