import type { Brief } from '@tender-gill/contract'
import { describe, expect, it } from 'vitest'
import { METHOD_TABLE } from '../tables/methods.ts'
import { TODAY, buildBrief, buildOffer, mustTell as must } from '../testing/builders.ts'
import { createFindSpecies, normaliseBrief } from './index.ts'

const findSpecies = createFindSpecies([buildOffer('Piscis unus', { synonyms: ['Piscis vetus'] })])
const attempt = (patch: Partial<Brief>) => normaliseBrief(buildBrief(patch), { findSpecies, today: TODAY })
const normalise = (patch: Partial<Brief>) => must(attempt(patch))
const problems = (patch: Partial<Brief>) => {
  const answer = attempt(patch)
  return answer.ok ? [] : answer.error.map(({ path }) => path)
}

describe('asks', () => {
  it('keeps what the method set in the fields the brief leaves alone, and lists where each came from', () => {
    const { cohesion } = METHOD_TABLE.grill.asks
    expect(normalise({ method: 'grill', format: 'portion', asks: { cohesion: { pull: 2 } } }).asks.cohesion).toMatchObject({
      from: cohesion?.from,
      to: null,
      pull: 2,
      must: { from: cohesion?.must?.from, to: null },
      because: ['method', 'brief'],
    })
  })

  it('gives a trait first named in the brief a pull of 3', () => {
    expect(normalise({ asks: { collagen: { from: 6 } } }).asks.collagen).toMatchObject({ from: 6, pull: 3, because: ['brief'] })
  })

  it('makes the band the bound when the brief says must, and lifts the method’s must when it says not', () => {
    expect(normalise({ asks: { fat: { from: 3, to: 10, must: true } } }).asks.fat?.must).toEqual({ from: 3, to: 10 })
    expect(normalise({ method: 'grill', format: 'chunk', asks: { cohesion: { must: false } } })).toMatchObject({
      openedByHand: ['cohesion'],
      asks: { cohesion: { must: null } },
    })
  })

  it('narrows bones to 3 with a pull of at least 4 and a must of 6 for children', () => {
    expect(normalise({ method: 'curry', format: 'steak', diners: { children: 1 } }).asks.bones).toMatchObject({
      to: 3,
      pull: 4,
      must: { from: null, to: 6 },
    })
  })

  it('only narrows: a band already tighter than the modifier stays', () => {
    expect(normalise({ method: 'chowder', format: 'chunk', diners: { boneShy: true } }).asks.bones).toMatchObject({ to: 1, pull: 5 })
  })

  it('lets the modifier’s edge win when nothing is left of the band', () => {
    expect(normalise({ method: 'broil', format: 'portion', asks: {}, longCooking: true }).asks.tolerance).toMatchObject({ from: 6 })
    expect(normalise({ method: 'cure', format: 'slice', style: 'sour', seasoning: 'gentle' }).asks.flavour).toMatchObject({
      from: null,
      to: 4,
    })
    expect(
      normalise({ method: 'cure', format: 'slice', style: 'ripened', diners: { dislikesStrongFish: true } }).asks.flavour,
    ).toMatchObject({
      ...{ from: 5, to: 5 },
    })
  })

  it('asks a whole fish of about n portions / 0.45, a quarter either way', () => {
    expect(normalise({ method: 'roast-whole', format: 'whole', wholeServes: 2 }).asks.weight).toMatchObject({
      from: (300 / 0.45) * 0.75,
      to: (300 / 0.45) * 1.25,
    })
    expect(normalise({ method: 'roast-whole', format: 'whole', wholeServes: null }).asks.weight).toBeUndefined()
  })

  it('asks crisp skin with a must of 3, and nothing of a skin that comes off', () => {
    expect(normalise({ skin: 'crisp' }).asks.skin).toMatchObject({ from: 6.5, must: { from: 3, to: null } })
    expect(normalise({ skin: 'off' }).asks.skin?.pull).toBe(0)
  })

  it('gives every default ask of every method a reason', () => {
    for (const method of Object.values(METHOD_TABLE))
      for (const ask of Object.values(method.asks)) expect(ask.why.length).toBeGreaterThan(5)
  })
})

describe('what is refused', () => {
  it('refuses more diners than covers, one being the default', () => {
    expect(problems({ covers: 2, diners: { children: 2, elderly: 1 } })).toEqual(['/diners'])
    expect(must(attempt({ covers: 3, diners: { children: 2, elderly: 1 } })).covers).toBe(3)
  })

  it('refuses a band off its scale and one upside down, each at its end', () => {
    expect(problems({ asks: { firmness: { to: 12 } } })).toEqual(['/asks/firmness/to'])
    expect(problems({ asks: { firmness: { from: 6, to: 4 } } })).toEqual(['/asks/firmness/from'])
  })

  it('refuses moist for the vulnerable and an impossible cut', () => {
    expect(problems({ doneness: 'moist', diners: { pregnant: 1 } })).toEqual(['/doneness'])
    expect(problems({ method: 'broth', format: 'mince' })).toEqual(['/format'])
  })

  it('names unknown fish in the market by row', () => {
    expect(problems({ market: { prices: [{ species: 'Nemo nemo', form: 'whole', price: 1, currency: 'EUR', unit: 'kg' }] } })).toEqual([
      '/market/prices/0/species',
    ])
  })

  it('understands a synonym and writes today into a brief that names no day', () => {
    expect(normalise({ pool: ['piscis  vetus'] })).toMatchObject({
      pool: ['Piscis unus'],
      date: TODAY,
      askedAs: { 'Piscis unus': 'piscis  vetus' },
    })
  })
})

describe('a house that leans', () => {
  const lean = (brief: object, leanings: object) =>
    must(
      normaliseBrief(buildBrief({ method: 'grill', format: 'chunk', ...brief }), { findSpecies: (name) => name, today: TODAY, leanings }),
    )

  it('weighs what the method asks, and is itself overruled by the brief', () => {
    expect(lean({ format: 'portion' }, { asks: { fat: { pull: 5 } } }).asks.fat).toMatchObject({
      ...{ from: METHOD_TABLE.grill.asks.fat?.from, to: METHOD_TABLE.grill.asks.fat?.to, pull: 5, because: ['method', 'house'] },
    })
    expect(lean({ format: 'portion', asks: { fat: { pull: 1 } } }, { asks: { fat: { pull: 5 } } }).asks.fat).toMatchObject({
      pull: 1,
      because: ['method', 'house', 'brief'],
    })
  })

  it('asks for nothing new by weight alone, and for something new by a band', () => {
    expect(lean({}, { asks: { binding: { pull: 5 } } }).asks.binding).toBeUndefined()
    expect(lean({}, { asks: { collagen: { from: 5 } } }).asks.collagen).toMatchObject({ from: 5, to: null, pull: 3, because: ['house'] })
  })

  it('likes it moist, but not for those who must not have it', () => {
    expect(lean({}, { doneness: 'moist' }).doneness).toBe('moist')
    expect(lean({ diners: { pregnant: 1 } }, { doneness: 'moist' }).doneness).toBe('set')
    expect(lean({ doneness: 'set' }, { doneness: 'moist' }).doneness).toBe('set')
  })
})
