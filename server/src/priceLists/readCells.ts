import { FORMS, ORIGINS, PRICE_UNITS, STATES, type Form, type Origin, type PriceUnit, type State } from '@tender-gill/contract'

const fold = (text: string) =>
  text
    .toLowerCase()
    .replaceAll(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()

const words = <T extends string>(values: readonly T[], more: Readonly<Record<string, T>>): ReadonlyMap<string, T> =>
  new Map([...values.map((value) => [fold(value), value] as const), ...Object.entries(more)])

const FORM_WORDS = words<Form>(FORMS, {
  round: 'whole',
  ungutted: 'whole',
  'head on': 'gutted',
  'gutted head on': 'gutted',
  cleaned: 'gutted',
  fillet: 'fillet-skin-on',
  fillets: 'fillet-skin-on',
  'skin on': 'fillet-skin-on',
  'skin on fillet': 'fillet-skin-on',
  skinless: 'fillet-skinless',
  'skinless fillet': 'fillet-skinless',
  loins: 'loin',
  steaks: 'steak',
  bones: 'frame',
  frames: 'frame',
})
const UNIT_WORDS = words<PriceUnit>(PRICE_UNITS, {
  kilo: 'kg',
  'per kg': 'kg',
  'per kilo': 'kg',
  lbs: 'lb',
  pound: 'lb',
  'per lb': 'lb',
  piece: 'each',
  pc: 'each',
  ea: 'each',
  case: 'box',
  'per box': 'box',
})
const ORIGIN_WORDS = words<Origin>(ORIGINS, { caught: 'wild', 'wild caught': 'wild', farm: 'farmed', aquaculture: 'farmed' })
const STATE_WORDS = words<State>(STATES, { chilled: 'fresh', ice: 'fresh', 'on ice': 'fresh', defrosted: 'thawed', iqf: 'frozen' })

export const readForm = (text: string): Form | undefined => FORM_WORDS.get(fold(text))
export const readUnit = (text: string): PriceUnit | undefined => UNIT_WORDS.get(fold(text))
export const readOrigin = (text: string): Origin | undefined => ORIGIN_WORDS.get(fold(text))
export const readState = (text: string): State | undefined => STATE_WORDS.get(fold(text))

/** A number as a merchant writes it, signs of money beside it; undefined for anything else. */
export function readNumber(text: string, decimal: '.' | ','): number | undefined {
  const bare = text.replaceAll(/[\s\u00a0€$£¥]/g, '').replace(/^[A-Z]{3}|[A-Z]{3}$/g, '')
  const plain = decimal === ',' ? bare.replaceAll('.', '').replace(',', '.') : bare.replaceAll(/,(?=\d{3}(\D|$))/g, '')
  if (!/^\d+(\.\d+)?$/.test(plain)) return undefined
  const value = Number(plain)
  return Number.isFinite(value) ? value : undefined
}
