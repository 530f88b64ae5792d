import type { RawColour, ResolvedOffer } from '@tender-gill/contract'
import { describeStep } from '../reader/index.ts'

/** Everything a flesh print is drawn from. Paths are in a 120 x 60 box. */
export interface FleshPrintShape {
  readonly outline: string
  /** How heavy the edge is: firm flesh has a heavy one. */
  readonly edgeWidth: number
  /** Broad arcs of the flakes, at the same places in every print. */
  readonly arcs: string
  readonly arcWidth: number
  /** The wavy grain of dense flesh. */
  readonly grain: string
  readonly grainWidth: number
  readonly flecks: readonly { readonly x: number; readonly y: number; readonly turn: number }[]
  /** Cracks of flesh that comes apart. */
  readonly cracks: string
  readonly crackWidth: number
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
  white: { tint: '#F6F3EE', line: '#9A9186' },
  ivory: { tint: '#EFE3C9', line: '#94866A' },
  grey: { tint: '#CFC9C6', line: '#7A7170' },
  tan: { tint: '#D9BE9A', line: '#86694A' },
  pink: { tint: '#EFC4B8', line: '#A87669' },
  orange: { tint: '#F09A74', line: '#B05A38' },
  red: { tint: '#BE4E5A', line: '#74252E' },
  dark: { tint: '#7F5E5E', line: '#432E2E' },
}

const round = (n: number) => Math.round(n * 100) / 100

const ARCS_AT = [20, 46, 72, 98]
const ARCS = ARCS_AT.map((x) => `M${x - 6} 0 Q${x + 8} 14 ${x + 6} ${MIDDLE} Q${x + 8} 46 ${x - 6} 60`).join('')
const WAVES = [10, 17, 24, 37, 44, 51].map((y) => `M2 ${y} q14 -3 29 0 t29 0 t29 0 t31 0`).join('')
const CRACKS = 'M33 2 l-6 13 l7 7M86 58 l5 -15 l-7 -7M60 3 l4 12 l-5 6M110 14 l-12 5'

/** Places of the flecks, the same in every print: the more fat, the more of them are filled. Spread evenly, after Halton. */
const halton = (n: number, base: number): number => {
  let [value, share, i] = [0, 1, n]
  while (i > 0) {
    share /= base
    value += share * (i % base)
    i = Math.floor(i / base)
  }
  return value
}
const MOST_FLECKS = 34
const FLECKS = Array.from({ length: MOST_FLECKS }, (_, i) => ({
  x: round(10 + 98 * halton(i + 1, 2)),
  y: round(9 + 42 * halton(i + 1, 3)),
  turn: Math.round(40 + 30 * halton(i + 1, 5)),
}))

const drawTicks = (bones: number): string => Array.from({ length: Math.round(bones) }, (_, i) => `M${14 + i * 10} 35 l6 -11`).join('')

const FALLS_APART_BELOW = 3.5
/** Flesh whose flakes are this large shows no grain any more. */
const NO_GRAIN_ABOVE = 6

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
 * The drawing of one offer's cooked flesh, computed from its traits: broad arcs are large flakes, waves are dense flesh without any, a heavy
 * edge is firm, pale flecks are fat, cracks and a dashed edge fall apart, ticks on the middle line are bones to lift, the tint is the raw
 * colour. Everything stands at the same place in every print and grows with its trait, so that prints that look alike are alike.
 */
export function drawFleshPrint(source: FleshPrintSource): FleshPrintShape {
  const { traits, bones, rawColour } = source
  const { flake, firmness, fat, cohesion } = traits
  const lift = bones['fillet-pinned'] ?? bones.fillet ?? bones.whole
  return {
    outline: OUTLINE,
    edgeWidth: round(0.8 + 0.085 * firmness.typical ** 2),
    arcs: ARCS,
    arcWidth: round(0.11 * flake.typical ** 2),
    grain: WAVES,
    grainWidth: round(Math.max(0, (NO_GRAIN_ABOVE - flake.typical) * 0.5)),
    flecks: FLECKS.slice(0, Math.round(7.5 * Math.sqrt(Math.max(0, fat.typical - 0.5)))),
    cracks: CRACKS,
    crackWidth: round(Math.max(0, (7.5 - cohesion.typical) * 0.55)),
    ticks: drawTicks(lift?.typical ?? 0),
    fallsApart: cohesion.typical < FALLS_APART_BELOW,
    ...TINTS[rawColour],
    words: describePrint(source),
  }
}
