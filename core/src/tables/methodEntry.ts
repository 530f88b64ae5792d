import type { Format, Part } from '@tender-gill/contract'
import { from, upTo, type AskPatches, type DefaultAsks } from './askTable.ts'

export type Heat = 'contact' | 'fierce' | 'dry' | 'steam' | 'water' | 'fat' | 'none'
export interface MethodEntry {
  readonly asks: DefaultAsks
  /** Where a cut changes what the method asks: field by field over `asks`. */
  readonly byFormat?: { readonly [F in Format]?: AskPatches }
  /** Parts of a fish to ask for first, where several do equally well; the even middle of it where nothing is said. */
  readonly parts?: { readonly first: readonly Part[]; readonly why: string }
  /** Fraction of raw weight left on the plate. */
  readonly cookingYield: number
  readonly heat: Heat
}

export const fewBones = (pull = 3) => upTo(2, pull, 'a guest should not have to pick')
/** Minced flesh is pressed together: what held it as a fish no longer counts. */
export const pressed = {
  binding: from(5, 4, 'pressed flesh has to set'),
  cohesion: { pull: 0, must: {}, why: 'it is minced' },
  flake: { pull: 0, why: 'it is minced' },
} as const
export const eatenOffTheBone = { to: 5, pull: 2, why: 'eaten off the frame, so some bones are expected' }
