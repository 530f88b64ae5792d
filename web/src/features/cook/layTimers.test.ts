import type { Cook } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { layTimers } from './layTimers.ts'

const NOW_MS = Date.UTC(2026, 5, 13, 18, 0)
const STARTED = { id: 'supper', dish: 'Supper', common: 'Haddock', nowMs: NOW_MS }

/** A cook whose stages last so many minutes each, taken out at the end of them, and resting for some more. */
const cooked = (lengths: readonly number[], restMinutes: number, turned: readonly boolean[] = []): Cook => {
  const stages = lengths.map((minutes, i) => ({
    ...{ medium: i % 2 === 0 ? 'pan' : 'oven', rest: false, turned: turned[i] ?? false },
    fromMinutes: lengths.slice(0, i).reduce((sum, one) => sum + one, 0),
    toMinutes: lengths.slice(0, i + 1).reduce((sum, one) => sum + one, 0),
    minutes,
  }))
  const out = lengths.reduce((sum, one) => sum + one, 0)
  return {
    stages: [...stages, { medium: 'rest-board', rest: true, turned: false, fromMinutes: out, minutes: restMinutes }],
    pull: { minutes: { low: out * 0.8, typical: out, high: out * 1.2 } },
    total: { low: out * 0.8 + restMinutes, typical: out + restMinutes, high: out * 1.2 + restMinutes },
  } as unknown as Cook
}
const lengths = fc.array(fc.integer({ min: 1, max: 30 }), { minLength: 1, maxLength: 5 })

describe('the timers of a cook that has begun', () => {
  it('are one for each change of heat, one for taking out, and one for a rest that is one; in order, each under its own name', () => {
    fc.assert(
      fc.property(lengths, fc.integer({ min: 0, max: 10 }), (stages, rest) => {
        const timers = layTimers(cooked(stages, rest), STARTED)
        expect(timers).toHaveLength(stages.length + (rest > 0 ? 1 : 0))
        const ends = timers.map(({ endsMs }) => endsMs)
        expect(ends).toEqual([...ends].sort((a, b) => a - b))
        expect(new Set(timers.map(({ id }) => id)).size).toBe(timers.length)
        for (const { what, path, id } of timers)
          expect([what, path, id.startsWith('supper ')]).toEqual(['Haddock, Supper', '/dishes/supper/cook', true])
        const last = timers.at(-1)
        expect(last?.then).toBe(rest > 0 ? 'Rested: serve it' : 'Take it out')
        expect(last?.endsMs).toBe(NOW_MS + (stages.reduce((sum, one) => sum + one, 0) + rest) * 60_000)
      }),
    )
  })

  it('say from when it may be done, as the minutes are a range; a change of heat is due when it is', () => {
    const [change, out] = layTimers(cooked([4, 6], 0), STARTED)
    expect(change?.fromMs).toBe(change?.endsMs)
    expect(out?.fromMs).toBe(NOW_MS + 8 * 60_000)
  })

  it('tell a turn from another place', () => {
    const says = (turned: boolean) => layTimers(cooked([4, 6], 0, [false, turned]), STARTED)[0]?.then
    expect(says(true)).toBe('Turn it')
    expect(says(false)).toMatch(/^Into: /)
  })
})
