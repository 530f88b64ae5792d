import wares from '../../demo/wares.json' with { type: 'json' }
import { createRandom, type Random } from './random.ts'

/** What a merchant sells: the middle price of a kilogram, the month in which it is dearest and by how much, in logarithms. */
export interface Ware {
  readonly name: string
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
export interface SimulatedMerchant {
  readonly key: string
  readonly name: string
  readonly format: string
  readonly wares: readonly Ware[]
}

export const MERCHANTS: readonly SimulatedMerchant[] = wares.merchants

/** One row as the merchant writes it: all text, for better or worse. */
export interface WrittenRow {
  readonly fish: string
  readonly cut: string
  readonly price: string
  readonly unit: string
  readonly weightG: string
  readonly origin: string
  readonly state: string
  readonly size: string
  readonly minimumKg: string
}
/** What the row would say had nobody slipped. */
export interface TrueRow {
  readonly species: string
  readonly form: string
  readonly perKg: number
}
export interface WrittenList {
  readonly merchant: string
  readonly date: string
  readonly news: string
  readonly rows: readonly WrittenRow[]
  readonly truth: readonly TrueRow[]
}

const DAY_MS = 86_400_000
const dayOf = (date: string) => Math.round(Date.parse(date) / DAY_MS)

/** Weather of a day, the same for all: 0 calm to 1 storm, in spells of some days, rougher in winter. */
function readWeather(seed: string, day: number): number {
  const rough = 0.35 + 0.2 * Math.cos((2 * Math.PI * (day % 365.25)) / 365.25)
  const spell = createRandom(`${seed}|weather|${Math.floor(day / 3)}`).uniform()
  return Math.min(1, Math.max(0, spell * 0.9 + rough - 0.35))
}

const describeWeather = (weather: number): string =>
  weather > 0.85 ? 'Storm: most boats stayed in.' : weather > 0.6 ? 'Fresh wind, fewer boats out.' : 'Fair, all boats out.'

/** A name as somebody in a hurry types it: two letters change places, or one is lost. */
function misspell(name: string, random: Random): string {
  const at = 1 + Math.floor(random.uniform() * Math.max(1, name.length - 3))
  return random.uniform() < 0.5
    ? name.slice(0, at) + (name[at + 1] ?? '') + (name[at] ?? '') + name.slice(at + 2)
    : name.slice(0, at) + name.slice(at + 1)
}

/** Walks of each ware since a fixed day, weekly steps that fade, so that any day can be asked for by itself. */
function readWalk(seed: string, ware: Ware, day: number): number {
  let sum = 0
  for (let back = 0; back < 12; back += 1)
    sum += createRandom(`${seed}|${ware.name}|${ware.form}|${Math.floor(day / 7) - back}`).normal() * 0.05 * 0.8 ** back
  return sum
}

const NONSENSE = ['call us', '?', '-', '9.99.9', '1e9', '0'] as const

function writeRow(ware: Ware, perKg: number, random: Random): WrittenRow {
  const priced = ware.eachG === undefined ? perKg : (perKg * ware.eachG) / 1000
  const slip = random.uniform()
  const price = slip < 0.006 ? random.pick(NONSENSE) : slip < 0.012 ? (priced * random.pick([10, 0.1])).toFixed(2) : priced.toFixed(2)
  return {
    fish: random.uniform() < 0.03 ? misspell(ware.name, random) : ware.name,
    cut: random.uniform() < 0.004 ? 'see note' : ware.form,
    price,
    unit: ware.unit,
    weightG: ware.eachG === undefined ? '' : String(ware.eachG),
    origin: ware.origin,
    state: ware.state,
    size: ware.grade ?? '',
    minimumKg: ware.minimumKg === undefined ? '' : String(ware.minimumKg),
  }
}

/**
 * The list of a merchant on a morning: what was landed in that weather at what price, with shortages and gluts, and with the slips people
 * make. The same seed, merchant and day make the same list.
 */
export function writeList(merchant: SimulatedMerchant, date: string, seed: string): WrittenList {
  const day = dayOf(date)
  const month = Number(date.slice(5, 7)) - 1 + Number(date.slice(8, 10)) / 31
  const weather = readWeather(seed, day)
  const random = createRandom(`${seed}|${merchant.key}|${date}`)
  const rows: WrittenRow[] = []
  const truth: TrueRow[] = []
  const events: string[] = [describeWeather(weather)]
  for (const ware of merchant.wares) {
    const hangsOnWeather = ware.origin === 'wild' && ware.state === 'fresh'
    const fortune = createRandom(`${seed}|${merchant.key}|${ware.name}|${Math.floor(day / 10)}`).uniform()
    const glut = hangsOnWeather && fortune > 0.95
    const short = hangsOnWeather && fortune < 0.05
    if (hangsOnWeather && random.uniform() < weather * 0.5 + (short ? 0.6 : 0)) continue
    if (glut) events.push(`Plenty of ${ware.name}.`)
    if (short) events.push(`Little ${ware.name}.`)
    const seasonal = ware.swing * Math.cos((2 * Math.PI * (month - ware.dearMonth + 0.5)) / 12)
    const squeeze = (hangsOnWeather ? 0.22 * weather : 0) + (glut ? -0.25 : 0) + (short ? 0.25 : 0)
    const perKg = ware.perKg * Math.exp(seasonal + squeeze + readWalk(seed, ware, day) + 0.03 * random.normal())
    rows.push(writeRow(ware, perKg, random))
    truth.push({ species: ware.species, form: ware.form, perKg })
  }
  return { merchant: merchant.name, date, news: events.slice(0, 4).join(' '), rows, truth }
}
