import type { SourceSpecies } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { findShipped, listSources } from '../sources.ts'
import { exportSpecies, importSpecies } from './index.ts'

const cod = findShipped('Gadus morhua') as SourceSpecies
const sourcesOf = (text: string, format: 'json' | 'csv') => importSpecies(text, format, listSources()).good.map(({ source }) => source)

describe('species as a file', () => {
  it.each(['json', 'csv'] as const)('come back from %s with nothing lost, the whole book', (format) => {
    const result = importSpecies(exportSpecies(listSources(), format), format, listSources())
    expect(result.bad).toEqual([])
    expect(result.good.map(({ source }) => source)).toEqual(listSources())
  })

  it('come back from CSV whatever stands in the words of a cook', () => {
    const word = fc.string({ minLength: 1, maxLength: 30 }).filter((text) => text.trim() === text && text !== '')
    fc.assert(
      fc.property(fc.array(word, { minLength: 1, maxLength: 4 }), word, (notes, common) => {
        const source: SourceSpecies = { ...cod, notes, common }
        expect(sourcesOf(exportSpecies([source], 'csv'), 'csv')).toEqual([source])
      }),
      { seed: 5, numRuns: 200 },
    )
  })

  it('have one row a species under a header of plain names', () => {
    const [header = '', row = ''] = exportSpecies([cod], 'csv').split('\n')
    expect(header.split(',').slice(0, 4)).toEqual(['scientific', 'family', 'common', 'names.en'])
    expect(header).toContain('flesh.firmness')
    expect(header).toContain('offers.1.origin')
    expect(row).toContain('4 5 6')
  })
})

describe('a row for a species that is known', () => {
  it('may give only the columns it changes', () => {
    const [source] = sourcesOf('scientific;flesh.firmness;names.fr\nGadus morhua;5 6 7;cabillaud | morue\n', 'csv')
    expect(source).toEqual({ ...cod, flesh: { ...cod.flesh, firmness: [5, 6, 7] }, names: { ...cod.names, fr: ['cabillaud', 'morue'] } })
  })

  it('takes away what its emptied cells held, and comes back so from the house’s own file', () => {
    const bare = findShipped('Thunnus thynnus') as SourceSpecies
    const { spawning: _gone, ...mine } = { ...bare, offers: bare.offers.slice(0, 1) }
    const text = exportSpecies([mine as SourceSpecies], 'csv', listSources())
    expect(sourcesOf(text, 'csv')).toEqual([mine])
  })
})

describe('a file with mistakes', () => {
  const csv = (...rows: readonly SourceSpecies[]) => exportSpecies(rows, 'csv')

  it('names the line, the species, the column and the reason of a bad row, and keeps the good ones apart', () => {
    const broken = csv(cod, { ...cod, scientific: 'Gadus alter' })
      .replace(/\nGadus alter,Gadidae/, '\nGadus alter,Gadidae')
      .split('\n')
    broken[2] = (broken[2] ?? '').replace('3.9 5 6.1', '3.9 fifty 6.1')
    const { rows, good, bad } = importSpecies(broken.join('\n'), 'csv', [])
    expect({ rows, good: good.length }).toEqual({ rows: 2, good: 1 })
    expect(bad).toEqual([{ line: 3, species: 'Gadus alter', path: 'flesh.firmness', message: 'flesh.firmness must be number' }])
  })

  it('counts lines over cells that hold several', () => {
    const tall = { ...cod, notes: ['one\ntwo\nthree', 'four'] }
    const bad = { ...cod, scientific: 'Gadus alter', familiarity: 11 }
    expect(importSpecies(csv(tall, bad), 'csv', []).bad).toMatchObject([{ line: 5, path: 'familiarity' }])
  })

  it('says where a species of a JSON file begins', () => {
    const text = exportSpecies([cod, { ...cod, scientific: 'gadus' }], 'json')
    const line = text.split('\n').findIndex((one, i) => i > 2 && one === '  {') + 1
    expect(importSpecies(text, 'json', []).bad).toMatchObject([{ line, path: '/scientific' }])
  })

  it.each([
    ['nothing at all', '', 'csv', 'the file is empty: a header line is needed'],
    ['a header it does not know', 'scientific,taste\nGadus morhua,good\n', 'csv', 'unknown columns: taste'],
    ['a column twice', 'scientific,common,scientific\nGadus morhua,Cod,Gadus alter\n', 'csv', 'columns that stand twice: scientific'],
    ['no names', 'common\nCod\n', 'csv', 'the column scientific is missing'],
    ['broken JSON', '[{', 'json', 'is not JSON'],
  ] as const)('says of %s what is wrong', (_what, text, format, message) => {
    const { good, bad } = importSpecies(text, format, [])
    expect(good).toEqual([])
    expect(bad[0]?.message).toContain(message)
    expect(bad[0]?.line).toBe(1)
  })

  it('refuses a species that stands twice, and a name that is another’s', () => {
    expect(importSpecies(csv(cod, cod), 'csv', []).bad[0]?.message).toContain('stands in this file twice')
    const thief: SourceSpecies = { ...cod, scientific: 'Theragra chalcogramma' }
    expect(importSpecies(csv(thief), 'csv', listSources()).bad[0]?.message).toContain('belongs to Gadus chalcogrammus')
  })

  it('finds the 37 bad rows among 10,000', () => {
    const many = Array.from({ length: 10_000 }, (_, i): SourceSpecies => {
      const letters = [...String(i).padStart(5, '0')].map((digit) => 'abcdefghij'[Number(digit)]).join('')
      return { ...cod, scientific: `Gadus x${letters}`, ...(i % 270 === 5 && i < 10_000 ? { familiarity: 11 } : {}) }
    })
    const expected = many.flatMap(({ familiarity }, i) => (familiarity > 10 ? [i + 2] : []))
    const { good, bad } = importSpecies(csv(...many), 'csv', listSources())
    expect(bad).toHaveLength(expected.length)
    expect(bad.map(({ line }) => line)).toEqual(expected)
    expect(good).toHaveLength(10_000 - expected.length)
  })
})
