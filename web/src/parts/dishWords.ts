import type { AskKey, Brief, Diners, MercuryClass, Problem } from '@tender-gill/contract'
import { stylesOf } from '@tender-gill/contract/vocabulary'
import { ASK_LABEL, FORMAT_LABEL, METHOD_LABEL, STYLE_LABEL, describeMass, formatLength } from '../reader/index.ts'

const count = (n: number | undefined, one: string, many: string) => (n ? [`${n} ${n === 1 ? one : many}`] : [])

/** How the dish is cooked and cut, in a line. */
export function describeMaking({ method, format, thicknessMm, style, servedAs, doneness }: Brief): string {
  const manner = [
    ...(style && style !== stylesOf(method)[0] ? [STYLE_LABEL[style]] : []),
    ...(servedAs === 'cooked' ? ['heated through before it is eaten'] : []),
    ...(doneness === 'rare' ? ['rare'] : []),
  ]
  return `${[METHOD_LABEL[method], ...manner].join(', ')}, ${thicknessMm ? `${formatLength(thicknessMm)} ` : ''}${FORMAT_LABEL[format]}`
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
    ...count(diners.immunocompromised, 'weakened immunity', 'weakened immunity'),
    ...(diners.boneShy ? ['Afraid of bones'] : []),
    ...(diners.newToWholeFish ? ['First whole fish'] : []),
    ...(diners.dislikesStrongFish ? ['No strong fish'] : []),
    ...(diners.finsAndScales ? ['Fins and scales'] : []),
    ...(diners.portionsAWeek && diners.portionsAWeek !== 1 ? [`${diners.portionsAWeek} portions a week`] : []),
    ...(diners.allergies ?? []).map((allergen) => `Allergic to ${allergen}`),
  ]
}

/** What else a brief says of the fish it will have, as short labels. */
export const listLimits = ({
  spend = 'any',
  spendMust,
  habitat = 'any',
  part = 'any',
  colour,
  kinds = ['fish'],
}: Brief): readonly string[] => [
  ...(colour ? [`${capitalise(colour.wanted.join(' or '))} flesh${colour.must ? ', a must' : ''}`] : []),
  ...(spend === 'any' ? [] : [`${spend === 'least' ? 'As little as can be' : 'Everyday fish'}${spendMust ? ', a must' : ''}`]),
  ...(habitat === 'any' ? [] : [habitat === 'sea' ? 'From the sea' : 'From fresh water']),
  ...(part === 'any' ? [] : [`The ${part}`]),
  ...(kinds.length === 1 && kinds[0] === 'fish' ? [] : [`Of ${kinds.map((kind) => KIND_LABEL[kind]).join(', ')}`]),
]
const KIND_LABEL = { fish: 'fish', crustacean: 'prawns and crab', cephalopod: 'squid and octopus', bivalve: 'mussels and clams' } as const

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
  salt: 'time and strength of salt',
}
/** The kinds of caution that stand beside a fish, named in passing. */
export const nameCautions = (kinds: readonly string[], { mercury, venom }: { mercury?: MercuryClass; venom?: boolean } = {}): string =>
  [...new Set(kinds)]
    .map((kind) => {
      // What is far above what is advised is not called by the same word as what only counts.
      if (kind === 'mercury' && (mercury === 'high' || mercury === 'very-high')) return 'much mercury'
      if (kind === 'spines' && venom) return 'venomous spines'
      return CAUTION_LABEL[kind] ?? kind
    })
    .join(', ')
/** A share as people say it: of 100. */
export const ofHundred = (share: number): string =>
  share > 0 && share < 0.005 ? 'under 1' : share > 0.995 && share < 1 ? 'over 99' : String(Math.round(share * 100))
/** A chance worked out from compiled ones, of 100: none of them is certain. */
export const chanceOfHundred = (chance: number): string => ofHundred(Math.min(0.999, chance))
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

export const capitalise = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)
