import type { SourceSpecies } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { listSpecies } from '../book.ts'
import { findShipped, listSources } from '../sources.ts'
import { fromPatch, toPatch } from './houseHand.ts'
import { expandHouseSpecies, listHouseSpecies } from './listHouseSpecies.ts'

const cod = findShipped('Gadus morhua') as SourceSpecies
const withFirmness = (source: SourceSpecies, firmness: [number, number, number]): SourceSpecies => ({
  ...source,
  flesh: { ...source.flesh, firmness },
})

describe('the house’s hand', () => {
  it('keeps only what differs from the book, and gives the whole back', () => {
    const mine = withFirmness(cod, [5, 6, 7])
    expect(toPatch(mine, cod)).toEqual({ flesh: { firmness: [5, 6, 7] } })
    expect(fromPatch(toPatch(mine, cod), cod)).toEqual(mine)
    expect(toPatch(cod, cod)).toBeNull()
    expect(fromPatch(null, cod)).toBe(cod)
  })

  it('loses nothing between any two entries of the book', () => {
    fc.assert(
      fc.property(fc.constantFrom(...listSources()), fc.constantFrom(...listSources()), (a, b) => {
        expect(fromPatch(toPatch(b, a), a)).toEqual(b)
      }),
      { seed: 11, numRuns: 150 },
    )
  })

  it('marks what the house changed as the house’s and leaves the rest compiled, in every state', () => {
    const { offers, hand } = expandHouseSpecies({ source: withFirmness(cod, [5, 6, 7]), hidden: false })
    expect(hand).toBe('house-changed')
    // A part of the fish has figures of its own in the book.
    for (const { traits } of offers.filter(({ part }) => part === 'body')) {
      expect(traits.firmness.basis).toBe('house')
      expect(traits.flake.basis).toBe('compiled')
    }
  })

  it('puts a house’s own species among the book’s, all of it the house’s', () => {
    const own: SourceSpecies = { ...cod, scientific: 'Gadus domesticus', common: 'House cod', synonyms: [], offers: cod.offers.slice(0, 1) }
    const sheets = listHouseSpecies([{ source: own, hidden: false }])
    expect(sheets).toHaveLength(listSpecies().length + 1)
    const sheet = sheets.find(({ species }) => species === 'Gadus domesticus')
    expect(sheet).toMatchObject({
      hand: 'house-own',
      offers: [{ id: 'gadus-domesticus.wild.fresh.body', traits: { flake: { basis: 'house' } } }, {}],
    })
  })

  it('keeps a house’s fat although a table measured it', () => {
    const rohu = findShipped('Labeo rohita') as SourceSpecies
    const mine: SourceSpecies = { ...rohu, flesh: { ...rohu.flesh, fat: [4, 5, 6] } }
    expect(expandHouseSpecies({ source: mine, hidden: false }).offers[0]?.traits.fat).toEqual({
      low: 4,
      typical: 5,
      high: 6,
      basis: 'house',
    })
  })

  it('is the book’s own sheet where the house changed nothing, seen or hidden, of every species', () => {
    for (const source of listSources())
      for (const hidden of [false, true]) {
        const laid = expandHouseSpecies({ source, hidden })
        // A copy is not known to be the book's: it is laid out from its source.
        expect(JSON.parse(JSON.stringify(expandHouseSpecies({ source: { ...source }, hidden })))).toEqual(laid)
      }
  })

  it('hides a species without taking it away', () => {
    const sheet = listHouseSpecies([{ source: cod, hidden: true }]).find(({ species }) => species === 'Gadus morhua')
    expect(sheet).toMatchObject({ hidden: true, hand: 'book' })
    expect(sheet?.offers.every(({ hidden }) => hidden)).toBe(true)
  })
})
