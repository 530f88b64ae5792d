import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { mergeThree } from './mergeThree.ts'

const scalar = fc.oneof(fc.integer({ min: 0, max: 3 }), fc.constant(null), fc.array(fc.integer({ min: 0, max: 2 }), { maxLength: 2 }))
const fields = fc.dictionary(fc.constantFrom('a', 'b', 'c'), scalar, { noNullPrototype: true })
const document_ = fc.record({ brief: fields, choice: scalar }, { noNullPrototype: true })

describe('two versions of a document', () => {
  it('are one where only one of them changed anything, whichever it was', () => {
    fc.assert(
      fc.property(document_, document_, (base, changed) => {
        expect(mergeThree(base, changed, base)).toEqual({ ok: true, value: changed })
        expect(mergeThree(base, base, changed)).toEqual({ ok: true, value: changed })
        expect(mergeThree(base, changed, changed)).toEqual({ ok: true, value: changed })
      }),
    )
  })

  it('put together keep every field that one of them changed, and clash only over a field that both did', () => {
    fc.assert(
      fc.property(document_, document_, document_, (base, mine, theirs) => {
        const merged = mergeThree(base, mine, theirs)
        const same = (a: unknown, b: unknown) => JSON.stringify(a) === JSON.stringify(b)
        const field = (doc: typeof base, key: string): unknown => (key === 'choice' ? doc.choice : doc.brief[key])
        const keys = ['choice', 'a', 'b', 'c']
        const clashes = keys.some(
          (key) =>
            !same(field(mine, key), field(base, key)) &&
            !same(field(theirs, key), field(base, key)) &&
            !same(field(mine, key), field(theirs, key)),
        )
        expect(merged.ok).toBe(!clashes)
        if (!merged.ok) return
        for (const key of keys) {
          const expected = same(field(mine, key), field(base, key)) ? field(theirs, key) : field(mine, key)
          expect(field(merged.value, key)).toEqual(expected)
        }
      }),
      { seed: 701, numRuns: 500 },
    )
  })

  it('whose common past is not known are put together by nobody', () => {
    expect(mergeThree<unknown>(null, { a: 1 }, { a: 2 }).ok).toBe(false)
  })
})
