import type { Brief, Format, Method } from '@tender-gill/contract'
import { METHOD_TABLE } from './methods.ts'

export type GridCell = 'allowed' | 'odd' | 'impossible'
const row = (allowed: readonly Format[], odd: readonly Format[]): Partial<Record<Format, GridCell>> => ({
  ...Object.fromEntries(allowed.map((format) => [format, 'allowed'])),
  ...Object.fromEntries(odd.map((format) => [format, 'odd'])),
})
const fillets = ['fillet-skin-on', 'fillet-skinless'] as const

/** Which cuts suit which method, the most usual first; what is in neither list is impossible. */
const GRID: Record<Method, Partial<Record<Format, GridCell>>> = {
  'pan-sear': row(['portion', ...fillets, 'steak', 'whole'], ['chunk', 'slice']),
  'shallow-fry': row([...fillets, 'portion', 'whole', 'steak'], ['chunk', 'slice', 'mince']),
  'deep-fry': row(['portion', ...fillets, 'chunk', 'whole'], ['steak', 'slice', 'mince', 'frame']),
  grill: row(['portion', 'steak', 'whole', 'fillet-skin-on', 'chunk'], ['fillet-skinless', 'slice', 'mince']),
  broil: row(['portion', ...fillets, 'steak', 'whole', 'chunk'], ['slice']),
  roast: row(['portion', ...fillets, 'steak', 'whole', 'chunk'], ['slice']),
  'roast-whole': row(['whole'], []),
  steam: row(['portion', ...fillets, 'steak', 'chunk', 'whole'], ['slice', 'mince']),
  'steam-whole': row(['whole'], []),
  'wrap-steam': row(['portion', ...fillets, 'whole', 'steak', 'chunk'], ['slice', 'mince']),
  poach: row(['portion', ...fillets, 'chunk', 'steak', 'whole'], ['slice', 'mince']),
  braise: row(['steak', 'chunk', 'portion', 'whole'], [...fillets, 'slice', 'frame']),
  stew: row(['chunk', 'steak', 'portion'], ['whole', ...fillets, 'slice', 'mince', 'frame']),
  chowder: row(['chunk', 'portion', ...fillets], ['whole', 'steak', 'slice', 'mince']),
  curry: row(['chunk', 'steak', 'portion', ...fillets, 'whole'], ['slice', 'mince', 'frame']),
  'sous-vide': row(['portion', ...fillets, 'steak', 'chunk'], ['whole', 'slice']),
  raw: row(['slice', 'chunk', 'fillet-skinless', 'mince'], ['portion', 'fillet-skin-on', 'steak']),
  cure: row([...fillets, 'portion', 'slice'], ['whole', 'chunk', 'steak']),
  smoke: row([...fillets, 'whole', 'portion', 'steak', 'chunk'], ['slice', 'frame']),
  mince: row(['mince'], [...fillets, 'chunk', 'portion', 'slice']),
  broth: row(['frame'], ['whole', 'steak', 'chunk', ...fillets, 'portion']),
}

/** Every way of cooking, in the order of the table. */
export const METHODS_IN_ORDER = Object.keys(METHOD_TABLE) as readonly Method[]

/** Cuts that suit a method, the most usual first. */
export const usualFormats = (method: Method): readonly Format[] =>
  (Object.keys(GRID[method]) as Format[]).filter((format) => GRID[method][format] === 'allowed')

/** Whether a cut suits a method: allowed, odd (said as a caution) or impossible (refused). */
export const gridCell = (method: Method, format: Format): GridCell => GRID[method][format] ?? 'impossible'

/** Heaviest fish that is cooked whole, g: what fits a pan, a fryer, a steamer, bars, an oven or a smoker. Compiled. */
const WHOLE_MOST_G: Partial<Record<Method, number>> = {
  'pan-sear': 500,
  'shallow-fry': 500,
  'deep-fry': 700,
  'steam-whole': 1500,
  steam: 1500,
  roast: 4000,
  'roast-whole': 4000,
  smoke: 4000,
  braise: 2500,
}
const WHOLE_USUAL_G = 1200
const WHOLE_LEAST_G = 5

/** A method in one of its cuts with nothing else asked: what a fish is good for by itself. A whole fish must be of a size that is so cooked. */
export const createPlainBrief = (method: Method, format: Format): Brief => ({
  dish: method,
  method,
  format,
  // Asked of one animal after another, whichever it is.
  kinds: ['fish', 'crustacean', 'cephalopod', 'bivalve'],
  ...(format === 'whole' ? { wholeWeightG: { from: WHOLE_LEAST_G, to: WHOLE_MOST_G[method] ?? WHOLE_USUAL_G } } : {}),
})
