import { describe, expect, it } from 'vitest'
import { chooseKitchen, kitchenPath, readKitchen } from './index.ts'

describe('the kitchen in the address', () => {
  it('is read back as it was written, whatever its name', () => {
    for (const id of ['lantern-house', 'a b', 'ü/ß', 'k'])
      for (const rest of ['', '/', '/dishes/x/line-up', '/k/other']) expect(readKitchen(`${kitchenPath(id)}${rest}`)).toBe(id)
  })

  it('is none where a page stands below no kitchen', () => {
    for (const path of ['/', '/dishes/x', '/k', '/k/', '/kitchen/x']) expect([path, readKitchen(path)]).toEqual([path, undefined])
  })

  it('where none is named is that of last time, else the first, else none', () => {
    const kept = [{ id: 'a' }, { id: 'b' }]
    expect([chooseKitchen(kept, 'b'), chooseKitchen(kept, 'gone'), chooseKitchen(kept, null), chooseKitchen([], 'b')]).toEqual([
      'b',
      'a',
      'a',
      undefined,
    ])
  })
})
