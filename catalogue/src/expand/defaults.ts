import type { Body, FleshKey, Form, PinBones, Range, Triple } from '@tender-gill/contract'

/** Share of the whole fish each form keeps, by body, when a species says nothing of its own. Compiled trade averages. */
export const YIELD_OF_WHOLE: Record<Body, Record<Form, number>> = {
  round: { whole: 1, gutted: 0.88, 'fillet-skin-on': 0.48, 'fillet-skinless': 0.43, loin: 0.3, steak: 0.62, frame: 0.3 },
  deep: { whole: 1, gutted: 0.88, 'fillet-skin-on': 0.45, 'fillet-skinless': 0.4, loin: 0.28, steak: 0.6, frame: 0.33 },
  flat: { whole: 1, gutted: 0.92, 'fillet-skin-on': 0.48, 'fillet-skinless': 0.42, loin: 0.3, steak: 0.62, frame: 0.35 },
  eel: { whole: 1, gutted: 0.86, 'fillet-skin-on': 0.55, 'fillet-skinless': 0.48, loin: 0.4, steak: 0.68, frame: 0.2 },
}
/** Filleting hands and size move a yield this far either way. */
export const YIELD_SPREAD = 0.04

export const FORMS_SOLD: Record<Body, readonly Form[]> = {
  round: ['whole', 'gutted', 'fillet-skin-on', 'fillet-skinless', 'steak', 'frame'],
  deep: ['whole', 'gutted', 'fillet-skin-on', 'fillet-skinless', 'steak', 'frame'],
  flat: ['whole', 'gutted', 'fillet-skin-on', 'fillet-skinless', 'frame'],
  eel: ['whole', 'gutted', 'fillet-skin-on', 'fillet-skinless', 'steak', 'frame'],
}

/** What freezing and thawing does to flesh, in steps of its scale. Compiled: water lost, gel weakened, a softer slice. */
export const FROZEN_SHIFT: Partial<Record<FleshKey, number>> = { cohesion: -0.5, tolerance: -0.5, binding: -0.5, rawBite: -0.5, skin: -0.5 }

/** Bones left in mince: milled out where pins can be drawn, some splinters where they fork. */
export const MINCE_BONES: Record<PinBones, Triple> = { drawn: [0, 0.2, 0.6], none: [0, 0.1, 0.3], forked: [0.3, 1, 2] }

export const spread = (typical: number, by: number): Range => ({
  low: Math.round((typical - by) * 1000) / 1000,
  typical,
  high: Math.min(1, Math.round((typical + by) * 1000) / 1000),
})
