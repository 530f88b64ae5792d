import { describe, expect, it } from 'vitest'
import { createFindSpecies, normaliseBrief } from '../brief/index.ts'
import { TODAY, buildBrief, buildOffer, must } from '../testing/builders.ts'
import { estimateMercury, findCautions, findRawRefusal } from './index.ts'
import { told } from '../testing/told.ts'

const normalise = (patch: Parameters<typeof buildBrief>[0] = {}) =>
  must(normaliseBrief(buildBrief(patch), { findSpecies: createFindSpecies([buildOffer('Piscis unus')]), today: TODAY }))
const raw = normalise({ method: 'raw', format: 'slice' })
const frozenFirst = normalise({ method: 'raw', format: 'slice', rawTreatment: 'frozen' })
const kinds = (patch: Parameters<typeof buildOffer>[1], brief: ReturnType<typeof normalise>) =>
  findCautions(buildOffer('Piscis unus', patch), brief).map(({ kind }) => kind)

describe('findRawRefusal', () => {
  it.each([
    ['a parasite host unfrozen', { parasites: 'host' }, 'parasites', undefined],
    ['a fish of unknown parasites unfrozen', { parasites: 'unknown' }, 'parasites', undefined],
    ['a fresh-water fish', { water: 'fresh' }, 'fresh-water', 'fresh-water'],
    ['a fish of unknown water', { water: 'unknown' }, 'fresh-water', 'fresh-water'],
    ['a bivalve', { bivalve: true }, 'bivalve', 'bivalve'],
  ] as const)('closes %s, and freezing opens parasites alone', (_what, patch, unfrozen, frozen) => {
    expect(findRawRefusal(buildOffer('Piscis unus', patch), raw)).toBe(unfrozen)
    expect(findRawRefusal(buildOffer('Piscis unus', patch), frozenFirst)).toBe(frozen)
  })

  it('passes farmed on feed and the large tunas unfrozen', () => {
    for (const parasites of ['controlled-feed', 'low'] as const)
      expect(findRawRefusal(buildOffer('Piscis unus', { parasites }), raw)).toBeUndefined()
  })

  it('takes state frozen for no proof of the published time and temperature', () => {
    expect(findRawRefusal(buildOffer('Piscis unus', { parasites: 'host', state: 'frozen' }), raw)).toBe('parasites')
    expect(findRawRefusal(buildOffer('Piscis unus', { parasites: 'host', frozenForRaw: true }), raw)).toBeUndefined()
  })

  it('counts a cure and cold smoke as raw, hot smoke as cooked', () => {
    const host = buildOffer('Piscis unus', { parasites: 'host' })
    const smoke = (smokeHeat: 'hot' | 'cold') => normalise({ method: 'smoke', format: 'fillet-skin-on', smokeHeat })
    expect(findRawRefusal(host, normalise({ method: 'cure', format: 'slice' }))).toBe('parasites')
    expect(findRawRefusal(host, smoke('cold'))).toBe('parasites')
    expect(findRawRefusal(host, smoke('hot'))).toBeUndefined()
  })
})

describe('estimateMercury', () => {
  it('puts 150 g of a very high class at 2.5 µg per kg for 60 kg, over the limit', () => {
    expect(estimateMercury('very-high', normalise({ diners: { pregnant: 1 } }))).toMatchObject({
      eater: 'pregnant',
      typical: 2.5,
      overLimit: true,
    })
  })

  it('counts a child at 0.6 of a portion and 20 kg', () => {
    expect(estimateMercury('medium', normalise({ diners: { children: 1 } }))?.typical).toBeCloseTo((0.16 * 90) / 20, 9)
  })

  it('is silent when nobody sensitive eats', () => {
    expect(estimateMercury('very-high', normalise())).toBeUndefined()
  })
})

describe('findCautions', () => {
  it('always stands beside a histamine former, and says 8 °C is too warm', () => {
    expect(kinds({ histamine: true }, normalise())).toContain('histamine')
    expect(
      told(findCautions(buildOffer('Piscis unus', { histamine: true }), normalise({ keep: { hours: 4, tempC: 8 } })))[0]?.sentence,
    ).toContain('8 °C is too warm')
  })

  it('names bones for children, ciguatera, spines and a restricted trade', () => {
    const boned = {
      bones: { ...buildOffer('x y').bones, 'fillet-pinned': null, fillet: { low: 3, typical: 4, high: 5, basis: 'compiled' as const } },
    }
    expect(kinds(boned, normalise({ diners: { children: 1 } }))).toContain('bones')
    expect(
      kinds({ ciguatera: true, spines: 'Sharp.', listing: { status: 'restricted', year: 2024, sentence: 'Limited' } }, normalise()),
    ).toEqual(['ciguatera', 'spines', 'listing'])
  })

  it('defers to the local authority wherever it can hurt', () => {
    const sentences = told(
      findCautions(
        buildOffer('Piscis unus', { histamine: true, ciguatera: true, mercury: 'very-high', parasites: 'host' }),
        normalise({ doneness: 'moist' }),
      ),
    )
    expect(sentences).toHaveLength(4)
    for (const { sentence } of sentences) expect(sentence).toContain('local authority')
  })
})
