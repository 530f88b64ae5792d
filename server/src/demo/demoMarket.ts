import { createHash } from 'node:crypto'
import type { Merchant, Price } from '@tender-gill/contract'
import { addDays } from '@tender-gill/core'
import wares from '../../../demo/wares.json' with { type: 'json' }

interface Ware {
  readonly species: string
  readonly form: string
  readonly perKg: number
  readonly dearMonth: number
  readonly swing: number
  readonly origin: string
  readonly state: string
  readonly unit: string
  readonly eachG?: number
  readonly grade?: string
  readonly minimumKg?: number
}
export interface DemoMerchant {
  readonly id: string
  readonly merchant: Merchant
  readonly wares: readonly Ware[]
}

/** The invented merchants of the demo, each with its feed. */
export const DEMO_MERCHANTS: readonly DemoMerchant[] = wares.merchants.map(
  ({ key, name, delivers, orderBy, daysAhead, minimumOrder, wares: sold }) => ({
    id: key,
    merchant: { name, delivers, orderBy, daysAhead, minimumOrder: { amount: minimumOrder, currency: wares.currency }, feed: key },
    wares: sold,
  }),
)

/** A number between -1 and 1 that hangs on its name alone. */
const swing = (name: string): number => createHash('sha256').update(name).digest().readUInt32BE(0) / 2_147_483_648 - 1

const WEEKS = 58
const monthOf = (day: string) => Number(day.slice(5, 7)) - 1 + Number(day.slice(8, 10)) / 31
const season = ({ swing: by, dearMonth }: Ware, day: string) => by * Math.cos((2 * Math.PI * (monthOf(day) - dearMonth + 0.5)) / 12)

/** One past list of a merchant as its rows. */
export interface DemoList {
  readonly date: string
  readonly quotes: readonly Price[]
}

/** A made-up year of weekly lists up to a few days ago, each price about what it is today but for the months and the weather. */
export function makeDemoLists({ id, merchant, wares: sold }: DemoMerchant, today: string): readonly DemoList[] {
  return Array.from({ length: WEEKS }, (_, i) => {
    const date = addDays(today, -(3 + 7 * (WEEKS - 1 - i)))
    const quotes = sold.flatMap((ware): Price[] => {
      const missed = ware.origin === 'wild' && ware.state === 'fresh' && swing(`${id}|${ware.species}|boats|${i}`) > 0.7
      if (missed) return []
      const drift = 0.03 * (swing(`${ware.species}|${Math.floor(i / 4)}`) + swing(`${id}|${ware.species}|${ware.form}|${i}`))
      const perKg = ware.perKg * Math.exp(season(ware, date) - season(ware, today) + drift)
      const price = Math.round(ware.eachG ? perKg * (ware.eachG / 10) : perKg * 100) / 100
      return [
        {
          ...{ species: ware.species, form: ware.form as Price['form'], price, currency: wares.currency, merchant: merchant.name, date },
          ...{ origin: ware.origin as Price['origin'], state: ware.state as Price['state'], unit: ware.unit as Price['unit'] },
          ...(ware.eachG ? { eachG: ware.eachG } : {}),
          ...(ware.grade ? { grade: ware.grade } : {}),
          ...(ware.minimumKg ? { minimumKg: ware.minimumKg } : {}),
        } as Price,
      ]
    })
    return { date, quotes }
  })
}
