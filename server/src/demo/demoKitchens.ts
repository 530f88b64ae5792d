import type { Brief, Price, Season, Stock } from '@tender-gill/contract'
import { DEMO_SEASONS, DEMO_STOCKS } from './demoYears.ts'

export interface DemoDish {
  readonly id: string
  readonly brief: Brief
  /** On which of the next days of service it stands; on none yet where nothing is said. */
  readonly service?: number
}
export interface DemoKitchen {
  readonly id: string
  readonly name: string
  readonly waters: string
  readonly zone: string
  readonly currency: string
  readonly dishes: readonly DemoDish[]
  readonly quotes: readonly (Price & { readonly daysAgo: number })[]
  readonly seasons: readonly Season[]
  readonly stocks: readonly Stock[]
  /** Whether it buys from the demo's merchants. */
  readonly hasMarket: boolean
}

type Quote = Price & { readonly daysAgo: number }
const quote = (species: string, form: Price['form'], price: number, daysAgo: number, more: Partial<Price> = {}): Quote => ({
  species,
  form,
  price,
  currency: 'EUR',
  unit: 'kg',
  daysAgo,
  ...more,
})

/** Prices as a cook remembers the week's lists. Merchants and money are invented. */
const LANTERN_PRICES: readonly Quote[] = [
  quote('Argyrosomus regius', 'fillet-skin-on', 16.8, 1, { origin: 'farmed', merchant: 'Hessle Quay Fish' }),
  quote('Rachycentron canadum', 'fillet-skinless', 21.5, 3, { origin: 'farmed', merchant: 'Tidewell & Daughters' }),
  quote('Seriola dumerili', 'fillet-skin-on', 24, 2, { merchant: 'Tidewell & Daughters' }),
  quote('Lophius piscatorius', 'fillet-skinless', 31, 1, { merchant: 'Hessle Quay Fish' }),
  quote('Anarhichas lupus', 'fillet-skinless', 15.4, 4, { merchant: 'Hessle Quay Fish' }),
  quote('Xiphias gladius', 'loin', 27, 6, { merchant: 'Tidewell & Daughters' }),
  quote('Gadus morhua', 'fillet-skin-on', 22.5, 1, { merchant: 'Hessle Quay Fish' }),
  quote('Melanogrammus aeglefinus', 'fillet-skin-on', 17.9, 1, { merchant: 'Hessle Quay Fish' }),
  quote('Pollachius virens', 'fillet-skinless', 11.2, 2, { merchant: 'Hessle Quay Fish' }),
  quote('Pollachius pollachius', 'fillet-skin-on', 16.5, 2, { merchant: 'Hessle Quay Fish' }),
  quote('Merlangius merlangus', 'fillet-skin-on', 10.8, 1, { merchant: 'Hessle Quay Fish' }),
  quote('Gadus chalcogrammus', 'fillet-skinless', 8.4, 9, { state: 'frozen', merchant: 'Tidewell & Daughters' }),
  quote('Macruronus novaezelandiae', 'fillet-skinless', 9.6, 9, { state: 'frozen', merchant: 'Tidewell & Daughters' }),
  quote('Molva molva', 'fillet-skinless', 14.2, 3, { merchant: 'Hessle Quay Fish' }),
  quote('Brosme brosme', 'fillet-skinless', 13.1, 4, { merchant: 'Hessle Quay Fish' }),
  quote('Salmo salar', 'fillet-skin-on', 19.5, 1, { origin: 'farmed', merchant: 'Tidewell & Daughters' }),
  quote('Oncorhynchus mykiss', 'fillet-skin-on', 15.9, 2, { origin: 'farmed', merchant: 'Tidewell & Daughters' }),
  quote('Scomber scombrus', 'whole', 7.8, 1, { merchant: 'Hessle Quay Fish' }),
  quote('Dicentrarchus labrax', 'whole', 13.5, 1, { origin: 'farmed', merchant: 'Tidewell & Daughters' }),
  quote('Sparus aurata', 'whole', 12.2, 1, { origin: 'farmed', merchant: 'Tidewell & Daughters' }),
  quote('Scophthalmus maximus', 'whole', 24, 2, { origin: 'farmed', merchant: 'Tidewell & Daughters' }),
  quote('Merluccius merluccius', 'fillet-skin-on', 18.4, 1, { merchant: 'Hessle Quay Fish' }),
  quote('Genypterus blacodes', 'fillet-skinless', 17.2, 11, { state: 'frozen', merchant: 'Tidewell & Daughters' }),
  quote('Lates calcarifer', 'fillet-skin-on', 18.9, 5, { origin: 'farmed', merchant: 'Tidewell & Daughters' }),
  quote('Conger conger', 'gutted', 9.2, 2, { merchant: 'Hessle Quay Fish' }),
  quote('Pangasianodon hypophthalmus', 'fillet-skinless', 6.9, 14, { state: 'frozen', merchant: 'Tidewell & Daughters' }),
]

