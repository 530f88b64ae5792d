import type { BuyLine, BuySheet, LookRecord, Purchase } from '@tender-gill/contract'
import { describe, expect, it } from 'vitest'
import type { Outbox } from '../../outbox/outboxSlice.ts'
import { layCounterLines, stateOf, sumPaid } from './counterLines.ts'
import { describeCame, saySo } from './counterWords.ts'
import { hoursUntil, readKeep } from './waiting.ts'

const purchase = (line: string, patch: Partial<Purchase> = {}): Purchase => ({
  ...{
    line,
    state: 'bought',
    merchant: null,
    date: '2026-06-13',
    paidOn: '2026-06-13',
    species: 'Gadus morhua',
    offerId: 'cod',
    form: 'whole',
  },
  ...{ orderedG: 1000, g: 1000, perKg: 12, currency: 'EUR', servings: ['s'], ...patch },
})
const stored = (id: string, one: Purchase, revision = 1) => ({ id, revision, updatedAt: '', deletedAt: null, purchase: one })
const line = (key: string, kept: ReturnType<typeof stored> | null = null): BuyLine =>
  ({ key, common: 'cod', purchase: kept }) as unknown as BuyLine
const sheet = (lines: readonly BuyLine[], elsewhere: readonly ReturnType<typeof stored>[] = []): BuySheet =>
  ({ orders: [{ merchant: 'Quay', lines }], elsewhere }) as unknown as BuySheet
const waits = (command: 'createPurchase' | 'savePurchase' | 'removePurchase', arg: unknown, state: 'waiting' | 'refused' = 'waiting') =>
  ({ id: 'x', command, arg, about: '', words: '', at: '', state, problem: null, current: null }) as unknown as Outbox[number]
const looked = (key: string, at: string, outcome: 'buy' | 'walk-away'): LookRecord =>
  ({ look: { line: key, at, outcome } }) as unknown as LookRecord

describe('the buy sheet at the counter', () => {
  it('has what waits to be sent laid over what the kitchen keeps, the last word on each line', () => {
    const kept = stored('p', purchase('a', { state: 'ordered', g: null, perKg: null, currency: null }), 3)
    const waiting = [
      waits('savePurchase', { id: 'p', revision: 3, input: { purchase: purchase('a') } }),
      waits('createPurchase', { id: 'new', purchase: purchase('b', { g: 400 }) }),
      waits('savePurchase', { id: 'new', revision: 1, input: { purchase: purchase('b', { g: 500 }) } }),
    ]
    const { lines } = layCounterLines(sheet([line('a', kept), line('b'), line('c')]), [], waiting)
    expect(lines.map((one) => [stateOf(one), one.purchase?.id, one.purchase?.revision, one.purchase?.purchase.g])).toEqual([
      ['in-the-bag', 'p', 4, 1000],
      ['in-the-bag', 'new', 2, 500],
      ['open', undefined, undefined, undefined],
    ])
  })

  it('forgets a purchase that is taken back, the kitchen’s or one that waits itself', () => {
    const gone = (id: string) => waits('removePurchase', { id, revision: 1 })
    const waiting = [waits('createPurchase', { id: 'new', purchase: purchase('b') }), gone('new'), gone('p'), gone('e')]
    const { lines, beside } = layCounterLines(
      sheet([line('a', stored('p', purchase('a'))), line('b')], [stored('e', purchase('x'))]),
      [],
      waiting,
    )
    expect(lines.map(stateOf)).toEqual(['open', 'open'])
    expect(beside).toEqual([])
  })

  it('takes what was refused for nothing, and tells what stands on no line apart', () => {
    const waiting = [
      waits('createPurchase', { id: 'n', purchase: purchase('a') }, 'refused'),
      waits('createPurchase', { id: 'm', purchase: purchase('other') }),
    ]
    const { lines, beside } = layCounterLines(sheet([line('a')], [stored('e', purchase('gone'))]), [], waiting)
    expect(lines.map(stateOf)).toEqual(['open'])
    expect(beside.map((one) => one.purchase.line)).toEqual(['gone', 'other'])
  })

  it('knows what was last seen of a fish, and says whether one walked away or it was not there', () => {
    const left = stored('p', purchase('a', { state: 'not-come', g: null, perKg: null, currency: null }))
    const looks = [looked('a', '2026-06-13T10:00:00Z', 'walk-away'), looked('a', '2026-06-13T09:00:00Z', 'buy')]
    const [one] = layCounterLines(sheet([line('a', left)]), looks, []).lines
    expect(one?.look?.outcome).toBe('walk-away')
    expect(one && describeCame(one)).toBe('Walked away')
    const [other] = layCounterLines(sheet([line('a', left)]), [], []).lines
    expect(other && describeCame(other)).toBe('Not there')
  })

  it('sums what was paid in the currency that most of it is in', () => {
    const counter = layCounterLines(
      sheet([line('a', stored('p', purchase('a'))), line('b', stored('q', purchase('b', { currency: 'SEK' })))]),
      [],
      [],
    )
    expect(sumPaid(counter)).toEqual({ amount: 12, currency: 'EUR' })
    expect(sumPaid({ lines: [], beside: [] })).toBeNull()
  })

  it('says what to ask for', () => {
    expect(saySo({ common: 'Saithe', form: 'fillet-skin-on', asks: ['pin bones drawn'], amount: '9.20 kg' })).toBe(
      '“9.20 kg of saithe, fillet, skin on, pin bones drawn, please.”',
    )
  })
})

describe('how long a fish waits', () => {
  it('is until the service of its day, at least an hour, and a day where it has none', () => {
    expect(hoursUntil('2026-06-13', '2026-06-13', '09:30')).toBe(8.5)
    expect(hoursUntil('2026-06-15', '2026-06-13', '12:00')).toBe(54)
    expect(hoursUntil('2026-06-13', '2026-06-13', '21:00')).toBe(1)
    expect(hoursUntil(null, '2026-06-13', '21:00')).toBe(24)
  })

  it('is that of the last of its servings, as warm as the fridge', () => {
    const kitchen = { today: '2026-06-13', zone: 'UTC' }
    const servings = [{ date: '2026-06-13' }, { date: '2026-06-14' }]
    const place = (kind: 'fridge' | 'ice', usualC: number) => ({ place: { kind, usualC } }) as never
    expect(readKeep(servings, kitchen, [place('ice', 0), place('fridge', 2)], new Date('2026-06-13T12:00:00Z'))).toEqual({
      hours: 30,
      tempC: 2,
    })
    expect(readKeep(servings, kitchen, [], new Date('2026-06-13T12:00:00Z')).tempC).toBe(3)
  })
})
