import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readTyped, typedNumber } from './index.ts'

describe('a typed number', () => {
  it('is read with a comma or a point, whatever it is', () => {
    fc.assert(
      fc.property(fc.integer({ min: -99_999, max: 99_999 }), (hundredths) => {
        const value = hundredths / 100
        for (const text of [String(value), String(value).replace('.', ','), ` ${value.toFixed(2)} `])
          expect(readTyped(text)).toEqual({ kind: 'number', value })
      }),
      { seed: 801 },
    )
  })

  it('in groups of three is thousands where whole numbers are asked, never a thousandth of them', () => {
    for (const text of ['1,000', '1.000', '1 000', '1000'])
      expect(readTyped(text, { whole: true })).toEqual({ kind: 'number', value: 1000 })
    expect(readTyped('1,5', { whole: true }).kind).toBe('wrong')
    expect(readTyped('12,500,000', { whole: true })).toEqual({ kind: 'number', value: 12_500_000 })
  })

  it('outside of its scale, or none at all, says what is wanted', () => {
    expect(readTyped('11', { least: 0, most: 10 })).toEqual({ kind: 'wrong', message: 'a number from 0 to 10' })
    for (const text of ['many', '1e3', '0x10', '1.2.3', '-', '∞', 'NaN']) expect([text, readTyped(text).kind]).toEqual([text, 'wrong'])
    expect(readTyped('  ')).toEqual({ kind: 'none' })
    expect(readTyped('0', { above: 0, most: 9 })).toEqual({ kind: 'wrong', message: 'a number above 0, to 9' })
    expect(['', '4,5', 'x', '0'].map((text) => typedNumber(text, { above: 0 }))).toEqual([undefined, 4.5, undefined, undefined])
  })

  it.each([
    ['4.20', 4.2],
    ['4,20', 4.2],
    [' 12 ', 12],
    ['.5', 0.5],
    ['3.', 3],
  ])('as money reads %j', (text, amount) => {
    expect(typedNumber(text, { above: 0 })).toBe(amount)
  })
})
