import { configureStore, createListenerMiddleware } from '@reduxjs/toolkit'
import { describe, expect, it } from 'vitest'
import { sayLeft } from './sayLeft.ts'
import { createTimersKeeper, readTimers } from './timersKeeper.ts'
import { timerMoved, timersReducer, timersSet, timerStopped, type Timer } from './timersSlice.ts'

const timer = (id: string, endsMs: number): Timer => ({ id, what: id, then: 'Turn it', endsMs, fromMs: endsMs - 1000, path: '/' })

describe('timers', () => {
  it('stand in the order in which they end, and one set again takes the place of itself', () => {
    const set = timersReducer([], timersSet([timer('b', 2000), timer('a', 1000)]))
    expect(set.map(({ id }) => id)).toEqual(['a', 'b'])
    const again = timersReducer(set, timersSet([timer('a', 3000)]))
    expect(again.map(({ id, endsMs }) => [id, endsMs])).toEqual([
      ['b', 2000],
      ['a', 3000],
    ])
    expect(timersReducer(again, timerStopped('b')).map(({ id }) => id)).toEqual(['a'])
  })

  it('given a minute more end a minute later, and are looked at a minute later', () => {
    const [moved, other] = timersReducer([timer('a', 1000), timer('b', 2000)], timerMoved({ id: 'a', byMs: 60_000 })).toReversed()
    expect(moved).toMatchObject({ id: 'a', endsMs: 61_000, fromMs: 60_000 })
    expect(other?.id).toBe('b')
  })

  it('outlive a reload in the browser’s own store, kitchen by kitchen', () => {
    const kept = new Map<string, string>()
    const storage = {
      getItem: (key: string) => kept.get(key) ?? null,
      setItem: (key: string, value: string) => void kept.set(key, value),
    } as Storage
    const listener = createListenerMiddleware()
    const store = configureStore({
      reducer: { timers: timersReducer },
      middleware: (getDefault) => getDefault().prepend(listener.middleware),
    })
    globalThis.window ??= { addEventListener: () => undefined } as unknown as Window & typeof globalThis
    createTimersKeeper({ store, listener, storage, kitchenId: 'here' })
    store.dispatch(timersSet([timer('a', 1000)]))
    expect(readTimers(storage, 'here')).toEqual([timer('a', 1000)])
    expect(readTimers(storage, 'there')).toEqual([])
  })

  it.each(['', '{', '{"id":1}', '[{"id":"a"}]', '[null,3]'])('pass over %j, which makes no sense', (text) => {
    expect(readTimers({ getItem: () => text }, 'here')).toEqual([])
  })

  it.each([
    [0, '0:00'],
    [65_000, '1:05'],
    [3_725_000, '1:02:05'],
    [-5_000, 'due 0:05'],
  ])('say %d ms as %s', (ms, text) => {
    expect(sayLeft(ms)).toBe(text)
  })
})
