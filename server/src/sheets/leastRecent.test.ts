import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { nameContents, nameShortly, nameText, toCanonical } from '../contents/index.ts'
import { createLeastRecent } from './leastRecent.ts'

type Deed = readonly [what: 'keep' | 'find' | 'drop', key: string]
const deed: fc.Arbitrary<Deed> = fc.tuple(
  fc.constantFrom('keep' as const, 'find' as const, 'drop' as const),
  fc.constantFrom('a', 'b', 'c', 'd', 'e'),
)

/** The same by a list: the key that was used last stands at its end. */
function createByList(most: number) {
  let order: readonly (readonly [string, number])[] = []
  return {
    keep: (key: string, value: number): void => {
      order = [...order.filter(([one]) => one !== key), [key, value] as const].slice(-most)
    },
    find: (key: string): number | undefined => {
      const found = order.find(([one]) => one === key)
      if (found) order = [...order.filter(([one]) => one !== key), found]
      return found?.[1]
    },
    drop: (key: string): void => {
      order = order.filter(([one]) => one !== key)
    },
  }
}

describe('a store of so many at most', () => {
  it('lets go what was not asked for the longest, whatever is kept, found and dropped', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 4 }), fc.array(deed, { maxLength: 60 }), (most, deeds) => {
        const store = createLeastRecent<number>(most)
        const list = createByList(most)
        for (const [i, [what, key]] of deeds.entries()) {
          if (what === 'keep') {
            expect(store.keep(key, i)).toBe(i)
            list.keep(key, i)
          } else if (what === 'drop') {
            store.drop(key)
            list.drop(key)
          } else expect(store.find(key)).toBe(list.find(key))
        }
        for (const key of ['a', 'b', 'c', 'd', 'e']) expect(store.find(key)).toBe(list.find(key))
      }),
    )
  })
})

const contents = fc.dictionary(fc.string({ maxLength: 6 }), fc.oneof(fc.integer(), fc.string({ maxLength: 6 }), fc.boolean()), {
  maxKeys: 6,
})

describe('the name of contents', () => {
  it('is the same whatever order its fields came in, and another for other contents', () => {
    fc.assert(
      fc.property(contents, contents, (one, other) => {
        const turned = Object.fromEntries(Object.entries(one).reverse())
        expect(nameContents(turned)).toBe(nameContents(one))
        expect(nameContents(one) === nameContents(other)).toBe(toCanonical(one) === toCanonical(other))
      }),
    )
  })

  it('is 64 letters, of which 32 tell the books of kitchens apart', () => {
    fc.assert(
      fc.property(contents, (one) => {
        expect(nameContents(one)).toMatch(/^[0-9a-f]{64}$/)
        expect(nameShortly(one)).toBe(nameContents(one).slice(0, 32))
        expect(nameContents(one)).toBe(nameText(toCanonical(one)))
      }),
    )
  })

  it('is read back as it was written, but for the order', () => {
    fc.assert(fc.property(contents, (one) => void expect(JSON.parse(toCanonical(one))).toEqual({ ...one })))
  })
})
