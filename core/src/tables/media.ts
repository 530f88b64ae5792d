import type { Body, Method } from '@tender-gill/contract'
import type { Medium } from '../heat/index.ts'

/** A medium as a cook meets it: how its heat stands for one temperature on both faces. */
export interface CookingMedium extends Medium {
  /** The piece cooks as one this many times as deep would from both faces. 1 where both faces are heated alike. */
  readonly depthFactor: number
  /** Minutes before the heat is at the piece at all. */
  readonly lagMinutes: number
}

const both = (drivingC: number, coefficient: number): CookingMedium => ({ drivingC, coefficient, depthFactor: 1, lagMinutes: 0 })

/** Sous-vide: the bath stands this far above the temperature wanted in the middle, or it would never be reached, K. */
const BATH_ABOVE_TARGET_K = 3

/**
 * What a piece is cooked in, as one temperature and one coefficient on both faces. Where faces are heated in turn, or water boils off them,
 * the pair is the one that comes within a fifth of a full simulation for pieces of 12 to 50 mm. Compiled.
 */
export const MEDIA: { readonly [M in Method]?: (targetC: number) => CookingMedium } = {
  // A shiver, well below the boil.
  poach: () => both(85, 500),
  stew: () => both(93, 500),
  curry: () => both(93, 500),
  chowder: () => both(90, 400),
  // Still sauce under a lid.
  braise: () => both(93, 150),
  // Air in a domestic steamer cuts the heat of pure steam.
  steam: () => both(100, 800),
  // A wrap keeps a dry gap.
  'wrap-steam': () => ({ ...both(100, 138), lagMinutes: 1 }),
  // A fan oven at 200: the wet face stays near 76, whatever the air.
  roast: () => both(76, 162),
  // Water under the skin boils at 100; the other face waits its turn, as if the piece were a fifth deeper.
  'pan-sear': () => ({ ...both(100, 300), depthFactor: 1.2 }),
  'shallow-fry': () => ({ ...both(100, 300), depthFactor: 1.2 }),
  // The crust takes a little of the depth.
  'deep-fry': () => ({ ...both(102, 800), depthFactor: 0.95 }),
  // Radiation, gas and bars together; the face cannot pass the boil while it is wet.
  grill: () => both(100, 90),
  broil: () => both(100, 95),
  'sous-vide': (targetC) => both(targetC + BATH_ABOVE_TARGET_K, 250),
}

/** What a whole fish is cooked in. */
export const WHOLE_MEDIA: { readonly [M in Method]?: CookingMedium } = {
  // A hot oven, 220 to 230; the skin dries and the balance lies higher.
  'roast-whole': both(92, 112),
  'steam-whole': { ...both(100, 800), lagMinutes: 1 },
}

/** How deep a whole fish of one kilogram is at the thickest, mm; grows as the cube root of weight. An open belly and a scored flank count. */
export const WHOLE_DEPTH_MM: Record<Body, number> = { round: 54, deep: 49, flat: 39, eel: 61 }
/** Share of that depth that counts: scored for steaming, whole in the oven. */
export const WHOLE_DEPTH_SHARE: { readonly [M in Method]?: number } = { 'roast-whole': 0.85, 'steam-whole': 0.75 }
/** Height and length of the cross-section against half its depth: what heats a fish from more than two sides. Compiled. */
export const WHOLE_RATIOS: Record<Body, readonly [number, number]> = { round: [1.9, 6], deep: [2.6, 6], flat: [6, 10], eel: [1.1, 20] }

/** Highest temperature of the middle, by how far a dish is cooked, degrees C. */
export const DONE_C = { set: 63, moist: 54, rare: 30 } as const
/** Fish goes in from the fridge, degrees C. */
export const FRIDGE_C = 8
