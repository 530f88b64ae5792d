import type { Format, Method, Part } from '@tender-gill/contract'
import type { AskPatches } from './askTable.ts'

/** What the cut itself asks, merged field by field over the method. */
export const FORMAT_ASKS: { readonly [F in Format]?: AskPatches } = {
  slice: { bones: { to: 1, why: 'a thin slice shows every bone' } },
  frame: { bones: { pull: 0, why: 'bones are what goes into the pot' }, thickness: { pull: 0 }, cohesion: { pull: 0 }, skin: { pull: 0 } },
  mince: { thickness: { pull: 0 }, skin: { pull: 0 } },
  'fillet-skinless': { skin: { pull: 0, why: 'the skin is off' } },
  chunk: { skin: { pull: 0, why: 'chunks are skinned' } },
}

/** Cuts for which depth of flesh means nothing: a steak is as thick as the knife, a whole fish as thick as it is. */
export const WITHOUT_DEPTH: ReadonlySet<Format> = new Set(['whole', 'steak', 'slice', 'mince', 'frame'])
/** Whether the flesh is minced or pounded: nothing of its pieces is left to handle, and its depth means nothing. */
export const isMinced = ({ method, format }: { readonly method: Method; readonly format: Format }): boolean =>
  method === 'mince' || format === 'mince'
/** Cuts eaten with the skin on. */
export const WITH_SKIN: ReadonlySet<Format> = new Set(['whole', 'fillet-skin-on', 'portion', 'steak'])

/** How much less a cut must hold together by itself where skin and bone hold it, on the 0 to 10 scale of cohesion. */
export const HELD_BY_SKIN: { readonly [F in Format]?: number } = { whole: 1.5, 'fillet-skin-on': 1 }

/** Cuts that a part of a fish gives: a collar is no steak, a belly no side, and no part is a whole fish. What is not here gives every cut. */
export const CUTS_OF_PART: { readonly [P in Part]?: readonly Format[] } = {
  belly: ['portion', 'chunk', 'slice', 'mince'],
  collar: ['portion', 'chunk'],
  head: ['frame'],
  frame: ['frame'],
  tail: ['portion', 'chunk', 'slice', 'mince', 'fillet-skin-on', 'fillet-skinless'],
}
/** The even middle of a fish: what answers where no part is named. */
export const EVEN_PARTS: readonly Part[] = ['body', 'loin']
