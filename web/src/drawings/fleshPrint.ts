import type { RawColour, ResolvedOffer } from '@tender-gill/contract'
import { describeStep } from '../reader/index.ts'

/** Everything a flesh print is drawn from. Paths are in a 120 x 60 box. */
export interface FleshPrintShape {
  readonly outline: string
  /** Chevrons of the flakes, or the wavy grain of flesh without any. */
  readonly grain: string
  readonly grainWidth: number
  readonly flecks: readonly { readonly x: number; readonly y: number; readonly turn: number }[]
  readonly ticks: string
  readonly fallsApart: boolean
  readonly tint: string
  readonly line: string
  /** The same in words, for those who do not see it. */
  readonly words: string
}

export type FleshPrintSource = Pick<ResolvedOffer, 'id' | 'rawColour' | 'traits' | 'bones'>

export const PRINT_BOX = { width: 120, height: 60 } as const
const OUTLINE = 'M4 17 C7 9 16 4 28 4 L92 7 C106 8 116 17 116 30 C116 43 106 52 92 53 L28 56 C16 56 7 51 4 43 Z'
const MIDDLE = 30

const TINTS: Record<RawColour, { tint: string; line: string }> = {
  white: { tint: '#F3EFEA', line: '#A79F94' },
  ivory: { tint: '#EFE6D3', line: '#A4977C' },
  grey: { tint: '#D3CDCB', line: '#857C7B' },
  tan: { tint: '#DEC7A8', line: '#92775A' },
  pink: { tint: '#F0CFC6', line: '#B3857A' },
  orange: { tint: '#F3AE8F', line: '#BF6C4B' },
  red: { tint: '#C8606A', line: '#883039' },
  dark: { tint: '#8D6C6B', line: '#523C3C' },
}

/** A number in 0..1 that depends only on the name and the place: the same fish is drawn the same every time. */
function scatter(name: string, n: number): number {
  let h = 0x811c9dc5 ^ n
  for (const letter of name) h = Math.imul(h ^ letter.charCodeAt(0), 0x01000193)
  h ^= h >>> 15
  h = Math.imul(h, 0x2c1b3c6d)
  return ((h ^ (h >>> 12)) >>> 0) / 4_294_967_296
}

const round = (n: number) => Math.round(n * 10) / 10

function drawChevrons(flake: number): string {
  const gap = 5 + 2 * flake
  const bend = 4 + 0.6 * flake
  const lines: string[] = []
  for (let x = 8; x < 122; x += gap)
    lines.push(`M${round(x)} 2 Q${round(x + bend)} 16 ${round(x + bend - 2)} ${MIDDLE} Q${round(x + bend)} 44 ${round(x)} 58`)
  return lines.join('')
}

function drawWaves(firmness: number): string {
  const gap = 5.4 - 0.22 * firmness
  const lines: string[] = []
  for (let y = 7; y < 56; y += gap) lines.push(`M2 ${round(y)} q14 -2.4 29 0 t29 0 t29 0 t31 0`)
  return lines.join('')
}

const drawTicks = (bones: number): string => Array.from({ length: Math.round(bones) }, (_, i) => `M${14 + i * 10} 34 l5 -9`).join('')

const NO_FLAKE_BELOW = 1.6
const FALLS_APART_BELOW = 3.5

function describePrint({ traits, bones }: FleshPrintSource): string {
  const lift = bones['fillet-pinned'] ?? bones.fillet ?? bones.whole
  const { flake, firmness, fat, cohesion } = traits
  const words = [
    describeStep('flake', flake.typical),
    describeStep('firmness', firmness.typical),
    `${fat.typical} g of fat in 100 g`,
    describeStep('bones', lift?.typical ?? 0),
  ]
  return [...words, ...(cohesion.typical < FALLS_APART_BELOW ? ['falls apart'] : [])].join(', ')
}

/**
 * The drawing of one offer's cooked flesh, computed from its traits: spacing of chevrons is flake (waves where there is none), weight of
 * line is firmness, pale flecks are fat, ticks on the middle line are bones to lift, a dashed edge falls apart, the tint is the raw colour.
 */
export function drawFleshPrint(source: FleshPrintSource): FleshPrintShape {
  const { id, traits, bones, rawColour } = source
  const { flake, firmness, fat, cohesion } = traits
  const flecks = Math.min(60, Math.round(9 * Math.sqrt(fat.typical)) - 4)
  const lift = bones['fillet-pinned'] ?? bones.fillet ?? bones.whole
  return {
    outline: OUTLINE,
    grain: flake.typical < NO_FLAKE_BELOW ? drawWaves(firmness.typical) : drawChevrons(flake.typical),
    grainWidth: round(0.5 + 0.22 * firmness.typical),
    flecks: Array.from({ length: Math.max(0, flecks) }, (_, i) => ({
      x: round(9 + 102 * scatter(id, 2 * i)),
      y: round(8 + 44 * scatter(id, 2 * i + 1)),
      turn: Math.round(40 + 30 * scatter(id, 1000 + i)),
    })),
    ticks: drawTicks(lift?.typical ?? 0),
    fallsApart: cohesion.typical < FALLS_APART_BELOW,
    ...TINTS[rawColour],
    words: describePrint(source),
  }
}
