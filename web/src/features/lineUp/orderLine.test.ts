import type { RankedFish } from '@tender-gill/contract'
import { describe, expect, it } from 'vitest'
import { isSought, orderLine } from './orderLine.ts'

const fish = (species: string, cost: number | null, firstShare: number) =>
  ({
    species,
    common: `Common ${species}`,
    portionCost: cost === null ? null : { typical: cost },
    firstShare,
    passShare: 1,
  }) as unknown as RankedFish
const LINE = [fish('A', 3, 0.2), fish('B', null, 0.5), fish('C', 1, 0), fish('D', 3, 0.3)]
const names = (rows: readonly RankedFish[]) => rows.map(({ species }) => species).join('')

describe('the line in another order', () => {
  it('is by fit as it came, by cost with the unknown last, by how often first; of equals the fitter stands first', () => {
    expect(names(orderLine(LINE, 'fit'))).toBe('ABCD')
    expect(names(orderLine(LINE, 'cost'))).toBe('CADB')
    expect(names(orderLine(LINE, 'sureness'))).toBe('BDAC')
    expect(names(LINE)).toBe('ABCD')
  })

  it('finds a fish by part of its name, by its scientific name, or by what the book calls it', () => {
    const cod = { common: 'Atlantic cod', species: 'Gadus morhua' }
    const none = new Set<string>()
    expect(['cod', ' COD ', 'morh', 'àtlantic'].map((text) => isSought(cod, text, none))).toEqual([true, true, true, true])
    expect(isSought(cod, 'kabeljau', new Set(['Gadus morhua']))).toBe(true)
    expect([isSought(cod, '', none), isSought(cod, 'hake', none)]).toEqual([false, false])
  })
})
