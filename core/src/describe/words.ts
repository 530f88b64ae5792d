import type { AskKey, Form, Gate, TextureKey } from '@tender-gill/contract'

/** What each ask is called on a docket. */
export const ASK_LABEL: Record<AskKey, string> = {
  firmness: 'Firmness',
  flake: 'Flake',
  cohesion: 'Holds together',
  fat: 'Fat',
  flavour: 'Flavour',
  bones: 'Bones',
  tolerance: 'Forgives overcooking',
  collagen: 'Gives body',
  skin: 'Skin crisps',
  binding: 'Binds as mince',
  rawBite: 'Raw bite',
  thickness: 'Depth of flesh',
  weight: 'Whole weight',
  colour: 'Colour',
  portionCost: 'Cost a portion',
  landings: 'Landings',
  condition: 'Condition',
  stock: 'Stock',
}

/** What another fish with less and with more of a trait is called beside this one. */
export const DIFFERENCE_WORDS: Record<TextureKey, readonly [less: string, more: string]> = {
  firmness: ['softer', 'firmer'],
  flake: ['finer flakes', 'larger flakes'],
  cohesion: ['more fragile', 'holds better'],
  fat: ['leaner', 'fatter'],
  flavour: ['milder', 'stronger'],
  bones: ['fewer bones', 'bonier'],
  tolerance: ['dries sooner', 'forgives more'],
  collagen: ['less body', 'more body'],
  skin: ['skin crisps less', 'skin crisps more'],
  binding: ['binds less', 'binds more'],
  rawBite: ['softer raw', 'firmer raw'],
}

/** Words along each 0 to 10 scale, from its low end to its high end. */
const SCALE_WORDS: Partial<Record<AskKey, readonly string[]>> = {
  firmness: ['very soft', 'soft', 'medium', 'firm', 'very firm'],
  flake: ['no flake', 'fine flakes', 'medium flakes', 'large flakes', 'very large flakes'],
  cohesion: ['falls apart', 'fragile', 'holds with care', 'holds well', 'cannot fall apart'],
  flavour: ['very mild', 'mild', 'medium flavour', 'strong', 'very strong'],
  bones: ['no bones', 'few bones', 'some bones', 'bony', 'very bony'],
  tolerance: ['dries at once', 'dries fast', 'forgives a little', 'forgives', 'forgives all'],
  collagen: ['no body', 'little body', 'some body', 'gelatinous', 'very gelatinous'],
  skin: ['skin must come off', 'poor skin', 'fair skin', 'crisps well', 'crisps like a wafer'],
  binding: ['mushy', 'binds poorly', 'binds fairly', 'binds well', 'binds to a bounce'],
  rawBite: ['weeps', 'soft raw', 'fair raw', 'firm raw', 'very firm raw'],
  condition: ['spent', 'thin', 'fair', 'good', 'at its best'],
}

const round1 = (n: number) => (Number.isInteger(n) ? String(n) : n.toFixed(1))
const grams = (n: number) => (n >= 1000 ? `${round1(Math.round(n / 100) / 10)} kg` : `${Math.round(n)} g`)

/** A value with its unit, as a cook would read it. */
export function describeValue(key: AskKey, value: number): string {
  switch (key) {
    case 'fat':
      return `${round1(Math.round(value * 10) / 10)} g in 100 g`
    case 'thickness':
      return `${Math.round(value)} mm`
    case 'weight':
      return grams(value)
    case 'portionCost':
      return value.toFixed(2)
    case 'landings':
      return `${Math.round(value * 100)} % of the best month`
    case 'stock':
      return `${Math.round(value)} of 100`
    default:
      return `${describeStep(key, value)} (${round1(Math.round(value * 10) / 10)})`
  }
}

/** The word for a step of a 0 to 10 scale. */
export function describeStep(key: AskKey, value: number): string {
  const words = SCALE_WORDS[key]
  if (!words) return round1(value)
  return words[Math.min(words.length - 1, Math.max(0, Math.floor((value / 10) * words.length)))] ?? round1(value)
}

/** A band in words: "firm (6) or more", "4 g in 100 g at most", "medium (4.5) to firm (7.5)". */
export function describeBand(key: AskKey, from: number | null, to: number | null): string {
  const openFrom = from === null || (from <= 0 && key !== 'flake')
  if (openFrom && to === null) return 'any'
  if (openFrom) return `${describeValue(key, to ?? 0)} at most`
  if (to === null || (to >= 10 && SCALE_WORDS[key])) return `${describeValue(key, from)} or more`
  if (key === 'fat') return `${round1(from)} to ${describeValue(key, to)}`
  if (key === 'thickness') return `${Math.round(from)} to ${describeValue(key, to)}`
  return `${describeValue(key, from)} to ${describeValue(key, to)}`
}

/** A bound that no score buys back, as a bare figure: "no less than 4". */
export function describeBound(key: AskKey, { from, to }: { readonly from: number | null; readonly to: number | null }): string {
  const figure = (value: number) => (SCALE_WORDS[key] ? round1(Math.round(value * 10) / 10) : describeValue(key, value))
  const least = from === null ? [] : [`no less than ${figure(from)}`]
  const most = to === null ? [] : [`no more than ${figure(to)}`]
  return [...least, ...most].join(' and ')
}

export const FORM_LABEL: Record<Form, string> = {
  whole: 'whole',
  gutted: 'whole, gutted',
  'fillet-skin-on': 'fillet, skin on',
  'fillet-skinless': 'fillet, skinless',
  loin: 'loin',
  steak: 'steak',
  frame: 'frames',
}

/** Short names of gates, for counts: "64 too soft to hold". */
export const GATE_LABEL: Record<Gate, string> = {
  unavailable: 'not to be had',
  origin: 'other origin',
  state: 'fresh or frozen',
  allergy: 'allergy',
  'raw-unsafe': 'not safe raw',
  vulnerable: 'not raw for these diners',
  'wax-ester': 'wax-ester fish',
  protected: 'protected',
  'closed-season': 'closed season',
  stock: 'stock',
  'not-landed': 'not landed now',
  form: 'not sold in this cut',
  thickness: 'too thin',
  size: 'wrong size',
  keeping: 'would not keep',
  firmness: 'firmness',
  flake: 'flake',
  cohesion: 'falls apart',
  fat: 'fat',
  flavour: 'flavour',
  bones: 'bones',
  tolerance: 'dries out',
  collagen: 'too little body',
  skin: 'skin does not crisp',
  binding: 'does not bind',
  rawBite: 'too soft raw',
  weight: 'weight',
  colour: 'colour',
  portionCost: 'cost',
  landings: 'landings',
  condition: 'condition',
  'price-unknown': 'price not known',
  budget: 'over budget',
}
export { grams as describeGrams }
