import { configureStore } from '@reduxjs/toolkit'
import { describe, expect, it } from 'vitest'
import { documentsReducer, documentTyped, draftMarked, draftSent } from './documentsSlice.ts'
import { nameDocument } from './kinds.ts'
import { whenSent } from './whenSent.ts'

const KEY = nameDocument('serving', 'stew')
const input = (covers: number) => ({ brief: { dish: 'Stew', method: 'stew' as const, format: 'chunk' as const, covers } })
const typed = (covers: number) => documentTyped({ kind: 'serving', id: 'stew', input: input(covers), base: input(1), revision: 1 } as never)
const openStore = () => configureStore({ reducer: { documents: documentsReducer } })

describe('waiting for a document on its way', () => {
  it('ends only once the server has it, whatever was typed meanwhile, and then stands at the new revision', async () => {
    const store = openStore()
    store.dispatch(typed(2))
    store.dispatch(draftMarked({ key: KEY, state: 'saving', command: 'one', sending: true }))
    store.dispatch(typed(3))
    let over = false
    const waiting = whenSent(store as never, KEY).then(() => (over = true))
    await Promise.resolve()
    expect(over).toBe(false)
    store.dispatch(draftSent({ key: KEY, input: input(2), revision: 2 }))
    await waiting
    expect(store.getState().documents[KEY]).toMatchObject({ revision: 2, sending: false, input: input(3) })
  })

  it('does not wait for what nobody is sending', async () => {
    const store = openStore()
    await whenSent(store as never, KEY)
    store.dispatch(typed(2))
    await whenSent(store as never, KEY)
    expect(store.getState().documents[KEY]).toMatchObject({ sending: false })
  })
})
