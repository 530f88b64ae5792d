import type { ColdPlace, Lot } from '@tender-gill/contract'

interface DemoPlace {
  readonly id: string
  readonly place: ColdPlace
}
interface DemoLot {
  readonly id: string
  /** Hours ago it was bought. */
  readonly hoursAgo: number
  readonly lot: Omit<Lot, 'boughtAt' | 'stays' | 'line' | 'journey' | 'state'>
  /** Where it has lain since, hours after it was bought. */
  readonly stays: readonly { readonly after: number; readonly place: string; readonly iced: boolean }[]
}

/** Where the demo's larger kitchen keeps its fish; each place is read by a simulated thermometer. */
export const DEMO_PLACES: readonly DemoPlace[] = [
  { id: 'low-fridge', place: { name: 'The low fridge', kind: 'fridge', usualC: 2.5, thermometer: 'low-fridge' } },
  { id: 'walk-in', place: { name: 'The walk-in', kind: 'fridge', usualC: 3, thermometer: 'walk-in' } },
  { id: 'freezer', place: { name: 'The freezer', kind: 'freezer', usualC: -19, thermometer: 'freezer' } },
]

/** What lies in them: one that was iced as it should be, one that went through a bad night, one whose time is short, one that is frozen. */
export const DEMO_LOTS: readonly DemoLot[] = [
  {
    id: 'lot-monkfish',
    hoursAgo: 20,
    lot: {
      ...{
        species: 'Lophius piscatorius',
        offerId: 'lophius-piscatorius.wild.fresh.body',
        form: 'fillet-skinless',
        g: 4200,
        merchant: 'Hessle Quay Fish',
      },
      ...{ use: 'cooked', ageIceDays: { low: 1.25, typical: 2.5, high: 4.25 }, servings: ['saffron-rice'], freezing: null },
    },
    stays: [
      { after: 0, place: 'low-fridge', iced: true },
      { after: 11, place: 'low-fridge', iced: true },
    ],
  },
  {
    id: 'lot-mackerel',
    hoursAgo: 18,
    lot: {
      ...{ species: 'Scomber scombrus', offerId: 'scomber-scombrus.wild.fresh.body', form: 'whole', g: 2600, merchant: 'Hessle Quay Fish' },
      ...{ use: 'cooked', ageIceDays: { low: 0.5, typical: 1, high: 2 }, servings: [], freezing: null },
    },
    stays: [{ after: 0, place: 'walk-in', iced: false }],
  },
  {
    id: 'lot-haddock',
    hoursAgo: 44,
    lot: {
      ...{ species: 'Melanogrammus aeglefinus', offerId: 'melanogrammus-aeglefinus.wild.fresh.body', form: 'fillet-skin-on', g: 3100 },
      ...{ merchant: 'Hessle Quay Fish', use: 'cooked', ageIceDays: { low: 3, typical: 5, high: 7.5 }, servings: ['leek-and-potato-pie'] },
      freezing: null,
    },
    stays: [
      { after: 0, place: 'low-fridge', iced: true },
      { after: 14, place: 'low-fridge', iced: false },
    ],
  },
  {
    id: 'lot-salmon',
    hoursAgo: 60,
    lot: {
      ...{
        species: 'Salmo salar',
        offerId: 'salmo-salar.farmed.fresh.body',
        form: 'fillet-skin-on',
        g: 1450,
        merchant: 'Tidewell & Daughters',
      },
      ...{ use: 'raw', ageIceDays: { low: 0.75, typical: 1.5, high: 3 }, servings: ['beetroot-cure'] },
      freezing: null,
    },
    stays: [
      { after: 0, place: 'low-fridge', iced: true },
      { after: 3, place: 'freezer', iced: false },
    ],
  },
]
