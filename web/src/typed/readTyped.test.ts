import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { readTyped } from './index.ts'

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
  })
})
