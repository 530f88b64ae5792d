import { describe, expect, it } from 'vitest'
import { forgetKitchen, kitchenPath, pathInKitchen, readKitchen, readLastKitchen, rememberKitchen } from './index.ts'

describe('the kitchen in the address', () => {
  it('is read back as it was written, whatever its name', () => {
    for (const id of ['lantern-house', 'a b', 'ü/ß', 'k'])
      for (const rest of ['', '/', '/dishes/x/line-up', '/k/other']) expect(readKitchen(`${kitchenPath(id)}${rest}`)).toBe(id)
  })

  it('is none where a page stands below no kitchen', () => {
    for (const path of ['/', '/dishes/x', '/k', '/k/', '/kitchen/x']) expect([path, readKitchen(path)]).toEqual([path, undefined])
  })

  it('leaves the page’s own address, with and without a kitchen before it', () => {
    for (const id of ['lantern-house', 'ü/ß'])
      for (const page of ['/', '/dishes/x/line-up', '/book/Gadus%20morhua']) {
        expect(pathInKitchen(`${kitchenPath(id)}${page}`)).toBe(page)
        expect(pathInKitchen(page)).toBe(page)
      }
    expect(pathInKitchen(kitchenPath('k'))).toBe('/')
  })

  it('is remembered until it is forgotten', () => {
    const kept = new Map<string, string>()
    const storage = {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => void kept.set(key, value),
      removeItem: (key: string) => void kept.delete(key),
    }
    rememberKitchen(storage, 'a b')
    expect(readLastKitchen(storage)).toBe('a b')
    forgetKitchen(storage)
    expect(readLastKitchen(storage)).toBeNull()
  })
})
