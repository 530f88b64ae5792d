import type { Method } from '@tender-gill/contract'
import type { Medium } from '../heat/index.ts'

/**
 * What a piece is cooked in, where one temperature on both faces tells it well enough. A pan, bars and a broiler heat one face at a time,
 * and a fryer boils the water off the face: those want a simulation, and only the ratio of depths is told for them.
 */
export const MEDIA: { readonly [M in Method]?: Medium } = {
  // A shiver, well below the boil.
  poach: { drivingC: 85, coefficient: 500 },
  stew: { drivingC: 93, coefficient: 500 },
  curry: { drivingC: 93, coefficient: 500 },
  chowder: { drivingC: 90, coefficient: 400 },
  // Still sauce under a lid.
  braise: { drivingC: 93, coefficient: 150 },
  // Air in a domestic steamer cuts the heat of pure steam.
  steam: { drivingC: 100, coefficient: 800 },
  // A wrap keeps a dry gap.
  'wrap-steam': { drivingC: 100, coefficient: 138 },
  // A fan oven at 200: the wet face stays near 76, whatever the air.
  roast: { drivingC: 76, coefficient: 162 },
}

/** Highest temperature of the middle, by how far a dish is cooked, degrees C. */
export const DONE_C = { set: 63, moist: 54 } as const
/** Fish goes in from the fridge, degrees C. */
export const FRIDGE_C = 8
