import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { absencePath, parseKilos, readAbsence, toRequest, writePair } from './absenceParams.ts'

const TODAY = '2026-06-13'
const read = (text: string) => readAbsence(new URLSearchParams(text), TODAY)

describe('an absence in the address', () => {
  it('is none without a fish', () => {
    expect(read('because=stock')).toBeUndefined()
  })

  it('runs from today over three days where no days are typed, and drops what is no day and no reason', () => {
    expect(read('fish=Gadus+morhua&from=soon&because=boredom')).toMatchObject({
      from: TODAY,
      to: '2026-06-15',
      because: null,
      offerId: null,
    })
    expect(read('fish=Gadus+morhua&from=2026-06-30')).toMatchObject({ from: '2026-06-30', to: '2026-07-02' })
  })

  it('asks nothing while its days are upside down', () => {
    const typed = read('fish=Gadus+morhua&from=2026-06-20&to=2026-06-19')
    expect(typed && toRequest(typed)).toBeNull()
  })

  it('asks with the amounts that are amounts, and with the cook’s word for each dish', () => {
    const typed = read('fish=Gadus+morhua&there=Molva+molva~6,5&there=Salmo+salar~much&dish=stew~Molva+molva&dish=fry~')
    expect(typed && toRequest(typed)).toMatchObject({
      supplies: [{ species: 'Molva molva', kg: 6.5 }],
      holds: [
        { servingId: 'stew', species: 'Molva molva' },
        { servingId: 'fry', species: null },
      ],
    })
  })

  it('keeps what is typed, whatever is typed', () => {
    const text = fc.string({ maxLength: 12 })
    const key = fc.string({ minLength: 1, maxLength: 12 }).filter((one) => !one.includes('~'))
    fc.assert(
      fc.property(fc.uniqueArray(fc.tuple(key, text), { selector: ([one]) => one, maxLength: 4 }), (pairs) => {
        const search = new URLSearchParams('fish=Gadus morhua')
        for (const [name] of pairs) writePair(search, 'there', name, 'first')
        for (const [name, value] of pairs) writePair(search, 'there', name, value)
        expect(read(search.toString())?.supplies).toEqual(new Map(pairs))
        for (const [name] of pairs) writePair(search, 'there', name, null)
        expect(search.has('there')).toBe(false)
      }),
      { seed: 81 },
    )
  })
})

describe('kilos', () => {
  it.each([
    ['6.5', 6.5],
    [' 6,5 ', 6.5],
    ['0', 0],
    ['', undefined],
    ['-1', undefined],
    ['much', undefined],
    ['1e9', undefined],
  ])('%j are %s', (text, kg) => {
    expect(parseKilos(text)).toBe(kg)
  })
})

describe('the way to where a fish is marked missing', () => {
  it('names one offer only where that is what looked bad', () => {
    const fish = { species: 'Gadus morhua', offerId: 'gadus-morhua.wild.fresh.body' }
    expect(absencePath(fish)).toBe('/missing?fish=Gadus+morhua')
    expect(absencePath({ ...fish, because: 'looked-bad' })).toBe(
      '/missing?fish=Gadus+morhua&because=looked-bad&offer=gadus-morhua.wild.fresh.body',
    )
    expect(absencePath({ ...fish, because: 'wrong-size' })).toBe('/missing?fish=Gadus+morhua')
  })
})
