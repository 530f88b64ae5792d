import type { CookMedium, Doneness, Format, Method } from '@tender-gill/contract'

/** One stage of a way of cooking. */
export interface PlannedStage {
  readonly medium: CookMedium
  /** What it is set to, degrees C; its usual where nothing is said. */
  readonly celsius?: number
  /** Minutes where they are fixed; else a share of what the piece needs besides. */
  readonly minutes?: number
  readonly share?: number
  /** The piece is turned over before it. */
  readonly turned?: boolean
}

/** A bath stands this far above the temperature wanted in the middle, or it would never be reached, K. */
const BATH_ABOVE_TARGET_K = 3

const whole = (medium: CookMedium, celsius?: number): readonly PlannedStage[] => [
  { medium, share: 1, ...(celsius !== undefined && { celsius }) },
]
const turned = (medium: CookMedium, first: number): readonly PlannedStage[] => [
  { medium, share: first },
  { medium, share: 1 - first, turned: true },
]

/** How each way of cooking goes where nobody says otherwise. None where no heat tells minutes: cold smoke, cures, broths by the hour. */
export const COOK_PLANS: { readonly [M in Method]?: (targetC: number) => readonly PlannedStage[] } = {
  // Most of it on the skin side.
  'pan-sear': () => turned('pan', 0.75),
  'shallow-fry': () => turned('shallow-fat', 0.55),
  'deep-fry': () => whole('deep-fat-battered'),
  grill: () => turned('charcoal', 0.6),
  broil: () => whole('broiler'),
  roast: () => whole('oven-fan'),
  'roast-whole': () => whole('oven-fan', 225),
  steam: () => whole('steam'),
  'steam-whole': () => whole('steam'),
  'wrap-steam': () => whole('wrapped-steam'),
  poach: () => whole('water'),
  braise: () => whole('covered-sauce'),
  stew: () => whole('water', 93),
  curry: () => whole('water', 93),
  chowder: () => whole('water', 90),
  'sous-vide': (targetC) => whole('bath', targetC + BATH_ABOVE_TARGET_K),
}

/** What it rests on, where nothing is said. */
export const USUAL_REST: PlannedStage = { medium: 'rest-board', share: 0 }

/** Highest temperature of the middle, by how far a dish is cooked, degrees C. */
export const DONE_C: Record<Doneness, number> = { set: 63, moist: 54, rare: 30 }
/** Fish goes in from the fridge, degrees C. */
export const FRIDGE_C = 5
/** Colder than this it is still frozen, and the heat of melting is not in the model. */
export const LEAST_START_C = -1
/** Depths that can be judged, mm: thinner has no middle, thicker is not cooked whole. */
export const LEAST_DEPTH_MM = 4
export const MOST_DEPTH_MM = 150
/** Times are told to within this share of themselves. */
export const TIME_ERROR = 0.2

/** Half the width of a piece over its depth: a cut this narrow is cooked from its edge too. A fillet is a strip, a steak a disc. */
export const ACROSS: { readonly [F in Format]?: { readonly exponent: 1 | 2; readonly lengthOverWidth: number } } = {
  'fillet-skin-on': { exponent: 1, lengthOverWidth: 2.6 },
  'fillet-skinless': { exponent: 1, lengthOverWidth: 2.6 },
  portion: { exponent: 1, lengthOverWidth: 1.7 },
  steak: { exponent: 2, lengthOverWidth: 1 },
  chunk: { exponent: 2, lengthOverWidth: 1 },
}
/** A piece wider than this many times its depth is not cooked from its edge. */
export const WIDE_OVER_DEPTH = 3
/** Half the width of a chunk, mm: it is cut to a spoon, however deep the fish. */
export const CHUNK_HALF_MM = 22
/** Depth of a usual portion, mm: its weight and this depth give its width. */
export const PORTION_DEPTH_MM = 25

/** After this long a face on fierce heat burns before the middle is done, min. */
export const LONGEST_ON_ONE_FACE_MIN: { readonly [M in CookMedium]?: number } = {
  pan: 12,
  'lidded-pan': 12,
  'shallow-fat': 9,
  'deep-fat': 12,
  'deep-fat-battered': 12,
  charcoal: 12,
  broiler: 18,
}
