import { createOfferSheet } from '@tender-gill/catalogue'
import { describe, expect, it } from 'vitest'
import { createFishSearch } from './index.ts'

const { offers } = createOfferSheet('2026-06-13')
const search = createFishSearch(offers)

describe('a name word for word', () => {
  it('finds every fish of the book by its own name and its scientific one, whatever case, accents and spaces', () => {
    for (const { species, common } of new Map(offers.map((offer) => [offer.species, offer])).values()) {
      expect(search.findExact(species.toUpperCase())).toBe(species)
      expect(search.findExact(`  ${common.toLowerCase()} `)).toBe(species)
    }
  })

  it('finds no fish by a name that several share, that is misspelt, or that nobody has', () => {
    for (const name of ['cod', 'sea bass', 'Hadock', 'no such fish', '']) expect(search.findExact(name)).toBeUndefined()
    expect(search.findShared('cod')?.species.length).toBeGreaterThan(1)
    expect(search.find('Hadock')[0]?.species).toBe('Melanogrammus aeglefinus')
  })

  it('finds one fish by a market name that it alone has', () => {
    for (const { marketNames, species } of offers)
      for (const name of marketNames) {
        const shared = search.findShared(name)?.species
        const found = search.findExact(name)
        // The book's own name of a fish beats a market name that others share.
        if (shared) expect([undefined, ...shared]).toContain(found)
        else expect([species, ...(found === undefined ? [] : [found])]).toContain(found)
      }
  })
})
