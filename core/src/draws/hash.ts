const FNV_START = 0x811c9dc5

/**
 * Hash of a text to 32 bits (FNV-1a). Used once for each name, never in a loop over draws.
 * @param start the hash of what stands before the text, so that a common beginning is hashed once
 */
export function hashText(text: string, start: number = FNV_START): number {
  let h = start
  for (let i = 0; i < text.length; i += 1) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193)
  return h >>> 0
}

/**
 * Mixes seed, draw number and a name's hash to 32 well-spread bits (the finaliser of MurmurHash3, Appleby, public domain).
 * The same three numbers give the same bits whatever else is drawn, so that adding a fish moves no other.
 */
export function hashDraw(seed: number, draw: number, name: number): number {
  let h = Math.imul(name ^ Math.imul(seed ^ 0x9e3779b9, 0x85ebca6b), 0xcc9e2d51) ^ Math.imul(draw + 0x165667b1, 0x1b873593)
  h ^= h >>> 16
  h = Math.imul(h, 0x85ebca6b)
  h ^= h >>> 13
  h = Math.imul(h, 0xc2b2ae35)
  return (h ^ (h >>> 16)) >>> 0
}

/** One of 256 equally likely levels for a draw. Four draws in a row share one hash and take a byte of it each. */
export const drawByte = (seed: number, draw: number, name: number): number => (hashDraw(seed, draw >>> 2, name) >>> (8 * (draw & 3))) & 255

/** Writes the level of every draw; the same as `drawByte`, hashing once for four draws. */
export function fillBytesInPlace(out: Uint8Array, seed: number, name: number): void {
  let bits = 0
  for (let draw = 0; draw < out.length; draw += 1) {
    bits = (draw & 3) === 0 ? hashDraw(seed, draw >>> 2, name) : bits >>> 8
    out[draw] = bits & 255
  }
}
