import type { Body, Method } from '@tender-gill/contract'

/** How deep a whole fish of one kilogram is at the thickest, mm; grows as the cube root of weight. An open belly and a scored flank count. */
export const WHOLE_DEPTH_MM: Record<Body, number> = { round: 54, deep: 49, flat: 39, eel: 61 }
/** Share of that depth that counts: scored for steaming, whole in the oven and elsewhere. */
export const WHOLE_DEPTH_SHARE: { readonly [M in Method]?: number } = { 'steam-whole': 0.75 }
export const USUAL_DEPTH_SHARE = 0.85
/** Height and length of the cross-section against half its depth: what heats a fish from more than two sides. Compiled. */
export const WHOLE_RATIOS: Record<Body, readonly [number, number]> = { round: [1.9, 6], deep: [2.6, 6], flat: [6, 10], eel: [1.1, 20] }
