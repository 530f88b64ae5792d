import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { operations, type Operation, type OperationName } from '@tender-gill/contract/operations'
import { readArg } from './endpoints.ts'
import { placeRecord } from './keepRecords.ts'

const records = fc.uniqueArray(fc.record({ id: fc.constantFrom('a', 'b', 'c', 'd'), revision: fc.nat(9) }), { selector: ({ id }) => id })

describe('a record in its list', () => {
  it('stands there once as it is now, or no more, and moves nobody else', () => {
    fc.assert(
      fc.property(records, fc.constantFrom('a', 'b', 'e'), fc.boolean(), (list, id, gone) => {
        const record = { id, revision: 77, deletedAt: gone ? 'today' : null }
        const placed = placeRecord<{ id: string; revision: number; deletedAt?: string | null }>(list, record)
        expect(placed.filter((one) => one.id === id)).toEqual(gone ? [] : [record])
        expect(placed.filter((one) => one.id !== id)).toEqual(list.filter((one) => one.id !== id))
        if (!gone && list.some((one) => one.id === id)) expect(placed.map((one) => one.id)).toEqual(list.map((one) => one.id))
      }),
      { seed: 701 },
    )
  })
})

describe('what an operation is called with', () => {
  const read = (name: OperationName, arg: unknown) => readArg(operations[name] as Operation, arg)
  it('is taken apart as it is declared', () => {
    expect(read('servings', undefined)).toEqual({ names: {}, params: {} })
    expect(read('serving', 'x')).toEqual({ id: 'x', names: { id: 'x' }, params: {} })
    expect(read('createServing', { brief: 1 })).toEqual({ input: { brief: 1 }, names: {}, params: {} })
    expect(read('saveServing', { id: 'x', revision: 3, input: 1 })).toEqual({
      id: 'x',
      revision: 3,
      input: 1,
      names: { id: 'x' },
      params: {},
    })
    expect(read('coverCard', { from: 'a', to: undefined })).toEqual({ names: {}, params: { from: 'a' } })
    expect(read('priceHistory', { name: 'Zeus faber' })).toEqual({ names: { name: 'Zeus faber' }, params: {} })
    expect(read('saveLeanings', { revision: 0, input: {} })).toEqual({ revision: 0, input: {}, names: {}, params: {} })
  })

  it('has a question for every record that a command answers with', () => {
    for (const { answers } of Object.values(operations) as Operation[]) {
      if (!answers) continue
      expect(operations[answers.one as OperationName].kind).toBe('question')
      if (answers.all) expect((operations[answers.all as OperationName] as Operation).many).toBe(true)
    }
  })
})
