import { FORMS, ORIGINS, PARTS, PRICE_UNITS, STATES } from '@tender-gill/contract'
import { parseFishFirstRequest } from '@tender-gill/contract/validators'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { blankFish, findMistakes, readFish, readSeenList, toSeenFish, writeFish, writeSeenList, type TypedFish } from './seenParams.ts'

const text = fc.string({ maxLength: 8 }).filter((typed) => !typed.includes('~'))
const typedArbitrary: fc.Arbitrary<TypedFish> = fc.record({
  species: fc.constantFrom('Gadus morhua', 'Salmo salar'),
  origin: fc.constantFrom(...ORIGINS, '' as const),
  state: fc.constantFrom(...STATES, '' as const),
  part: fc.constantFrom(...PARTS, '' as const),
  form: fc.constantFrom(...FORMS, '' as const),
  price: fc.oneof(text, fc.constantFrom('12', '4,50', '0', '-1')),
  unit: fc.constantFrom(...PRICE_UNITS),
  eachG: fc.oneof(text, fc.constantFrom('400', '0', '600000')),
  pieces: fc.oneof(text, fc.constantFrom('3', '1.5')),
})
const cod: TypedFish = { ...blankFish('Gadus morhua'), form: 'whole' }

describe('a fish that was seen, in the address', () => {
  it('comes back as it was typed', () => {
    fc.assert(
      fc.property(typedArbitrary, (typed) => {
        expect(readFish(writeFish(typed))).toEqual(typed)
      }),
    )
  })

  it('is one of a list, which begins with the fish the page is about', () => {
    fc.assert(
      fc.property(fc.array(typedArbitrary, { minLength: 1, maxLength: 4 }), (fish) => {
        const search = new URLSearchParams('other=1')
        writeSeenList(search, fish)
        expect(readSeenList(new URLSearchParams(search.toString()), fish[0]?.species ?? '')).toEqual(fish)
        expect(search.get('other')).toBe('1')
      }),
    )
  })

  it('is taken for nothing but its name when the address is about another, or says nonsense', () => {
    expect(readSeenList(new URLSearchParams('f=Salmo salar~farmed'), 'Gadus morhua')).toEqual([blankFish('Gadus morhua')])
    expect(readFish('Gadus morhua~boiled~?~~square')).toEqual(blankFish('Gadus morhua'))
  })
})

describe('what the engine is asked of it', () => {
  it('is always a request the engine takes, whatever is being typed', () => {
    fc.assert(
      fc.property(typedArbitrary, (typed) => {
        expect(parseFishFirstRequest({ seen: [toSeenFish(typed, 'EUR')] })).toMatchObject({ ok: true })
      }),
    )
  })

  it('holds price and weight once it is known how the fish lies there', () => {
    const typed = { ...cod, price: '12,5', eachG: '900', pieces: '2' }
    expect(toSeenFish(typed, 'EUR')).toEqual({
      species: 'Gadus morhua',
      form: 'whole',
      price: { amount: 12.5, currency: 'EUR', unit: 'kg' },
      eachG: 900,
      pieces: 2,
    })
    expect(toSeenFish({ ...typed, form: '' }, 'EUR')).toEqual({ species: 'Gadus morhua' })
  })

  it.each([
    [{ price: 'dear' }, ['price']],
    [{ price: '0' }, ['price']],
    [{ eachG: '-4' }, ['eachG']],
    [{ price: '5', unit: 'each' as const }, ['eachG']],
    [{ eachG: '300', pieces: '1.5' }, ['pieces']],
    [{ price: '5', unit: 'each' as const, eachG: '300' }, []],
  ])('leaves out %j and says where it is mistaken', (change, fields) => {
    expect(Object.keys(findMistakes({ ...cod, ...change }))).toEqual(fields)
    const asked = toSeenFish({ ...cod, ...change }, 'EUR') as Record<string, unknown>
    for (const field of fields) expect(asked[field]).toBeUndefined()
  })
})
