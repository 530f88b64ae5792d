import type { Body, Form } from '@tender-gill/contract'

/** Parts of a fish beside what goes into the pan. */
export const REST_PARTS = [
  'head',
  'collar',
  'cheeks',
  'frame',
  'belly',
  'skin',
  'fins and scales',
  'guts',
  'liver',
  'roe',
  'trim',
  'shell',
  'loss',
] as const
export type RestPart = (typeof REST_PARTS)[number]

/** What each part is of use for; nothing where it is of none. */
export const USES_OF_PART: Readonly<Record<RestPart, readonly string[]>> = {
  head: ['broth', 'braised or grilled, where it is large'],
  collar: ['grilled or braised'],
  cheeks: ['fried or poached, where the fish is large'],
  frame: ['broth'],
  belly: ['grilled, cured or minced'],
  skin: ['dried and crisped', 'broth'],
  'fins and scales': [],
  guts: [],
  liver: [],
  roe: ['salted or fried, of fish whose roe is known to be eaten'],
  trim: ['mince, cakes or broth'],
  shell: ['broth'],
  loss: [],
}

/** What the rest of a fish with its bones is made of once the fillets are off, in hundredths, by build. Compiled. */
export const BONY_REST: Readonly<Record<Body, Readonly<Partial<Record<RestPart, number>>>>> = {
  round: { head: 46, collar: 9, cheeks: 2, frame: 29, belly: 6, 'fins and scales': 8 },
  deep: { head: 42, collar: 10, cheeks: 2, frame: 32, belly: 5, 'fins and scales': 9 },
  flat: { head: 26, collar: 5, cheeks: 2, frame: 47, belly: 4, 'fins and scales': 16 },
  eel: { head: 32, collar: 4, cheeks: 1, frame: 46, belly: 7, 'fins and scales': 10 },
}
/** The same of a fish cut into steaks, which keep the middle of the frame. Compiled. */
export const STEAKED_REST: Readonly<Partial<Record<RestPart, number>>> = {
  head: 52,
  collar: 14,
  cheeks: 2,
  frame: 20,
  'fins and scales': 12,
}
/** Inside of the fish, in hundredths of what gutting takes. Compiled. */
export const INSIDE: Readonly<Partial<Record<RestPart, number>>> = { guts: 76, liver: 14, roe: 10 }

/** What each form still has of the fish. */
export const HAS_INSIDE: ReadonlySet<Form> = new Set<Form>(['whole'])
export const HAS_BONES: ReadonlySet<Form> = new Set<Form>(['whole', 'gutted', 'steak', 'frame'])
export const HAS_SKIN: ReadonlySet<Form> = new Set<Form>(['whole', 'gutted', 'steak', 'fillet-skin-on'])
