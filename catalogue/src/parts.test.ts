import type { ResolvedOffer } from '@tender-gill/contract'
import { describe, expect, it } from 'vitest'
import { listOffers } from './book.ts'

const offers = listOffers()
const parts = offers.filter(({ part }) => part === 'tail' || part === 'belly' || part === 'collar')
/** The middle of the same fish. */
function middleOf(offer: ResolvedOffer): ResolvedOffer {
  const found = offers.find(
    ({ species, origin, state, part }) =>
      species === offer.species && origin === offer.origin && state === offer.state && (part === 'body' || part === 'loin'),
  )
  if (!found) throw new Error(`no middle for ${offer.id}`)
  return found
}
const formsOf = ({ forms }: ResolvedOffer) => forms.map(({ form }) => form)

describe('parts of a fish', () => {
  it('are many, of fish large enough to be cut up, and never sold as the whole fish', () => {
    expect(parts.length).toBeGreaterThan(40)
    for (const offer of parts) {
      expect(offer.weightG.typical, offer.id).toBeGreaterThanOrEqual(900)
      expect(formsOf(offer), offer.id).not.toContain('whole')
    }
  })

  it('are as safe as the rest of the fish: rearing, water, parasites and allergen are its own', () => {
    for (const offer of parts) {
      const { parasites, water, allergen, mercury, histamine, ciguatera, listing } = middleOf(offer)
      expect(offer).toMatchObject({ parasites, water, allergen, mercury, histamine, ciguatera, listing })
    }
  })

  it('differ as cooks know them: a fat belly, a lean thin tail without pins (a conger’s is all bones), a bony gelatinous collar', () => {
    for (const offer of parts) {
      const middle = middleOf(offer)
      const pins = ({ bones }: ResolvedOffer) => (bones['fillet-pinned'] ?? bones.fillet)?.typical ?? 10
      switch (offer.part) {
        case 'belly':
          expect(offer.traits.fat.typical, offer.id).toBeGreaterThan(middle.traits.fat.typical)
          expect(offer.depthMm.typical, offer.id).toBeLessThan(middle.depthMm.typical)
          break
        case 'tail':
          expect(offer.traits.fat.typical, offer.id).toBeLessThanOrEqual(middle.traits.fat.typical)
          expect(offer.depthMm.typical, offer.id).toBeLessThan(middle.depthMm.typical)
          // Behind the vent a conger is all bones; in every other fish the pins end there.
          if (offer.family === 'Congridae') expect(pins(offer), offer.id).toBeGreaterThan(pins(middle))
          else expect(pins(offer), offer.id).toBeLessThanOrEqual(pins(middle))
          break
        default:
          expect(offer.traits.collagen.typical, offer.id).toBeGreaterThanOrEqual(middle.traits.collagen.typical)
          expect(pins(offer), offer.id).toBeGreaterThan(pins(middle))
          expect(formsOf(offer), offer.id).toEqual(['steak'])
      }
    }
  })

  it('are compiled, and never pass for measured', () => {
    for (const { id, traits } of parts) for (const { basis } of Object.values(traits)) expect(basis, id).toBe('compiled')
  })
})
