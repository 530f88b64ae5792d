import type { Season, Stock } from '@tender-gill/contract'
import { KITCHEN } from './dishes.ts'

/** Two fish of two waters over the year, and two stocks. */
const SEASONS: readonly Season[] = [
  {
    species: 'Gadus morhua',
    water: 'Sound',
    landings: [9, 9, 8, 6, 4, 3, 3, 3, 4, 6, 8, 9],
    condition: [8, 6, 3, 3, 5, 7, 8, 8, 9, 9, 9, 9],
  },
  { species: 'Scomber scombrus', water: 'Banks', landings: [0, 0, 0, 2, 7, 10, 10, 9, 8, 5, 3, 1] },
]
const STOCKS: readonly Stock[] = [
  { species: 'Gadus morhua', water: 'Sound', origin: 'wild', biomassRatio: { value: 0.4, year: 2025 } },
  { species: 'Salmo salar', origin: 'farmed', feed: { value: 60, year: 2025 } },
]
/** A kitchen that keeps something of its waters and stocks. */
export const MARKET = { ...KITCHEN, seasons: SEASONS, stocks: STOCKS }
