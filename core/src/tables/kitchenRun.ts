import type { Method } from '@tender-gill/contract'
import type { CookPlace } from './cookMedia.ts'

/** What a kitchen has of each place, where it says nothing. */
export const USUAL_PLACES: Readonly<Record<CookPlace | 'hand', number>> = {
  burner: 4,
  oven: 1,
  steamer: 1,
  bath: 1,
  fryer: 1,
  grill: 1,
  broiler: 1,
  hand: 1,
}
/** Portions that one of a place takes at a time: a pan four, a tray twelve. */
export const PORTIONS_AT_A_TIME: Readonly<Record<CookPlace, number>> = {
  burner: 4,
  oven: 16,
  steamer: 6,
  bath: 24,
  fryer: 4,
  grill: 12,
  broiler: 8,
}
/** Dishes whose oven stands within this of each other share it, K. */
export const SHARED_OVEN_K = 15
/** How much earlier than its moment a dish may be ready and wait, min: crisp skin hardly, a braise gladly. Compiled. */
export const SLACK_MIN: { readonly [M in Method]?: number } = {
  'pan-sear': 3,
  'shallow-fry': 3,
  'deep-fry': 3,
  grill: 4,
  broil: 4,
  roast: 6,
  'roast-whole': 12,
  steam: 4,
  'steam-whole': 5,
  'wrap-steam': 8,
  poach: 5,
  braise: 30,
  stew: 20,
  curry: 25,
  chowder: 20,
  'sous-vide': 30,
}
/** What a hand is busy with at each change: into the heat, a turn, out of it, min. */
export const TOUCH_MIN = 1
/** From the rest to the table, min. */
export const PLATING_MIN = 2
