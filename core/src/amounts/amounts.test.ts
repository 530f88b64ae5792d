import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { createFindSpecies, normaliseBrief } from '../brief/index.ts'
import { TODAY, buildBrief, buildOffer, exactly, must } from '../testing/builders.ts'
import { computeWeightToBuyG, countPortions, weightFromYields } from './index.ts'

const offer = buildOffer('Piscis unus')
const normalise = (patch: Parameters<typeof buildBrief>[0] = {}) =>
  must(normaliseBrief(buildBrief(patch), { findSpecies: createFindSpecies([offer]), today: TODAY }))

describe('weight to buy', () => {
  it('is portions x portion / (form x trim x cooking): 4 x 150 g of pan-seared portions from whole fish is 1.6 kg', () => {
    expect(computeWeightToBuyG(offer, 'whole', normalise()).typical).toBeCloseTo(600 / (0.48 * 0.95 * 0.82), 6)
  })

  it('counts a child as 0.6 of a portion, inside the covers', () => {
    expect(countPortions(normalise({ covers: 10, diners: { children: 5 } }))).toBeCloseTo(8, 9)
  })

  it('leaves cooking out of a portion weighed raw', () => {
    const ratio =
      computeWeightToBuyG(offer, 'fillet-skin-on', normalise()).typical /
      computeWeightToBuyG(offer, 'fillet-skin-on', normalise({ portionBasis: 'raw' })).typical
    expect(ratio).toBeCloseTo(1 / 0.82, 9)
  })

  it('adds the water a frozen fish loses and the ice it is glazed with', () => {
    const frozen = buildOffer('Piscis unus', {
      state: 'frozen',
      prices: [
        {
          form: 'fillet-skin-on',
          perKg: exactly(9),
          currency: 'EUR',
          quotes: 1,
          latestDate: null,
          quoteId: null,
          merchant: null,
          glaze: 0.1,
        },
      ],
    })
    const ratio =
      computeWeightToBuyG(frozen, 'fillet-skin-on', normalise()).typical / computeWeightToBuyG(offer, 'fillet-skin-on', normalise()).typical
    expect(ratio).toBeCloseTo(1 / (0.95 * 0.9), 9)
  })

  it('never asks for more of a cut form than of the whole fish', () => {
    for (const form of ['gutted', 'fillet-skin-on', 'fillet-skinless'] as const)
      expect(computeWeightToBuyG(offer, form, normalise({ format: 'chunk', method: 'stew' })).typical).toBeLessThanOrEqual(
        computeWeightToBuyG(offer, 'whole', normalise({ format: 'chunk', method: 'stew' })).typical,
      )
  })

  it('grows in proportion with covers, and its range holds the typical', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 500 }), fc.double({ min: 0.3, max: 1, noNaN: true }), (covers, kept) => {
        const yields = {
          form: { low: kept * 0.9, typical: kept, high: Math.min(1, kept * 1.1) },
          trim: 0.95,
          thaw: 1,
          glaze: 0,
          cooking: { low: 0.75, typical: 0.8, high: 0.85 },
        }
        const one = weightFromYields(150, yields)
        const many = weightFromYields(150 * covers, yields)
        expect(many.typical / one.typical).toBeCloseTo(covers, 6)
        expect(one.low).toBeLessThanOrEqual(one.typical)
        expect(one.typical).toBeLessThanOrEqual(one.high)
      }),
      { seed: 21 },
    )
  })
})
