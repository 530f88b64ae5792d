import { createOfferSheet } from '@tender-gill/catalogue'
import { METHODS } from '@tender-gill/contract'
import { describe, expect, it } from 'vitest'
import { createFishSearch } from './fishSearch.ts'
import { rankMethods } from './rankMethods.ts'

const sheet = createOfferSheet('2026-06-13')
const search = createFishSearch(sheet.offers)
const first = (text: string) => search.find(text)[0]?.species

describe('createFishSearch', () => {
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

  it('warns when a name is shared', () => {
    const hit = search.find('butterfish').find(({ soldAs }) => soldAs === 'butterfish')
    expect(hit?.sharedBy).toBeGreaterThan(2)
  })

  it('finds nothing for nonsense', () => {
    expect(search.find('xqzw')).toEqual([])
  })
})

describe('rankMethods', () => {
  it('ranks all ways of cooking a fish, the impossible last with the reason', () => {
    const rows = rankMethods('Oreochromis niloticus', sheet, '2026-06-13')
    expect(rows.map(({ method }) => method).sort()).toEqual([...METHODS].sort())
    const fits = rows.map(({ fit }) => fit ?? -1)
    expect(fits).toEqual([...fits].sort((a, b) => b - a))
    expect(rows.find(({ method }) => method === 'raw')).toMatchObject({ fit: null, sentence: expect.stringContaining('never served raw') })
  })

  it('smokes an eel and does not deep-fry a herring first', () => {
    expect(rankMethods('Anguilla anguilla', sheet, '2026-06-13').find(({ method }) => method === 'smoke')?.fit).toBeGreaterThan(95)
    expect(rankMethods('Clupea harengus', sheet, '2026-06-13')[0]?.method).not.toBe('deep-fry')
  })
})
