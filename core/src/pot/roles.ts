import type { BandKey, Method } from '@tender-gill/contract'

/** What one fish of a pot is there for: asks of its own. */
export interface Role {
  readonly name: string
  /** In plain words, what it gives the pot. */
  readonly why: string
  readonly asks: Readonly<Partial<Record<BandKey, { readonly from?: number; readonly to?: number; readonly pull: number }>>>
}

const DENSE: Role = {
  name: 'dense',
  why: 'stays whole under the ladle and gives something to bite',
  asks: {
    firmness: { from: 7, pull: 4 },
    cohesion: { from: 7, pull: 4 },
    tolerance: { from: 5, pull: 3 },
    flake: { to: 4.5, pull: 2 },
    bones: { to: 1.5, pull: 2 },
  },
}
const FLAKING: Role = {
  name: 'flaking',
  why: 'falls into broad mild flakes',
  asks: {
    flake: { from: 5.5, pull: 4 },
    fat: { to: 4, pull: 2 },
    flavour: { to: 3.5, pull: 2 },
    cohesion: { from: 4, pull: 2 },
    bones: { to: 1, pull: 3 },
  },
}
const GELATINOUS: Role = {
  name: 'gelatinous',
  why: 'gives the broth its body',
  asks: {
    collagen: { from: 7, pull: 5 },
    tolerance: { from: 5, pull: 2 },
    flavour: { to: 5, pull: 1 },
    bones: { to: 2.5, pull: 2 },
  },
}
const SAVOURY: Role = {
  name: 'savoury',
  why: 'brings a taste of its own',
  asks: {
    flavour: { from: 4, to: 7, pull: 4 },
    fat: { from: 2, to: 12, pull: 1 },
    cohesion: { from: 4.5, pull: 2 },
    bones: { to: 2, pull: 3 },
  },
}
const SMALL: Role = {
  name: 'small and whole',
  why: 'fries crisp, bones and all',
  asks: { weight: { to: 150, pull: 4 }, flavour: { from: 3, to: 8, pull: 1 }, bones: { to: 4, pull: 2 } },
}
const SILKY: Role = {
  name: 'silky',
  why: 'melts, and bastes itself',
  asks: { fat: { from: 7, pull: 4 }, tolerance: { from: 6, pull: 3 }, firmness: { to: 6, pull: 1 }, bones: { to: 2, pull: 2 } },
}
const CLEAN: Role = {
  name: 'clean and firm',
  why: 'slices neatly and tastes of little but the sea',
  asks: { firmness: { from: 5, to: 8, pull: 2 }, rawBite: { from: 6.5, pull: 4 }, fat: { to: 5, pull: 2 }, flavour: { to: 4, pull: 2 } },
}

/** Roles that a pot, a mixed fry or a board needs, the most needed first: the first k are filled when k fish go in. */
const STEW_ROLES: readonly Role[] = [DENSE, FLAKING, GELATINOUS, SAVOURY, SILKY]
const FRY_ROLES: readonly Role[] = [FLAKING, SMALL, DENSE, SAVOURY, SILKY]
const BOARD_ROLES: readonly Role[] = [SILKY, CLEAN, SAVOURY, DENSE, FLAKING]

const FRIES: ReadonlySet<Method> = new Set<Method>(['deep-fry', 'shallow-fry', 'pan-sear'])
const BOARDS: ReadonlySet<Method> = new Set<Method>(['raw', 'cure', 'smoke'])

/** The roles of k fish for a method. @param k 2..5 */
export function listRoles(method: Method, k: number): readonly Role[] {
  if (!Number.isInteger(k) || k < 2 || k > 5) throw new RangeError(`k is ${k}, must be a whole number from 2 to 5`)
  const roles = FRIES.has(method) ? FRY_ROLES : BOARDS.has(method) ? BOARD_ROLES : STEW_ROLES
  return roles.slice(0, k)
}
