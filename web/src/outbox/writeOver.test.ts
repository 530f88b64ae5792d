import type { PurchaseInput, PurchaseRecord } from '@tender-gill/contract'
import { describe, expect, it } from 'vitest'
import type { Given } from './outboxSlice.ts'
import { writeOver } from './writeOver.ts'

const purchase = (line: string) => ({ line, g: 500 }) as PurchaseInput['purchase']
const theirs = [{ id: 'theirs', revision: 4, purchase: purchase('a') }] as unknown as PurchaseRecord[]
const given = (patch: Partial<Given>): Given => ({
  ...{ id: 'first', command: 'createPurchase', arg: { purchase: purchase('a') }, about: 'a', words: 'a', at: '' },
  ...{ state: 'conflict', problem: 'there is one', current: null, ...patch },
})

describe('one’s own word over another’s', () => {
  it('becomes a change of what stands there, under a key of its own', () => {
    const again = writeOver(given({}), theirs)
    expect(again).toMatchObject({
      command: 'savePurchase',
      state: 'waiting',
      problem: null,
      arg: { id: 'theirs', revision: 4, input: { purchase: { line: 'a' } } },
    })
    expect(again?.id).not.toBe('first')
  })

  it('takes the revision that stands now, of whatever was to be changed', () => {
    const arg = { id: 'x', revision: 1, input: { purchase: purchase('a') } }
    expect(writeOver(given({ command: 'savePurchase', arg, current: { revision: 7 } }), [])).toMatchObject({
      arg: { id: 'x', revision: 7 },
    })
    expect(writeOver(given({ command: 'removeLot', arg: { id: 'x', revision: 1 }, current: { revision: 3 } }), [])?.arg).toEqual({
      id: 'x',
      revision: 3,
    })
  })

  it('is not to be had where nothing is known of theirs, or where it was refused', () => {
    expect(writeOver(given({ arg: { purchase: purchase('b') } }), theirs)).toBeNull()
    expect(writeOver(given({ command: 'createLot', arg: {} as Given['arg'] }), theirs)).toBeNull()
    expect(writeOver(given({ state: 'refused' }), theirs)).toBeNull()
  })
})
