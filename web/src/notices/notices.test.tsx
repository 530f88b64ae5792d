import { fireEvent, render, screen, waitFor } from '../testing/page.tsx'
import { Provider } from 'react-redux'
import { describe, expect, it } from 'vitest'
import { createStore } from '../state/store.ts'
import { describeFailure, findOffered, Notices, said, useUndoable } from './index.ts'

const createPageStore = () => createStore({ kitchenId: 'k', client: 'page', storage: localStorage })

interface Step {
  readonly done: string
  readonly undone: string
  readonly step: () => Promise<number>
  readonly undo: (answer: number) => Promise<number>
  readonly redo?: (back: number) => Promise<number>
}

/** A page with one button a command. */
function open(steps: readonly Step[]) {
  const store = createPageStore()
  const answers: boolean[] = []
  const Page = () => {
    const undoable = useUndoable()
    const carryOut = async ({ step, ...words }: Step) => {
      answers.push(await undoable(step, words))
    }
    return (
      <>
        {steps.map((step, i) => (
          <button key={step.done} onClick={() => void carryOut(step)}>{`command ${i}`}</button>
        ))}
        <Notices />
      </>
    )
  }
  render(
    <Provider store={store}>
      <Page />
    </Provider>,
  )
  const press = (name: string) => fireEvent.click(screen.getByRole('button', { name }))
  const shown = () => store.getState().notices.shown?.text
  return { store, answers, press, shown }
}

/** A number that goes up, comes back and goes up again. */
function createCounter() {
  const counter = { value: 0 }
  const go = (by: number) => async () => (counter.value += by)
  return { counter, step: { done: 'One more.', undone: 'One less.', step: go(1), undo: go(-1), redo: go(1) } }
}

describe('a command that can be undone', () => {
  it('is undone, done again and undone, each said with the way from there', async () => {
    const { counter, step } = createCounter()
    const { press, shown, answers } = open([step])
    press('command 0')
    await waitFor(() => expect([counter.value, shown()]).toEqual([1, 'One more.']))
    for (const [way, value, text] of [
      ['Undo', 0, 'One less.'],
      ['Redo', 1, 'One more.'],
      ['Undo', 0, 'One less.'],
    ] as const) {
      await waitFor(() => press(way))
      await waitFor(() => expect([counter.value, shown()]).toEqual([value, text]))
    }
    expect(answers).toEqual([true])
  })

  it('hands what the command answered to its undo, and what that answered to doing it again', async () => {
    const handed: number[] = []
    const take = (answer: number) => async (given: number) => {
      handed.push(given)
      return answer
    }
    const { press, store, answers } = open([{ done: 'x', undone: 'y', step: async () => 7, undo: take(8), redo: take(9) }])
    press('command 0')
    await waitFor(() => expect(answers).toEqual([true]))
    await findOffered(store, 'undo')?.run()
    await findOffered(store, 'redo')?.run()
    await findOffered(store, 'undo')?.run()
    expect(handed).toEqual([7, 8, 9])
  })

  it('that fails is not said to be done, and offers nothing', async () => {
    const { press, shown, store, answers } = open([
      { done: 'x', undone: 'y', step: () => Promise.reject(new Error('no')), undo: async () => 0 },
    ])
    press('command 0')
    await waitFor(() => expect(answers).toEqual([false]))
    expect(shown()).toBeUndefined()
    expect(findOffered(store, 'undo')).toBeUndefined()
  })

  it('whose undo fails is not said to be undone, and offers no way forward', async () => {
    const { press, shown, store, answers } = open([
      { done: 'x', undone: 'y', step: async () => 1, undo: () => Promise.reject(new Error('no')), redo: async () => 1 },
    ])
    press('command 0')
    await waitFor(() => expect(answers).toEqual([true]))
    await findOffered(store, 'undo')?.run()
    expect(shown()).toBe('x')
    expect([findOffered(store, 'undo'), findOffered(store, 'redo')]).toEqual([undefined, undefined])
  })

  it('with no way to do it again offers none; the newest command alone can be undone', async () => {
    const [a, b] = [createCounter(), createCounter()]
    const { done, undone, step, undo } = b.step
    const { press, shown, store, answers } = open([a.step, { done: `${done} Too.`, undone, step, undo }])
    press('command 0')
    await waitFor(() => expect(answers).toHaveLength(1))
    press('command 1')
    await waitFor(() => expect(answers).toHaveLength(2))
    await findOffered(store, 'undo')?.run()
    expect([a.counter.value, b.counter.value, shown()]).toEqual([1, 0, 'One less.'])
    expect(findOffered(store, 'redo')).toBeUndefined()
  })
})

describe('a notice', () => {
  it('of a failure is an alarm, one of a success is not; it goes when it is closed', async () => {
    const { store } = open([])
    store.dispatch(said('failed', 'Nothing was stored.'))
    expect((await screen.findByRole('alert')).textContent).toContain('Nothing was stored.')
    fireEvent.click(screen.getByRole('button', { name: 'Close' }))
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull())
    store.dispatch(said('done', 'It is written down.'))
    expect((await screen.findByRole('status')).textContent).toContain('It is written down.')
    expect(screen.queryByRole('button', { name: 'Undo' })).toBeNull()
  })
})

describe('why a command was not carried out', () => {
  const problem = (status: number, details: object) => ({
    status,
    data: { type: 'about:blank', title: 't', status, problems: [], ...details },
  })

  it('is told by what it means for what was typed: nothing was stored, and what to do', () => {
    expect(describeFailure({ status: 'FETCH_ERROR', error: 'x' })).toMatch(/does not answer/)
    expect(describeFailure(problem(503, {}))).toMatch(/does not answer/)
    expect(describeFailure(problem(404, {}))).toMatch(/no longer there/)
    expect(describeFailure(problem(409, {}))).toMatch(/changed elsewhere/)
    expect(describeFailure(problem(429, {}))).toMatch(/Wait a minute/)
    expect(describeFailure(undefined)).toMatch(/something went wrong/)
    for (const status of [400, 404, 429, 500, 503]) expect(describeFailure(problem(status, {}))).toMatch(/^Nothing was stored/)
  })

  it('names the place that is wrong, and the name under which the log speaks of what nobody foresaw', () => {
    const problems = [{ path: '/covers', message: '/covers must be 1 or more' }]
    expect(describeFailure(problem(400, { problems }))).toBe('Nothing was stored: /covers must be 1 or more.')
    expect(describeFailure(problem(500, { requestId: 'q1' }))).toContain('under q1')
  })
})
