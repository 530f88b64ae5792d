/** A stream of numbers that hangs on its seed alone: Mulberry32 over a string hashed by FNV-1a. */
export interface Random {
  /** 0..1 */
  readonly uniform: () => number
  /** Standard normal, by Box and Muller. */
  readonly normal: () => number
  readonly pick: <T>(items: readonly [T, ...T[]]) => T
}

export function createRandom(seed: string): Random {
  let state = 0x811c9dc5
  for (const letter of seed) state = Math.imul(state ^ (letter.codePointAt(0) ?? 0), 0x01000193) >>> 0
  const uniform = () => {
    state = (state + 0x6d2b79f5) >>> 0
    let mixed = state
    mixed = Math.imul(mixed ^ (mixed >>> 15), mixed | 1)
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61)
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296
  }
  return {
    uniform,
    normal: () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform()),
    pick: (items) => items[Math.floor(uniform() * items.length)] ?? items[0],
  }
}
