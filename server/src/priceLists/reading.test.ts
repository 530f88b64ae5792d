import { createOfferSheet } from '@tender-gill/catalogue'
import { FORMS, ORIGINS, PRICE_UNITS, STATES, type ListReading, type Price } from '@tender-gill/contract'
import { createFishSearch } from '@tender-gill/names'
import { addDays } from '@tender-gill/core'
import fc from 'fast-check'
import Papa from 'papaparse'
import { describe, expect, it } from 'vitest'
import { MERCHANTS, writeList } from '../../../simulator/src/writeList.ts'
import { guessReading } from './guessReading.ts'
import { readForm, readNumber, readOrigin, readState, readUnit } from './readCells.ts'
import { readPriceList, toSettled, type BookOfNames } from './readPriceList.ts'
import { writeListText } from './writeListText.ts'

const { offers } = createOfferSheet('2026-06-13')
const search = createFishSearch(offers)
const species = [...new Set(offers.map((offer) => offer.species))]
const book = (settled: BookOfNames['settled'] = new Map()): BookOfNames => ({
  ...{ search, settled, currency: 'EUR', commonOf: (name) => name },
  findExact: (name) => search.findExact(name),
})
const ON = { date: '2026-06-12', merchant: 'Holt' }

describe('a number on a list', () => {
  const money = fc.integer({ min: 1, max: 99_999_999 }).map((cents) => cents / 100)
  it('is read back however a merchant writes it', () => {
    fc.assert(
      fc.property(money, fc.constantFrom('', '€', 'EUR ', '£'), (value, sign) => {
        const english = value.toLocaleString('en-GB', { minimumFractionDigits: 2, maximumFractionDigits: 2 })
        const german = value.toLocaleString('de-DE', { minimumFractionDigits: 2, maximumFractionDigits: 2 })
        expect(readNumber(`${sign}${english}`, '.')).toBe(value)
        expect(readNumber(`${german} €`, ',')).toBe(value)
        expect(readNumber(value.toFixed(2), '.')).toBe(value)
      }),
      { seed: 401 },
    )
  })

  it('is none in anything else', () => {
    for (const text of ['', 'dear', '-3', '1.2.3', '1e9', '12 or 13', 'call', '12,5,6'])
      expect([text, readNumber(text, '.')]).toEqual([text, undefined])
  })
})

describe('words on a list', () => {
  it('are known as the book says them and as merchants do, and no others', () => {
    for (const form of FORMS) expect(readForm(form.toUpperCase())).toBe(form)
    for (const unit of PRICE_UNITS) expect(readUnit(` ${unit} `)).toBe(unit)
    for (const origin of ORIGINS) expect(readOrigin(origin)).toBe(origin)
    for (const state of STATES) expect(readState(state)).toBe(state)
    expect([readForm('Fillet'), readForm('head-on'), readForm('Skinless fillet')]).toEqual(['fillet-skin-on', 'gutted', 'fillet-skinless'])
    expect([readUnit('per kilo'), readUnit('LBS'), readUnit('case')]).toEqual(['kg', 'lb', 'box'])
    expect([readForm('butterflied'), readUnit('stone'), readOrigin('tame'), readState('warm')]).toEqual([
      undefined,
      undefined,
      undefined,
      undefined,
    ])
  })
})

