import { act, fireEvent, render, screen } from '../testing/page.tsx'
import { Provider } from 'react-redux'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { createStore } from '../state/store.ts'
import { OutboxNotice } from './index.ts'
import { outboxRead, type Given } from './outboxSlice.ts'

const NOW = Date.parse('2026-06-13T10:00:00Z')
beforeEach(() => {
  vi.useFakeTimers({ now: NOW, toFake: ['setTimeout', 'clearTimeout', 'Date'] })
  // Nothing is sent: what waits goes on waiting.
  vi.stubGlobal('fetch', () => new Promise(() => undefined))
})

const given = (id: string, patch: Partial<Given> = {}): Given =>
  ({
    ...{ id, command: 'writeEntries', arg: { entries: [] }, about: id, words: `${id} is written down.`, at: new Date(NOW).toISOString() },
    ...{ state: 'waiting', problem: null, current: null },
    ...patch,
  }) as Given

function open(...first: readonly Given[]) {
  const store = createStore({ kitchenId: 'k', client: 'page', storage: localStorage })
  const holds = (...outbox: readonly Given[]) => act(() => void store.dispatch(outboxRead(outbox)))
  store.dispatch(outboxRead(first))
  render(
    <Provider store={store}>
      <OutboxNotice />
    </Provider>,
  )
  const passes = (ms: number) => act(() => vi.advanceTimersByTime(ms))
  return { store, holds, passes, says: () => screen.getByRole('status', { name: 'What waits to be sent' }).textContent }
}

describe('what waits to be sent', () => {
  it('is not told while it goes at once, so that no line comes and goes under a thumb', () => {
    const { holds, passes, says } = open(given('a'))
    passes(1_000)
    expect(says()).toBe('')
    holds()
    passes(5_000)
    expect(says()).toBe('')
  })

  it('is told once it waits for long, and until all of it is sent', () => {
    const { holds, passes, says } = open(given('a'), given('b'))
    passes(2_100)
    expect(says()).toBe('2 notes are kept here and sent as soon as there is a connection.')
    holds(given('b'))
    expect(says()).toBe('1 note is kept here and sent as soon as there is a connection.')
    holds()
    expect(says()).toBe('')
    // What comes after it has its own time.
    holds(given('c', { at: new Date(NOW + 2_100).toISOString() }))
    expect(says()).toBe('')
  })

  it('is told at once after a reload, as it has waited already', () => {
    const { passes, says } = open(given('a', { at: new Date(NOW - 60_000).toISOString() }))
    passes(10)
    expect(says()).toContain('1 note is kept here')
  })

  it('is told at once where the server would not have it, with the reason, until it is let go', () => {
    const { store, says } = open(given('a', { state: 'refused', problem: 'no such fish' }))
    expect(says()).toContain('a is written down. Not kept: no such fish.')
    fireEvent.click(screen.getByRole('button', { name: 'Let it go' }))
    expect(store.getState().outbox).toEqual([])
    expect(says()).toBe('')
  })
})
