import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { historyReducer, stepped, steppedBack, steppedOn, type Step } from './historySlice.ts'

const step = (id: string, before: number, after: number, at: number): Step =>
  ({ kind: 'serving', id, before: { brief: before }, after: { brief: after }, at }) as never
type History = ReturnType<typeof historyReducer>
const EMPTY: History = { past: [], future: [] }

describe('what can be undone', () => {
  it('goes back and forth over any changes and ends where it began', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(9), { minLength: 1, maxLength: 20 }), (values) => {
        let history = EMPTY
        values.forEach((value, i) => (history = historyReducer(history, stepped(step('a', value, value + 1, i * 5000)))))
        const whole = history
        for (let i = 0; i < values.length; i += 1) history = historyReducer(history, steppedBack())
        expect(history.past).toEqual([])
        for (let i = 0; i < values.length; i += 1) history = historyReducer(history, steppedOn())
        expect(history).toEqual(whole)
      }),
      { seed: 1201 },
    )
  })

  it('takes what is typed in one go as one change, and a new change lets go of what was undone', () => {
    let history = historyReducer(EMPTY, stepped(step('a', 0, 1, 0)))
    history = historyReducer(history, stepped(step('a', 1, 2, 100)))
    expect(history.past).toMatchObject([{ before: { brief: 0 }, after: { brief: 2 } }])
    history = historyReducer(history, stepped(step('b', 5, 6, 150)))
    expect(history.past).toHaveLength(2)
    history = historyReducer(historyReducer(history, steppedBack()), stepped(step('a', 2, 3, 9000)))
    expect(history).toMatchObject({ past: [{ id: 'a' }, { id: 'a' }], future: [] })
  })

  it('stays as it is where there is nothing to undo or to do again', () => {
    expect(historyReducer(EMPTY, steppedBack())).toEqual(EMPTY)
    expect(historyReducer(EMPTY, steppedOn())).toEqual(EMPTY)
  })
})