const LANTERN_DISHES: readonly DemoDish[] = [
  {
    id: 'paprika-skewers',
    brief: {
      dish: 'Paprika skewers over coals',
      method: 'grill',
      format: 'chunk',
      thicknessMm: 30,
      covers: 24,
      portionG: 160,
      diners: { children: 2, allergies: ['crustacean'] },
      budget: { perPortion: 4.2, currency: 'EUR' },
    },
  },
  {
    id: 'leek-and-potato-pie',
    service: 1,
    brief: {
      dish: 'Leek and potato fish pie',
      method: 'poach',
      format: 'chunk',
      covers: 30,
      portionG: 130,
      diners: { children: 4, elderly: 2 },
      budget: { perPortion: 3, currency: 'EUR' },
    },
  },
  {
    id: 'beer-battered-supper',
    service: 1,
    brief: {
      dish: 'Beer-battered supper',
      method: 'deep-fry',
      format: 'portion',
      covers: 38,
      portionG: 170,
      budget: { perPortion: 4, currency: 'EUR' },
    },
  },
  {
    id: 'saffron-rice',
    service: 2,
    brief: {
      dish: 'Saffron rice with fish',
      method: 'braise',
      format: 'chunk',
      covers: 20,
      thicknessMm: 25,
      diners: { boneShy: true },
      seasoning: 'bold',
    },
  },
  {
    id: 'beetroot-cure',
    brief: {
      dish: 'Beetroot cure on rye',
      method: 'cure',
      format: 'fillet-skin-on',
      covers: 16,
      portionG: 70,
      portionBasis: 'cooked',
      rawTreatment: 'frozen',
    },
  },
]

const HOME_DISHES: readonly DemoDish[] = [
  {
    id: 'coconut-and-lime-curry',
    brief: { dish: 'Coconut and lime curry', method: 'curry', format: 'chunk', covers: 4, diners: { children: 2 } },
  },
  {
    id: 'dill-soup',
    brief: {
      dish: 'Dill soup with dumplings of potato',
      method: 'stew',
      format: 'chunk',
      covers: 4,
      diners: { elderly: 1, dislikesStrongFish: true },
    },
  },
  {
    id: 'cabbage-tacos',
    brief: {
      dish: 'Cabbage tacos',
      method: 'shallow-fry',
      format: 'fillet-skinless',
      covers: 5,
      diners: { children: 2 },
      skin: 'off',
      seasoning: 'bold',
    },
  },
]

const HOME_PRICES: readonly Quote[] = [
  quote('Pollachius virens', 'fillet-skinless', 14.9, 2, { merchant: 'The van on Thursday' }),
  quote('Gadus morhua', 'fillet-skin-on', 27.5, 2, { merchant: 'The van on Thursday' }),
  quote('Lophius piscatorius', 'fillet-skinless', 38, 2, { merchant: 'The van on Thursday' }),
  quote('Oreochromis niloticus', 'fillet-skinless', 13.5, 5, { state: 'frozen' }),
  quote('Salmo salar', 'fillet-skin-on', 23.9, 2, { origin: 'farmed', merchant: 'The van on Thursday' }),
]

/** Two invented kitchens with eight dishes between them. */
export const DEMO_KITCHENS: readonly DemoKitchen[] = [
  {
    id: 'lantern-house',
    name: 'Lantern House',
    waters: 'Marrow Sound waters',
    zone: 'Atlantic/Azores',
    currency: 'EUR',
    dishes: LANTERN_DISHES,
    quotes: LANTERN_PRICES,
    seasons: DEMO_SEASONS,
    stocks: DEMO_STOCKS,
    hasMarket: true,
  },
  {
    id: 'larch-cottage',
    name: 'The kitchen at Larch Cottage',
    waters: 'Marrow Sound waters',
    zone: 'Atlantic/Azores',
    currency: 'EUR',
    dishes: HOME_DISHES,
    quotes: HOME_PRICES,
    seasons: DEMO_SEASONS.slice(0, 6),
    stocks: [],
    hasMarket: false,
  },
]
