import type { Conducted, ConductRequest } from '@tender-gill/contract'
import { layGrid, type RadialGrid } from './radialGrid.ts'
import { solveTridiagonalInPlace } from './solveTridiagonal.ts'

/** A body of one kind in one medium: everything that stays the same. */
interface Body {
  readonly grid: RadialGrid
  /** Conductivity, W/(m K). */
  readonly k: number
  /** Density times heat capacity, J/(m3 K). */
  readonly volumetric: number
  /** From the outermost cell through its half and the film to the medium, W/(m2 K). */
  readonly outwards: number
  readonly mediumC: number
}

/** Implicit half steps at the beginning: they damp what a sudden change of medium would make Crank and Nicolson's steps ring. */
const DAMPED_HALF_STEPS = 4

/** One step of time. @param implicit share of the new temperatures: 1 backward Euler, 0.5 Crank and Nicolson */
function createStep({ grid, k, volumetric, outwards, mediumC }: Body) {
  const { cells, widthM, areas, volumesM } = grid
  const through = Float64Array.from(areas, (area, i) => (i === cells ? area * outwards : (area * k) / widthM))
  const lower = new Float64Array(cells)
  const diagonal = new Float64Array(cells)
  const upper = new Float64Array(cells)
  const right = new Float64Array(cells)
  const scratch = new Float64Array(cells)
  const flowInto = (temperatures: Float64Array, i: number): number => {
    const here = temperatures[i] ?? 0
    const outer = i === cells - 1 ? mediumC : (temperatures[i + 1] ?? 0)
    const inner = temperatures[i - 1] ?? here
    return (through[i] ?? 0) * (inner - here) + (through[i + 1] ?? 0) * (outer - here)
  }
  return (temperatures: Float64Array, seconds: number, implicit: number): void => {
    for (let i = 0; i < cells; i += 1) {
      const store = (volumetric * (volumesM[i] ?? 0)) / seconds
      const [inner, outer] = [through[i] ?? 0, through[i + 1] ?? 0]
      lower[i] = -implicit * inner
      upper[i] = i === cells - 1 ? 0 : -implicit * outer
      diagonal[i] = store + implicit * (inner + outer)
      right[i] = store * (temperatures[i] ?? 0) + (1 - implicit) * flowInto(temperatures, i)
      if (i === cells - 1) right[i] = (right[i] ?? 0) + implicit * outer * mediumC
    }
    solveTridiagonalInPlace(lower, diagonal, upper, right, scratch)
    temperatures.set(right)
  }
}

/** Temperatures of a body after a time, on a grid and in steps of one size. */
function march({ shape, halfThicknessMm, alpha, k, h, T0, Tinf, tSeconds }: ConductRequest, cells: number, steps: number): Conducted {
  const grid = layGrid(halfThicknessMm / 1000, cells, EXPONENTS[shape])
  const half = (2 * k) / grid.widthM
  const outwards = (half * h) / (half + h)
  const step = createStep({ grid, k, volumetric: k / alpha, outwards, mediumC: Tinf })
  const temperatures = new Float64Array(cells).fill(T0)
  const seconds = tSeconds / steps
  for (let i = 0; i < DAMPED_HALF_STEPS; i += 1) step(temperatures, seconds / 2, 1)
  for (let i = DAMPED_HALF_STEPS / 2; i < steps; i += 1) step(temperatures, seconds, 0.5)
  const [first = T0, second = T0] = temperatures
  const last = temperatures[cells - 1] ?? T0
  const volume = grid.volumesM.reduce((sum, one) => sum + one, 0)
  return {
    // Flat in the middle: a parabola through the two innermost cells.
    centreC: first - (second - first) / 8,
    surfaceC: (half * last + h * Tinf) / (half + h),
    meanC: temperatures.reduce((sum, at, i) => sum + at * (grid.volumesM[i] ?? 0), 0) / volume,
  }
}

const EXPONENTS: Record<ConductRequest['shape'], number> = { slab: 1, cylinder: 2, sphere: 3 }
const FIRST = { cells: 40, steps: 80 } as const
/** Halvings after which it is as fine as it gets: an error of 1e-4 °C where anything of the heat is in the middle. */
const MOST_HALVINGS = 5
/** Halving grid and step must move nothing by more than this, °C. */
const STILL_C = 0.005

const moved = (a: Conducted, b: Conducted): number =>
  Math.max(Math.abs(a.centreC - b.centreC), Math.abs(a.surfaceC - b.surfaceC), Math.abs(a.meanC - b.meanC))

/**
 * Transient conduction in a slab heated from both faces, a long cylinder or a sphere with constant properties: cell-centred finite volumes,
 * Crank and Nicolson, refined until halving moves nothing. No cap at the boil, no evaporation: plain conduction.
 * @param request already valid by its schema   @returns temperatures at the middle, at the surface and on average, °C
 */
export function conduct(request: ConductRequest): Conducted {
  if (request.tSeconds === 0) return { centreC: request.T0, surfaceC: request.T0, meanC: request.T0 }
  let coarse = march(request, FIRST.cells, FIRST.steps)
  for (let i = 1; i <= MOST_HALVINGS; i += 1) {
    const fine = march(request, FIRST.cells * 2 ** i, FIRST.steps * 2 ** i)
    if (moved(coarse, fine) < STILL_C) return fine
    coarse = fine
  }
  return coarse
}
