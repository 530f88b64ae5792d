import type { Price } from '@tender-gill/contract'
import type { TestKitchen } from './realServer.ts'

export const STEW = { id: 'stew', brief: { dish: 'Harbour stew', method: 'stew', format: 'chunk', covers: 4, draws: 400 } } as const
export const FRY = { id: 'fry', brief: { dish: 'Friday fry', method: 'deep-fry', format: 'portion', covers: 2, draws: 400 } } as const
export const BUDGETED = {
  id: 'lunch',
  brief: { dish: 'Staff lunch', method: 'poach', format: 'portion', covers: 10, draws: 400, budget: { perPortion: 4, currency: 'EUR' } },
} as const

const price = (species: string, form: Price['form'], perKg: number): Price => ({
  species,
  form,
  price: perKg,
  currency: 'EUR',
  unit: 'kg',
  date: '2026-06-12',
})
export const PRICES: readonly Price[] = [
  price('Gadus morhua', 'fillet-skin-on', 22),
  price('Pollachius virens', 'fillet-skinless', 11),
  price('Merlangius merlangus', 'fillet-skin-on', 10.5),
  price('Lophius piscatorius', 'fillet-skinless', 31),
]
/** A kitchen of three dishes and four prices. */
export const KITCHEN: TestKitchen = { dishes: [STEW, FRY, BUDGETED], prices: PRICES }
