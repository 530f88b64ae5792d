import type { AskKey, Format } from '@tender-gill/contract'
import type { DefaultAsk } from './methods.ts'

/** What the cut itself asks, merged field by field over the method. */
export const FORMAT_ASKS: { readonly [F in Format]?: { readonly [K in AskKey]?: Partial<DefaultAsk> } } = {
  slice: { bones: { to: 1, why: 'a thin slice shows every bone' } },
  frame: { bones: { pull: 0, why: 'bones are what goes into the pot' }, thickness: { pull: 0 }, cohesion: { pull: 0 }, skin: { pull: 0 } },
  mince: { thickness: { pull: 0 }, skin: { pull: 0 } },
  'fillet-skinless': { skin: { pull: 0, why: 'the skin is off' } },
  chunk: { skin: { pull: 0, why: 'chunks are skinned' } },
}

/** Cuts for which depth of flesh means nothing: a steak is as thick as the knife, a whole fish as thick as it is. */
export const WITHOUT_DEPTH: ReadonlySet<Format> = new Set(['whole', 'steak', 'slice', 'mince', 'frame'])
/** Cuts eaten with the skin on. */
export const WITH_SKIN: ReadonlySet<Format> = new Set(['whole', 'fillet-skin-on', 'portion', 'steak'])
