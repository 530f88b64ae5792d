import { listSpecies } from '@tender-gill/catalogue/book'
import { describe, expect, it } from 'vitest'
import { listSafetyNotes } from './index.ts'
import { told } from '../testing/told.ts'

const notesOf = (name: string) => listSafetyNotes(listSpecies().find(({ species }) => species === name)?.offers ?? [])
const sentenceOf = (name: string, kind: string) => notesOf(name).flatMap((note) => (note.kind === kind ? [told(note.sentence)] : []))

describe('what to beware of, whatever the dish', () => {
  it('says of every species its allergen, its mercury and whether it may be eaten raw', () => {
    for (const { species, offers } of listSpecies()) {
      const kinds = listSafetyNotes(offers).map(({ kind }) => kind)
      for (const kind of ['allergy', 'mercury', 'raw']) expect(kinds, species).toContain(kind)
    }
  })

  it('defers to the local authority wherever it warns', () => {
    for (const { offers } of listSpecies())
      for (const { kind, sentence } of told(listSafetyNotes(offers)))
        if (kind !== 'allergy' && kind !== 'spines' && !sentence.startsWith('Little'))
          expect(sentence).toContain('local authority’s advice')
  })

  it('tells farmed from wild where they differ, and never calls a river fish or a bivalve fit to eat raw', () => {
    expect(sentenceOf('Salmo salar', 'raw')).toEqual([
      expect.stringMatching(/^Farmed fish: reared in the sea on pellets/),
      expect.stringMatching(/^Wild fish: may carry parasites: raw only after freezing/),
    ])
    const trout = sentenceOf('Oncorhynchus mykiss', 'raw')
    expect(trout).toContainEqual(expect.stringMatching(/^Farmed fish of the sea: reared in the sea on pellets/))
    expect(trout).toContainEqual(expect.stringContaining('never raw'))
    expect(sentenceOf('Cyprinus carpio', 'raw')[0]).toContain('never raw')
    expect(sentenceOf('Mytilus edulis', 'raw')[0]).toContain('not offered raw')
    for (const { species, offers } of listSpecies())
      if (offers.every(({ water }) => water !== 'sea'))
        expect(sentenceOf(species, 'raw'), species).toEqual([expect.stringContaining('never raw')])
  })

  it('gives mercury with its order of magnitude, and says wax, venom and histamine', () => {
    expect(sentenceOf('Xiphias gladius', 'mercury')[0]).toContain('Mercury very high: about 1 µg in a gram')
    expect(sentenceOf('Ruvettus pretiosus', 'wax-ester')).toHaveLength(1)
    expect(sentenceOf('Trachinus draco', 'spines')[0]).toContain('Venomous')
    expect(sentenceOf('Scomber scombrus', 'histamine')[0]).toContain('cooking does not remove')
  })
})
