import { formatTemperature } from '../../reader/index.ts'

/** What may be chosen in each field of a brief, and in which words. */
type Options = readonly (readonly [value: string, words: string])[]

export const SKINS: Options = [
  ['', 'as the house has it'],
  ['any', 'no matter'],
  ['crisp', 'crisp, it is the point'],
  ['off', 'off'],
]
export const SEASONINGS: Options = [
  ['', 'as the house has it'],
  ['balanced', 'balanced'],
  ['gentle', 'gentle: the fish speaks'],
  ['bold', 'bold: strong flavours'],
]
export const DONENESSES: Options = [
  ['', 'as the house has it'],
  ['set', `set, ${formatTemperature(63)}`],
  ['moist', 'moist, below'],
  ['rare', 'rare, raw in the middle'],
]
export const ORIGINS: Options = [
  ['', 'as the house has it'],
  ['any', 'wild or farmed'],
  ['wild', 'wild'],
  ['farmed', 'farmed'],
]
export const STATES: Options = [
  ['', 'as the house has it'],
  ['any', 'either'],
  ['fresh', 'fresh'],
  ['frozen', 'frozen'],
]
export const WATERS: Options = [
  ['any', 'any water'],
  ['sea', 'the sea'],
  ['fresh', 'fresh water'],
]
export const PARTS: Options = [
  ['any', 'as the dish has it'],
  ['body', 'the body'],
  ['loin', 'the loin'],
  ['tail', 'the tail'],
  ['belly', 'the belly'],
  ['collar', 'the collar'],
]
export const SPENDS: Options = [
  ['any', 'whatever it costs'],
  ['everyday', 'everyday fish'],
  ['least', 'as little as can be'],
]
export const SMOKES: Options = [
  ['hot', 'hot'],
  ['cold', 'cold'],
]
export const EATEN: Options = [
  ['raw', 'as it is'],
  ['cooked', 'heated through first'],
]
export const TREATMENTS: Options = [
  ['none', 'not frozen'],
  ['frozen', 'frozen by the published rule'],
]
export const WEIGHED: Options = [
  ['cooked', 'cooked'],
  ['raw', 'raw'],
]
export const SHELLFISH: Options = [
  ['crustacean', 'Prawns and crab too'],
  ['cephalopod', 'Squid and octopus too'],
  ['bivalve', 'Mussels and clams too'],
]
