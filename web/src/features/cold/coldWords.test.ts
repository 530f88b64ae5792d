import type { Lot, LotRecord } from '@tender-gill/contract'
import { describe, expect, it } from 'vitest'
import type { Outbox } from '../../outbox/outboxSlice.ts'
import { sayAdvice, sayMoment } from './coldWords.ts'
import { layLots } from './layLots.ts'

const KITCHEN = { zone: 'UTC', today: '2026-06-13' }

describe('the words of the cold', () => {
  it.each([
    ['2026-06-13T14:00:00Z', '14:00 today'],
    ['2026-06-14T09:30:00Z', '09:30 tomorrow'],
    ['2026-06-16T09:30:00Z', '09:30 Tuesday'],
    ['2026-06-12T21:00:00Z', '21:00 12 June'],
  ])('say %s as %s', (moment, words) => {
    expect(sayMoment(Date.parse(moment), KITCHEN)).toBe(words)
  })

  it.each([
    ['throw', 'Throw it away'],
    ['use-now', 'Cook it today, by noon'],
    ['freeze', 'Freeze it, or cook it by noon'],
    ['use-first', 'Use it first, by noon'],
    ['fine', 'Keeps until noon'],
    ['frozen', 'Frozen'],
  ] as const)('say of what is to be %s: %s', (advice, words) => {
    expect(sayAdvice(advice, 'noon')).toBe(words)
  })
})

describe('the lots of the kitchen', () => {
  const lot = (g: number): Lot => ({ g }) as Lot
  const kept = [{ id: 'a', revision: 2, lot: lot(100) }] as unknown as LotRecord[]
  const waits = (command: 'createLot' | 'saveLot', arg: unknown, state = 'waiting') =>
    ({ command, arg, state }) as unknown as Outbox[number]

  it('have what waits to be sent laid over them, each at the revision it will have', () => {
    const waiting = [
      waits('saveLot', { id: 'a', revision: 2, input: { lot: lot(50) } }),
      waits('createLot', { id: 'b', lot: lot(10) }),
      waits('saveLot', { id: 'b', revision: 1, input: { lot: lot(20) } }),
      waits('createLot', { id: 'c', lot: lot(30) }, 'refused'),
    ]
    expect(layLots(kept, waiting).map(({ id, revision, lot: { g } }) => [id, revision, g])).toEqual([
      ['a', 3, 50],
      ['b', 2, 20],
    ])
    expect(layLots(kept, [])).toEqual([{ id: 'a', revision: 2, lot: lot(100) }])
  })
})
