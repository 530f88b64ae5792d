import { createOfferSheet } from '@tender-gill/catalogue'
import { describe, expect, it } from 'vitest'
import { createFishSearch } from '@tender-gill/names'

const sheet = createOfferSheet('2026-06-13')
const search = createFishSearch(sheet.offers)
const first = (text: string) => search.find(text)[0]?.species

describe('the search over the whole book', () => {
  it.each([
    ['monkfish', 'Lophius piscatorius'],
    ['MONK', 'Lophius piscatorius'],
    ['églefin', 'Melanogrammus aeglefinus'],
    ['eglefin', 'Melanogrammus aeglefinus'],
    ['haddok', 'Melanogrammus aeglefinus'],
    ['Theragra', 'Gadus chalcogrammus'],
    ['Dover sole', 'Solea solea'],
    ['sole dover', 'Solea solea'],
    ['coquille saint', 'Pecten maximus'],
  ])('finds %s as %s', (text, species) => {
    expect(first(text)).toBe(species)
  })

  it('says by how many a name is shared', () => {
    const hit = search.find('butterfish').find(({ soldAs }) => soldAs === 'butterfish')
    expect(hit?.sharedBy).toBeGreaterThan(2)
  })

  it('finds nothing for nonsense', () => {
    expect(search.find('xqzw')).toEqual([])
  })
})
