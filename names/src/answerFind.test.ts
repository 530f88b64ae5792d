import { listSpecies } from '@tender-gill/catalogue'
import { parseFoundNames } from '@tender-gill/contract/validators'
import { describe, expect, it } from 'vitest'
import { answerFind, createNameSearch } from './index.ts'

const sheets = listSpecies()
const search = createNameSearch(sheets.flatMap(({ offers: [offer], names }) => (offer ? [{ ...offer, names }] : [])))
const find = (name: string, more: { language?: string; most?: number } = {}) => answerFind({ name, ...more }, search)
const firsts = (name: string) => find(name, { most: 3 }).hits.map(({ common }) => common)

describe('a fish by any name', () => {
  it('is found first by every name the book has for it in any tongue, or stands among those that share the name', () => {
    for (const { species, names } of sheets)
      for (const name of Object.values(names).flat()) {
        const { hits, shared } = find(name, { most: 12 })
        // An assertion for each of thousands of names would take longer than the search.
        const found = hits.some((hit) => hit.species === species)
        if (!found || (!shared && hits[0]?.species !== species)) expect([name, hits]).toEqual(species)
      }
  })

  it.each([
    ['another script', '秋刀魚', 'Pacific saury'],
    ['the other syllabary', 'さば', 'Chub mackerel'],
    ['words joined', 'lemonsole', 'Lemon sole'],
    ['words apart', 'mack erel', 'Atlantic mackerel'],
    ['swapped letters', 'hadodck', 'Haddock'],
    ['no accents', 'luefer lufer', 'Bluefish'],
    ['a plural', 'Brills', 'Brill'],
    ['capitals', 'KABELJAUW', 'Atlantic cod'],
    ['a trade cut', 'monktail', 'Anglerfish (monkfish)'],
    ['a smoked name', 'finnan haddie', 'Haddock'],
    ['a cured name', 'boquerones', 'European anchovy'],
  ])('is found by %s', (_how, name, common) => {
    expect(firsts(name)).toContain(common)
  })

  it('says that a name is shared, and that one who shares it makes people ill', () => {
    expect(find('loup de mer')).toMatchObject({ shared: true, hits: [{ language: 'en' }, { language: 'fr' }] })
    expect(find('white tuna').sentence).toContain('wax ester')
    expect(find('seabass').shared).toBe(true)
    expect(find('haddock')).toMatchObject({ shared: false, sentence: null })
  })

  it('puts the names of a tongue first where one is named, and tells the place of a name that is of one', () => {
    expect(find('merlan', { language: 'de' }).hits[0]).toMatchObject({ language: 'de' })
    expect(find('merlan', { language: 'fr' }).hits[0]).toMatchObject({ language: 'fr' })
    expect(find('coley').hits[0]?.species).toBe('Pollachius virens')
  })

  it('knows when it knows nothing, and answers in the shape of the contract', () => {
    const nothing = find('xqzwv')
    expect(nothing).toMatchObject({ hits: [], shared: false })
    expect(nothing.sentence).toContain('No fish')
    for (const name of ['cod', 'xqzwv', 'シマアジ'])
      expect(parseFoundNames(JSON.parse(JSON.stringify(find(name))))).toMatchObject({ ok: true })
  })
})
