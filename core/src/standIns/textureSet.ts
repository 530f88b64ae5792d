import type { AskKey, TextureKey } from '@tender-gill/contract'

const TEXTURE: Record<TextureKey, true> = {
  firmness: true,
  flake: true,
  cohesion: true,
  fat: true,
  flavour: true,
  bones: true,
  tolerance: true,
  collagen: true,
  skin: true,
  binding: true,
  rawBite: true,
}
/** Traits of the flesh, in their fixed order. */
export const TEXTURE_LIST = Object.keys(TEXTURE) as readonly TextureKey[]
export const TEXTURE_SET: ReadonlySet<AskKey> = new Set<AskKey>(TEXTURE_LIST)
