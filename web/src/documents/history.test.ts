import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { addStep, redoStep, undoStep, type History, type Step } from './historySlice.ts'

const step = (id: string, before: number, after: number, at: number): Step =>
  ({ kind: 'serving', id, before: { brief: before }, after: { brief: after }, at }) as never
const EMPTY: History = { past: [], future: [] }
const must = (found: Step | undefined): Step => found ?? expect.fail('no such step')
const back = (history: History) => undoStep(history, must(history.past.at(-1)))
const on = (history: History) => redoStep(history, must(history.future.at(-1)))

describe('what can be undone', () => {
  it('goes back and forth over any changes and ends where it began', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(9), { minLength: 1, maxLength: 20 }), (values) => {
        const whole = values.reduce((history, value, i) => addStep(history, step('a', value, value + 1, i * 5000)), EMPTY)
        const none = values.reduce((history) => back(history), whole)
        expect(none.past).toEqual([])
        expect(values.reduce((history) => on(history), none)).toEqual(whole)
      }),
      { seed: 1201 },
    )
  })

  it('takes what is typed in one go as one change', () => {
    const history = addStep(addStep(EMPTY, step('a', 0, 1, 0)), step('a', 1, 2, 100))
    expect(history.past).toMatchObject([{ before: { brief: 0 }, after: { brief: 2 } }])
    expect(addStep(history, step('b', 5, 6, 150)).past).toHaveLength(2)
  })

  it('is undone of one document whatever was changed of another since, and a change lets go only of what was undone of its own', () => {
    const [ofA, ofB] = [step('a', 0, 1, 0), step('b', 5, 6, 5000)]
    const both = addStep(addStep(EMPTY, ofA), ofB)
    const undone = undoStep(both, ofA)
    expect(undone).toEqual({ past: [ofB], future: [ofA] })
    expect(addStep(undone, step('b', 6, 7, 20_000)).future).toEqual([ofA])
    expect(addStep(undone, step('a', 0, 3, 20_000)).future).toEqual([])
  })
})
