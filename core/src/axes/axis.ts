import type { BandKey } from '@tender-gill/contract'
import { AXES } from '../tables/constants.ts'

const toLn = (x: number) => (x > 0 ? Math.log(x) : -Infinity)

/**
 * Position of a value on its trait's axis g.
 * @param x value in the trait's unit   @returns g(x); -Infinity for x <= 0 on a logarithmic axis
 */
export function toAxis(key: BandKey, x: number): number {
  switch (AXES[key].scale) {
    case 'linear':
      return x
    case 'sqrt':
      return Math.sqrt(Math.max(0, x))
    case 'ln':
      return toLn(x)
  }
}

/** The value at a position on its trait's axis; inverse of `toAxis`. */
export function fromAxis(key: BandKey, g: number): number {
  switch (AXES[key].scale) {
    case 'linear':
      return g
    case 'sqrt':
      return g * g
    case 'ln':
      return Math.exp(g)
  }
}

/** Keeps a value on its trait's own scale. */
export const clampToScale = (key: BandKey, x: number): number => Math.min(AXES[key].max, Math.max(AXES[key].min, x))
