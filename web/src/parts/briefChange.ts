import type { BandKey, Brief } from '@tender-gill/contract'
import equal from 'fast-deep-equal'
import { ASK_LABEL, describeBand, FORMAT_LABEL, formatLength, describeMass, METHOD_LABEL, STYLE_LABEL } from '../reader/index.ts'
import { joinWords, listDiners } from './dishWords.ts'

type Asks = NonNullable<Brief['asks']>

const lower = (key: BandKey): string => ASK_LABEL[key].toLowerCase()
const matters = (pull: number): string => (pull < 0.05 ? 'does not matter' : `matters ${Math.round(pull * 10) / 10} of 5`)

/** What became of one ask. */
function describeAsk(key: BandKey, before: Asks[BandKey], after: Asks[BandKey]): readonly string[] {
  const name = lower(key)
  if (!after) return [`${name} as the method has it`]
  const old: Partial<typeof after> = before ?? {}
  const said: string[] = []
  if ((after.must ?? null) !== (old.must ?? null)) said.push(after.must ? `${name} is a must` : `${name} is no must`)
  if ((!equal(after.from, old.from) || !equal(after.to, old.to)) && (after.from !== undefined || after.to !== undefined))
    said.push(`${name} is wanted ${describeBand(key, after.from ?? null, after.to ?? null)}`)
  if (after.pull !== undefined && after.pull !== old.pull) said.push(`${name} ${matters(after.pull)}`)
  return said.length > 0 ? said : [`${name} is asked`]
}

/** What a field reads as, and what it is called. */
const FIELDS: { readonly [K in keyof Brief]?: (brief: Brief) => string } = {
  dish: ({ dish }) => `it is called ${dish}`,
  method: ({ method }) => METHOD_LABEL[method].toLowerCase(),
  format: ({ format }) => FORMAT_LABEL[format],
  style: ({ style }) => (style ? STYLE_LABEL[style] : 'the usual style'),
  covers: ({ covers = 1 }) => `${covers} ${covers === 1 ? 'cover' : 'covers'}`,
  portionG: ({ portionG = 150 }) => `${describeMass(portionG)} a portion`,
  thicknessMm: ({ thicknessMm }) => (thicknessMm ? `${formatLength(thicknessMm)} thick` : 'no thickness named'),
  date: ({ date }) => (date ? 'another day' : 'no day'),
  seasoning: ({ seasoning = 'balanced' }) => `seasoned ${seasoning === 'balanced' ? 'in balance' : seasoning}`,
  doneness: ({ doneness = 'set' }) => `cooked ${doneness}`,
  diners: ({ diners }) => {
    const told = listDiners(diners)
    return told.length > 0 ? `for ${joinWords(told.map((one) => one.toLowerCase()))}` : 'for anybody'
  },
  budget: ({ budget }) => (budget ? 'another budget' : 'no budget'),
  menuPrice: ({ menuPrice }) => (menuPrice ? 'another price on the menu' : 'no price on the menu'),
  spend: ({ spend = 'any' }) => (spend === 'any' ? 'whatever it costs' : spend === 'least' ? 'as little as can be' : 'everyday fish'),
  waters: () => 'other waters',
  pool: () => 'other fish to choose from',
  unavailable: () => 'other fish missing',
  longCooking: ({ longCooking }) => (longCooking ? 'cooked long' : 'not cooked long'),
  wholeServes: ({ wholeServes }) => (wholeServes ? `${wholeServes} to a fish` : 'fish of any size'),
  skin: ({ skin = 'any' }) => (skin === 'crisp' ? 'skin crisp' : skin === 'off' ? 'skin off' : 'skin no matter'),
  origin: ({ origin = 'any' }) => (origin === 'any' ? 'wild or farmed' : origin),
  state: ({ state = 'any' }) => (state === 'any' ? 'fresh or frozen' : state),
  kinds: () => 'other kinds of animal',
  part: ({ part = 'any' }) => (part === 'any' ? 'any part' : `the ${part}`),
  habitat: ({ habitat = 'any' }) => (habitat === 'any' ? 'any water' : habitat === 'sea' ? 'from the sea' : 'from fresh water'),
}
/** Fields that say nothing of the dish. */
const SILENT: ReadonlySet<string> = new Set(['asks', 'draws', 'seed'])

/** What was changed in a brief, in a few words each; nothing where only its draws were. */
export function describeBriefChange(before: Brief, after: Brief): readonly string[] {
  const [old, now] = [before.asks ?? {}, after.asks ?? {}]
  const keys = [...new Set([...Object.keys(old), ...Object.keys(now)])] as BandKey[]
  const asks = keys.filter((key) => !equal(old[key], now[key])).flatMap((key) => describeAsk(key, old[key], now[key]))
  const fields = [...new Set([...Object.keys(before), ...Object.keys(after)])] as (keyof Brief)[]
  const rest = fields.filter((field) => !SILENT.has(field) && !equal(before[field], after[field]))
  return [...asks, ...rest.map((field) => FIELDS[field]?.(after) ?? 'the brief')].filter((one, i, all) => all.indexOf(one) === i)
}
