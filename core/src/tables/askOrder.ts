import type { AskKey } from '@tender-gill/contract'

/** The order in which asks are read, explained and tested as musts: texture first, then size, then market. */
export const ASK_ORDER: readonly AskKey[] = [
  'firmness',
  'flake',
  'cohesion',
  'fat',
  'flavour',
  'bones',
  'tolerance',
  'collagen',
  'skin',
  'binding',
  'rawBite',
  'thickness',
  'weight',
  'colour',
  'offFlavour',
  'mercury',
  'marketClass',
  'portionCost',
  'landings',
  'condition',
  'stock',
]
