import {
  createBody,
  createEdge,
  layDepth,
  layGrid,
  marchInPlace,
  turnInPlace,
  type Across,
  type Body,
  type Boundary,
  type Edge,
  type FleshTable,
} from '../conduction/index.ts'
import type { CookMedium } from '@tender-gill/contract'
import { COOK_MEDIUM_TABLE, type FaceState, type MediumFaces } from '../tables/cookMedia.ts'

/** A piece of fish as heat sees it. */
export interface Piece {
  /** At the thickest, as far as it counts, mm. */
  readonly depthMm: number
  readonly flesh: FleshTable
  /** When it goes in, degrees C. */
  readonly startC: number
  /** What heats a flat piece from its edge; null where it is too wide for that. */
  readonly across: Across | null
  /** A body heated all round is seen from its middle outwards, with this shape number; null for a flat piece. */
  readonly shapeNumber: number | null
  /** It goes in on its skin. */
  readonly skin: boolean
}

/** A stage with everything settled. */
export interface LaidStage {
  readonly medium: CookMedium
  readonly celsius: number
  readonly seconds: number
  readonly turned: boolean
}

/** What is seen of a piece at a moment. */
export interface Moment {
  readonly seconds: number
  /** Of the plane that has been coldest, degrees C. */
  readonly coreC: number
  /** Of the hotter face. */
  readonly surfaceC: number
}

export interface RunOptions {
  readonly cells: number
  /** Step of time in a stage of that length, s. */
  readonly stepS: (seconds: number) => number
  /** Longest rest that is followed, s. */
  readonly mostRestS?: number
  /** Rest beyond the highest point, s. */
  readonly beyondS?: number
  readonly observe?: (moment: Moment, body: Body) => void
}

/** What a cook of a piece comes to. */
export interface Run {
  /** In the heat, s. */
  readonly cookedS: number
  /** Of the coldest plane when it is taken out, and a few millimetres off it, degrees C. */
  readonly pullC: number
  readonly offCoreC: number
  /** Highest of the plane that stays coldest, and when, degrees C and s from the beginning. */
  readonly peakC: number
  readonly peakS: number
  /** Minutes at 70 degrees C that the heat was worth where it was worth least. */
  readonly f70Minutes: number
}

/** A probe misses the coldest plane by about this much, mm. */
const PROBE_MISS_MM = 3
/** Longest rest that is followed, s. */
const MOST_REST_S = 3600

const findCore = ({ highest }: Body): number => {
  let core = 0
  for (let i = 1; i < highest.length; i += 1) if ((highest[i] ?? 0) < (highest[core] ?? 0)) core = i
  return core
}

function createPiece({ depthMm, flesh, startC, shapeNumber }: Piece, cells: number): Body {
  const depthM = depthMm / 1000
  return createBody(shapeNumber === null ? layDepth(depthM, cells) : layGrid(depthM / 2, cells, shapeNumber), flesh, startC)
}

/** How the faces are after a stage. */
const afterStage = (state: FaceState, medium: CookMedium): FaceState & { searedBelow: boolean } => ({
  ...state,
  searedBelow: COOK_MEDIUM_TABLE[medium].sears,
})

function turnState(state: FaceState & { readonly searedBelow: boolean }): FaceState & { searedBelow: boolean } {
  return { skinBelow: state.skinAbove, skinAbove: state.skinBelow, searedAbove: state.searedBelow, searedBelow: state.searedAbove }
}

/** A temperature a few millimetres from the core, on its warmer side. */
function readOffCore({ temperatures, grid }: Body, core: number): number {
  const off = Math.max(1, Math.round(PROBE_MISS_MM / 1000 / grid.widthM))
  const sides = [temperatures[core - off], temperatures[core + off]].flatMap((at) => (at === undefined ? [] : [at]))
  return sides.length === 0 ? (temperatures[core] ?? 0) : sides.reduce((sum, at) => sum + at, 0) / sides.length
}

/**
 * A piece through its stages and its rest: heat from both faces (and the edge) with flips and changes of medium, then until the middle has
 * been at its hottest. The core is the plane whose own highest temperature is the lowest, since a flip moves the coldest one.
 * @param rest its seconds are not read: it lasts until the middle falls
 */
export function runCook(piece: Piece, stages: readonly LaidStage[], rest: LaidStage, options: RunOptions): Run {
  const { cells, stepS, mostRestS = MOST_REST_S, beyondS = 0, observe } = options
  const body = createPiece(piece, cells)
  const edge: Edge | null = piece.across && createEdge(piece.across, piece.flesh, piece.startC)
  let state: FaceState & { searedBelow: boolean } = {
    ...{ skinBelow: piece.skin, skinAbove: piece.skin && piece.shapeNumber !== null, searedAbove: false, searedBelow: false },
  }
  let before = 0
  const see = (at: number) => {
    if (!observe) return
    const core = findCore(body)
    observe(
      { seconds: before + at, coreC: body.temperatures[core] ?? 0, surfaceC: Math.max(body.surfacesC[0] ?? 0, body.surfacesC[1] ?? 0) },
      body,
    )
  }
  const march = (faces: MediumFaces, seconds: number, still?: (at: number) => boolean): void => {
    const boundary: Boundary = piece.shapeNumber === null ? faces : { below: null, above: faces.around }
    edge?.enter(faces.around)
    const lasted = marchInPlace(body, boundary, {
      ...{ seconds, stepS: stepS(seconds) },
      ...(edge && { edge: edge.step }),
      observe: (at) => {
        see(at)
        return still?.(at) ?? true
      },
    })
    before += lasted
  }
  see(0)
  for (const { medium, celsius, seconds, turned } of stages) {
    if (turned && piece.shapeNumber === null) {
      turnInPlace(body)
      state = turnState(state)
    }
    const { warmUp, faces } = COOK_MEDIUM_TABLE[medium]
    const first = Math.min(seconds, warmUp?.seconds ?? 0)
    if (warmUp) march(warmUp.faces, first)
    march(faces(celsius, state), seconds - first)
    state = afterStage(state, medium)
  }
  const cookedS = before
  const pulled = findCore(body)
  const [pullC, offCoreC] = [body.temperatures[pulled] ?? 0, readOffCore(body, pulled)]
  let peakS = before
  march(COOK_MEDIUM_TABLE[rest.medium].faces(rest.celsius, state), mostRestS, (at) => {
    const core = findCore(body)
    const falls = (body.temperatures[core] ?? 0) < (body.highest[core] ?? 0) - 1e-4
    if (!falls) peakS = cookedS + at
    return !falls || cookedS + at < peakS + beyondS
  })
  const core = findCore(body)
  return { cookedS, pullC, offCoreC, peakC: body.highest[core] ?? 0, peakS, f70Minutes: Math.min(...body.f70Minutes) }
}