describe('a list', () => {
  const quotes = fc.array(
    fc.record({
      species: fc.constantFrom(...species),
      form: fc.constantFrom(...FORMS),
      price: fc.integer({ min: 1, max: 90_000 }).map((cents) => cents / 100),
      currency: fc.constantFrom('EUR', 'GBP'),
      grade: fc.constantFrom('1-2 kg', 'large; wild, "best"', 'No. 1'),
    }),
    { minLength: 1, maxLength: 30 },
  )
  it('that is written reads back row by row, whatever signs stand in its cells', () => {
    fc.assert(
      fc.property(quotes, (rows) => {
        const list = rows.map((row): Price => ({ ...row, ...ON, unit: 'kg' }))
        const { text, reading } = writeListText(list)
        const read = readPriceList({ ...ON, text, reading }, book())
        expect(read.bad).toEqual([])
        expect(read.open).toEqual([])
        expect(read.quotes).toEqual(list)
      }),
      { seed: 402 },
    )
  })

  it('takes each row as good, bad or waiting, and none twice', () => {
    const cell = fc.constantFrom('Haddock', 'Cod', 'Nothing at all', '', 'whole', 'loin', 'dear', '12', '9,40', '7.20')
    fc.assert(
      fc.property(fc.array(fc.tuple(cell, cell, cell), { maxLength: 20 }), fc.constantFrom(';', '\t'), (rows, sign) => {
        const text = [['Fish', 'Cut', 'Price'], ...rows].map((cells) => cells.join(sign)).join('\n')
        const read = readPriceList({ ...ON, text }, book())
        const filled = rows.filter((cells) => cells.some((one) => one !== '')).length
        const waiting = read.open.reduce((sum, { lines }) => sum + lines.length, 0)
        expect(read.rows).toBe(filled)
        expect(read.quotes.length + waiting + read.bad.length).toBe(filled)
        const lines = [...read.bad.map(({ line }) => line), ...read.open.flatMap((one) => one.lines)]
        expect(new Set(lines).size).toBe(lines.length)
        for (const line of lines) expect(line >= 2 && line <= rows.length + 1).toBe(true)
      }),
      { seed: 403 },
    )
  })

  it('takes what a name was settled as, whatever its case and spaces, and passes over what is no fish', () => {
    const settled = toSettled([
      { name: 'Red  Thing', species: 'Gadus morhua' },
      { name: 'crates', species: null },
    ])
    const read = readPriceList({ ...ON, text: 'Fish,Price\nred thing,9\n CRATES ,1\nblue thing,3' }, book(settled))
    expect(read.quotes.map(({ species: name, price }) => [name, price])).toEqual([['Gadus morhua', 9]])
    expect(read.open.map(({ name }) => name)).toEqual(['blue thing'])
  })

  it('of every morning of a year, with the slips people make, gives no row to a fish that the merchant does not sell', () => {
    const days = Array.from({ length: 365 }, (_, i) => addDays('2025-06-14', i))
    for (const merchant of MERCHANTS) {
      const sold = new Set(merchant.wares.map((ware) => `${ware.species}|${ware.form}`))
      let quotes = 0
      let told = 0
      for (const date of days) {
        const { rows } = writeList(merchant, date, 'test')
        const data = rows.map(({ fish, cut, price, unit, weightG }) => ({
          Fish: fish,
          Cut: cut,
          Price: price,
          Unit: unit,
          'Weight g': weightG,
        }))
        const read = readPriceList({ text: Papa.unparse(data), date, merchant: merchant.name }, book())
        for (const quote of read.quotes) expect(sold).toContain(`${quote.species}|${quote.form}`)
        quotes += read.quotes.length
        told += read.bad.length + read.open.length
      }
      expect(quotes).toBeGreaterThan(365)
      expect(told).toBeGreaterThan(10)
    }
  })

  it('is not read before its columns are named', () => {
    const read = readPriceList({ ...ON, text: 'a,b\nHaddock,9' }, book())
    expect(read).toMatchObject({ rows: 1, quotes: [], bad: [], open: [], reading: { columns: {} } })
    const reading: ListReading = { ...read.reading, columns: { name: 'a', price: 'b' } }
    expect(readPriceList({ ...ON, text: 'a,b\nHaddock,9', reading }, book()).quotes).toHaveLength(1)
  })
})

describe('a first reading', () => {
  it('gives each heading to one field at most', () => {
    const heading = fc.constantFrom(
      'Fish',
      'Name',
      'Price',
      'Per kg',
      'Cut',
      'Form',
      'Size',
      'Unit',
      'Origin',
      'State',
      'Currency',
      'Extra',
    )
    fc.assert(
      fc.property(fc.uniqueArray(heading, { maxLength: 8 }), (headings) => {
        const { columns } = guessReading(headings, [], 'EUR')
        const taken = Object.values(columns)
        expect(new Set(taken).size).toBe(taken.length)
        for (const one of taken) expect(headings).toContain(one)
      }),
      { seed: 404 },
    )
  })
})
