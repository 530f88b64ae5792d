import { createBody, stepInPlace, type Body, type EdgeHeat } from './body.ts'
import type { Face } from './face.ts'
import type { FleshTable } from './fleshTable.ts'
import { layGrid } from './radialGrid.ts'

/** What lies across a flat piece: half as wide as it is, as a strip (1) or a disc (2). */
export interface Across {
  readonly halfM: number
  readonly exponent: 1 | 2
}

/** Heat that comes in at the edge of a flat piece, medium after medium. */
export interface Edge {
  /** The medium changes. */
  readonly enter: (face: Face) => void
  /** The next step. */
  readonly step: (seconds: number, implicit: number) => EdgeHeat
}

/** Cells across: the middle alone is asked for. */
const CELLS = 16

/**
 * The edge of a flat piece by the rule of products: theta = theta through the depth x theta across the width, where the second is the middle
 * of a companion body across the piece. In the equation through the depth it is a pull towards the hottest medium so far for as long as
 * the companion warms, and towards the medium of now once it cools.
 */
export function createEdge({ halfM, exponent }: Across, flesh: FleshTable, startC: number): Edge {
  const companion: Body = createBody(layGrid(halfM, CELLS, exponent), flesh, startC)
  let boundary = { below: null, above: { mediumC: startC, coefficient: 1 } as Face }
  let hottestC = startC
  const middle = () => companion.surfacesC[0] ?? startC
  return {
    enter: (face) => {
      boundary = { below: null, above: face }
    },
    step: (seconds, implicit) => {
      const before = middle()
      stepInPlace(companion, boundary, seconds, implicit)
      const after = middle()
      // What drives it: the medium, less what the face loses to steam.
      const drivenC = Math.min(boundary.above.mediumC, boundary.above.capC ?? Infinity)
      hottestC = Math.max(hottestC, drivenC)
      const towardsC = after >= before ? hottestC : drivenC
      const gap = towardsC - (before + after) / 2
      const rate = Math.abs(gap) < 1e-6 ? 0 : (after - before) / seconds / gap
      return { towardsC, rate: Math.min(1 / seconds, Math.max(0, rate)) }
    },
  }
}
