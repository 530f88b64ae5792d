import { createHash } from 'node:crypto'
import type { DoneLevel, Entry, FleshKey, Form, Method } from '@tender-gill/contract'
import { addDays } from '@tender-gill/core'

/** A number between 0 and 1 that hangs on its name alone. */
const draw = (name: string): number => createHash('sha256').update(name).digest().readUInt32BE(0) / 4_294_967_296

interface DemoFish {
  readonly species: string
  readonly offerId: string
  readonly form: Form
  readonly merchant: string
  readonly perKg: number
  /** How it usually turns out in this kitchen, against the book. */
  readonly leans: Partial<Record<FleshKey, number>>
}
interface DemoService {
  readonly dish: string
  readonly method: Method
  readonly fish: keyof typeof FISH
  /** What it stands in for, and how often that is worth taking again. */
  readonly missing?: { readonly species: string; readonly worked: number }
  readonly covers: number
  readonly minutes: number
}

const FISH = {
  cod: {
    ...{ species: 'Gadus morhua', offerId: 'gadus-morhua.wild.fresh.body', form: 'fillet-skin-on' },
    ...{ merchant: 'Hessle Quay Fish', perKg: 22, leans: {} },
  },
  haddock: {
    ...{ species: 'Melanogrammus aeglefinus', offerId: 'melanogrammus-aeglefinus.wild.fresh.body', form: 'whole' },
    ...{ merchant: 'Hessle Quay Fish', perKg: 11, leans: { firmness: -0.8 } },
  },
  monkfish: {
    ...{ species: 'Lophius piscatorius', offerId: 'lophius-piscatorius.wild.fresh.body', form: 'fillet-skinless' },
    ...{ merchant: 'Hessle Quay Fish', perKg: 34, leans: { firmness: 0.4 } },
  },
  saithe: {
    ...{ species: 'Pollachius virens', offerId: 'pollachius-virens.wild.fresh.body', form: 'fillet-skin-on' },
    ...{ merchant: 'Hessle Quay Fish', perKg: 12, leans: { flavour: 0.6 } },
  },
} as const satisfies Record<string, DemoFish>

/** What the demo's kitchen has cooked again and again. */
const SERVICES: readonly DemoService[] = [
  { dish: 'Beer-battered supper', method: 'deep-fry', fish: 'cod', covers: 24, minutes: 6 },
  { dish: 'Leek and potato fish pie', method: 'poach', fish: 'haddock', covers: 18, minutes: 7 },
  { dish: 'Saffron rice with fish', method: 'braise', fish: 'monkfish', covers: 14, minutes: 13 },
  {
    dish: 'Beer-battered supper',
    method: 'deep-fry',
    fish: 'saithe',
    missing: { species: 'Gadus morhua', worked: 0.85 },
    covers: 22,
    minutes: 6,
  },
  {
    dish: 'Leek and potato fish pie',
    method: 'poach',
    fish: 'saithe',
    missing: { species: 'Melanogrammus aeglefinus', worked: 0.25 },
    covers: 18,
    minutes: 7,
  },
  { dish: 'Saffron rice with fish', method: 'braise', fish: 'monkfish', covers: 12, minutes: 12 },
]
/** What somebody of the house wrote on a card, by weeks ago. */
const LESSONS: readonly (readonly [weeksAgo: number, service: number, words: string])[] = [
  [3, 1, 'The haddock off the small boats is soft by Saturday: poach it at once, or take it for the soup'],
  [6, 3, 'Saithe in batter: dry it longer, and nobody asked where the cod was'],
  [9, 2, 'Monkfish gives a quarter of its weight to the pan: buy for it'],
  [20, 4, 'Saithe turns grey in the pie. Not again without the saffron'],
]
const WEEKS = 30

const note = (name: string, lean: number): number => Math.max(-2, Math.min(2, Math.round(lean + 1.1 * (draw(name) - 0.5) * 2)))

