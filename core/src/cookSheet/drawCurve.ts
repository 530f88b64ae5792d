import type { CookMoment } from '@tender-gill/contract'
import { FINE, runCook, type LaidStage, type Piece, type Run } from '../cooking/index.ts'

/** What is drawn and read off a curve. */
export interface Curve {
  readonly run: Run
  readonly moments: readonly CookMoment[]
  /** When each share of the piece had turned opaque, s. */
  readonly opaqueAtS: (share: number) => number | undefined
  /** When the middle first came to a temperature, s. */
  readonly coreAtS: (celsius: number) => number | undefined
}

/** Muscle turns from glassy to white about here, degrees C: myosin sets at 40 to 50. */
const OPAQUE_C = 48
/** Points of the curve that are kept, and planes through the piece. */
const MOMENTS = 90
const PLANES = 16
/** The curve goes on for this long after the middle is at its hottest, s. */
const BEYOND_S = 60

const sample = (values: Float64Array): number[] =>
  Array.from({ length: PLANES }, (_, i) => values[Math.floor(((i + 0.5) * values.length) / PLANES)] ?? 0)

interface Seen {
  readonly seconds: number
  readonly opaque: number
  readonly coreC: number
}
const firstAt = (seen: readonly Seen[], of: 'opaque' | 'coreC') => (least: number) => seen.find((moment) => moment[of] >= least)?.seconds

/** A cook of a piece on the fine grid, with everything that is shown of it. */
export function drawCurve(piece: Piece, stages: readonly LaidStage[], rest: LaidStage): Curve {
  const moments: CookMoment[] = []
  const seen: Seen[] = []
  const cooked = stages.reduce((sum, { seconds }) => sum + seconds, 0)
  const apart = Math.max(2, (cooked * 1.4) / MOMENTS)
  let next = 0
  const run = runCook(piece, stages, rest, {
    ...FINE,
    beyondS: BEYOND_S,
    observe: ({ seconds, coreC, surfaceC }, { temperatures, highest }) => {
      let opaque = 0
      for (let i = 0; i < highest.length; i += 1) if ((highest[i] ?? 0) >= OPAQUE_C) opaque += 1
      seen.push({ seconds, opaque: opaque / highest.length, coreC })
      if (seconds < next) return
      next = seconds + apart
      moments.push({ minute: seconds / 60, coreC, surfaceC, throughC: sample(temperatures) })
    },
  })
  return { run, moments, opaqueAtS: firstAt(seen, 'opaque'), coreAtS: firstAt(seen, 'coreC') }
}
