import type { AskKey, Brief, Diners, Problem } from '@tender-gill/contract'
import { ASK_LABEL, FORMAT_LABEL, METHOD_LABEL, describeMass, formatLength } from '../reader/index.ts'

const count = (n: number | undefined, one: string, many: string) => (n ? [`${n} ${n === 1 ? one : many}`] : [])

/** How the dish is cooked and cut, in a line. */
export function describeMaking({ method, format, thicknessMm }: Brief): string {
  return `${METHOD_LABEL[method]}, ${thicknessMm ? `${formatLength(thicknessMm)} ` : ''}${FORMAT_LABEL[format]}`
}

/** For how many and how much, in a line. */
export const describeServing = ({ covers = 1, portionG = 150, portionBasis = 'cooked' }: Brief): string =>
  `${covers} ${covers === 1 ? 'cover' : 'covers'} at ${describeMass(portionG)} ${portionBasis}`

/** Who eats it, as short labels. */
export function listDiners(diners: Diners = {}): readonly string[] {
  return [
    ...count(diners.children, 'child', 'children'),
    ...count(diners.pregnant, 'pregnant', 'pregnant'),
    ...count(diners.elderly, 'elderly', 'elderly'),
    ...count(diners.immunocompromised, 'weak defences', 'weak defences'),
    ...(diners.boneShy ? ['Shy of bones'] : []),
    ...(diners.newToWholeFish ? ['New to whole fish'] : []),
    ...(diners.dislikesStrongFish ? ['No strong fish'] : []),
    ...(diners.allergies ?? []).map((allergen) => `No ${allergen}`),
  ]
}

const CAUTION_LABEL: Readonly<Record<string, string>> = {
  raw: 'served raw',
  mercury: 'mercury',
  histamine: 'histamine',
  keeping: 'keeping',
  ciguatera: 'ciguatera',
  spines: 'spines',
  listing: 'stock or trade',
  bones: 'bones',
  doneness: 'cook it through',
  opened: 'a limit lifted',
  format: 'unusual cut',
  unchecked: 'not checked',
}
/** The kinds of caution that stand beside a fish, named in passing. */
export const nameCautions = (kinds: readonly string[]): string => [...new Set(kinds)].map((kind) => CAUTION_LABEL[kind] ?? kind).join(', ')
/** A share as people say it: of 100. */
export const ofHundred = (share: number): string =>
  share > 0 && share < 0.005 ? 'under 1' : share > 0.995 && share < 1 ? 'over 99' : String(Math.round(share * 100))
const PLACES: Readonly<Record<string, string>> = {
  dish: 'The name',
  method: 'How it is cooked',
  format: 'The cut',
  thicknessMm: 'Thickness',
  covers: 'Covers',
  portionG: 'The portion',
  diners: 'Who eats it',
  budget: 'The budget',
  keep: 'How long it waits',
  date: 'The day',
  waters: 'The waters',
  pool: 'The fish to choose from',
  doneness: 'How far it is cooked',
}
const ENDS: Readonly<Record<string, string>> = { from: ', its lower end', to: ', its upper end', pull: ', how much it matters' }

/** A problem of a brief in words: where it is as a cook calls it, and what it is. */
export function describeProblem({ path, message }: Problem): string {
  const [first = '', second = '', third = ''] = path
    .replace(/^\/brief/, '')
    .split('/')
    .slice(1)
  const place = first === 'asks' ? `${ASK_LABEL[second as AskKey] ?? second}${ENDS[third] ?? ''}` : (PLACES[first] ?? '')
  return place === '' ? message : `${place}: ${message}`
}

/** Names as they are read out: "cod, hake and ling". */
export const joinWords = (names: readonly string[]): string =>
  names.length < 2 ? (names[0] ?? '') : `${names.slice(0, -1).join(', ')} and ${names[names.length - 1] ?? ''}`