/** The lines of one service, each under its id. */
function writeService(week: number, { dish, method, fish: key, missing, covers, minutes }: DemoService, day: string) {
  const fish: DemoFish = FISH[key]
  const name = `${week}|${dish}|${key}`
  const { species, offerId, form, merchant, perKg, leans } = fish
  const about = { day, servingId: null, dish, method, species, offerId, form, merchant, words: null }
  const at = (hour: string) => ({ at: `${day}T${hour}:00Z` })
  const chance = (what: string) => draw(`${name}|${what}`)
  const boughtG = Math.round((covers * 200) / 50) * 50
  const came = chance('came')
  const state = came < 0.04 ? 'not-come' : came < 0.12 ? 'short' : 'bought'
  const age = 1 + 4 * chance('age')
  const done: DoneLevel = chance('done') < 0.14 ? 'over' : chance('done') < 0.2 ? 'under' : 'right'
  const worked = missing === undefined ? true : chance('worked') < missing.worked
  const price = Math.round(perKg * (0.9 + 0.25 * chance('price')) * 100) / 100
  const whole = form === 'whole'
  const entries: readonly (Entry | null)[] = [
    {
      ...{ kind: 'bought', ...about, ...at('08:00'), state, orderedG: boughtG },
      ...(state === 'not-come' ? { g: null, perKg: null } : { g: state === 'short' ? Math.round(boughtG * 0.8) : boughtG, perKg: price }),
      ...{ expectedPerKg: perKg, currency: 'EUR' },
    },
    chance('looked') < 0.5
      ? {
          ...{ kind: 'looked', ...about, ...at('08:05'), outcome: 'buy', refused: false },
          iceDays: { low: Math.round(age * 5) / 10, typical: Math.round(age * 10) / 10, high: Math.round(age * 17) / 10 },
        }
      : null,
    whole && chance('weighed') < 0.6
      ? {
          ...{ kind: 'weighed', ...about, ...at('14:00'), form: 'fillet-skin-on', boughtAs: 'whole' },
          ...{ boughtG, edibleG: Math.round(boughtG * (0.4 + 0.05 * chance('yield'))) },
        }
      : null,
    {
      ...{ kind: 'cooked', ...about, ...at('20:00'), done },
      ...{ minutes: Math.round(minutes * (0.85 + 0.4 * chance('minutes')) * 2) / 2, pullC: null, sheetPullC: 50 },
      sheetMinutes: { low: Math.round(minutes * 8) / 10, typical: minutes, high: Math.round(minutes * 12) / 10 },
    },
    {
      ...{ kind: 'served', ...about, ...at('21:30'), covers },
      notes: {
        firmness: note(`${name}|firmness`, leans.firmness ?? 0),
        flavour: note(`${name}|flavour`, leans.flavour ?? 0),
      },
      ...{ bones: chance('bones') < 0.8 ? 'none' : 'few', again: worked && done !== 'over', photo: null },
    },
    missing ? { kind: 'swapped', ...about, ...at('21:31'), missing: missing.species, standIn: species, worked } : null,
    chance('back') < 0.15 ? { kind: 'came-back', ...about, ...at('21:40'), portions: 1 + Math.floor(3 * chance('portions')) } : null,
    chance('kept') < 0.4
      ? {
          ...{ kind: 'kept', ...about, ...at('22:00'), end: chance('thrown') < 0.25 ? 'thrown' : 'used' },
          ...{ g: Math.round(boughtG * (0.05 + 0.1 * chance('left'))), days: 1 + Math.round(2 * chance('days')) },
        }
      : null,
  ]
  return entries.flatMap((entry, i) => (entry ? [{ about: `demo:${week}:${dish}:${key}:${i}`, act: 'write' as const, entry }] : []))
}

/** A made-up half year of the demo's house book: its services, two of three dishes a week, and a few lessons. */
export function makeDemoBook(today: string) {
  const services = Array.from({ length: WEEKS }, (_, i) => {
    const week = WEEKS - i
    // Two services a week, never the same twice.
    return [week % SERVICES.length, (week + 1 + (week % 4)) % SERVICES.length].flatMap((place, k) => {
      const service = SERVICES[place]
      return service ? writeService(week, service, addDays(today, -7 * week + 3 * k)) : []
    })
  }).flat()
  const lessons = LESSONS.flatMap(([weeksAgo, place, words]) => {
    const service = SERVICES[place]
    if (!service) return []
    const { species, offerId, form, merchant }: DemoFish = FISH[service.fish]
    const day = addDays(today, -7 * weeksAgo)
    const entry: Entry = {
      ...{ kind: 'lesson', at: `${day}T22:30:00Z`, day, servingId: null, dish: service.dish, method: service.method },
      ...{ species, offerId, form, merchant, words },
    }
    return [{ about: `demo:lesson:${weeksAgo}`, act: 'write' as const, entry }]
  })
  return [...services, ...lessons]
}
