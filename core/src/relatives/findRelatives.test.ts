import { listOffers } from '@tender-gill/catalogue/book'
import type { ResolvedOffer } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { computeKinship, findRelatives } from './index.ts'
import { cases } from '../testing/cases.ts'

const offers = listOffers()
const offer = fc.constantFrom(...offers)
const byId = (id: string) => offers.find((one) => one.id === id) as ResolvedOffer

describe('kinship in the kitchen', () => {
  it('is nothing to itself, the same both ways, and never shorter by a detour', () => {
    fc.assert(
      fc.property(offer, offer, offer, (a, b, c) => {
        expect(computeKinship(a, a).distance).toBe(0)
        expect(computeKinship(a, b).distance).toBeCloseTo(computeKinship(b, a).distance, 12)
        expect(computeKinship(a, c).distance).toBeLessThanOrEqual(computeKinship(a, b).distance + computeKinship(b, c).distance + 1e-12)
      }),
      { seed: 8, numRuns: cases(300) },
    )
  })

  it('names other species only, each once, nearest first, whatever the order of the book', () => {
    fc.assert(
      fc.property(offer, (one) => {
        const kin = findRelatives(one, offers)
        const species = kin.map((relative) => relative.offer.species)
        expect(new Set(species).size).toBe(species.length)
        expect(species).not.toContain(one.species)
        const distances = kin.map(({ distance }) => distance)
        expect(distances).toEqual([...distances].sort((a, b) => a - b))
        expect(findRelatives(one, [...offers].reverse()).map((relative) => relative.offer.id)).toEqual(
          kin.map((relative) => relative.offer.id),
        )
      }),
      { seed: 9, numRuns: cases(60) },
    )
  })

  it('sets the anglerfishes together and says that a sardine is stronger than a cod', () => {
    const kin = findRelatives(byId('lophius-piscatorius.wild.fresh.body'), offers, { most: 2 }).map((relative) => relative.offer.species)
    expect(kin.sort()).toEqual(['Lophius americanus', 'Lophius budegassa'])
    const { differences } = computeKinship(byId('gadus-morhua.wild.fresh.body'), byId('sardina-pilchardus.wild.fresh.body'))
    expect(differences.find(({ key }) => key === 'flavour')?.shoulders).toBeGreaterThan(1)
  })
})
