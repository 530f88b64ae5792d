import { balanceFace, type BalancedFace, type Face } from './face.ts'
import { placeInTable, readTable, type FleshTable } from './fleshTable.ts'
import type { RadialGrid } from './radialGrid.ts'
import { solveTridiagonalInPlace } from './solveTridiagonal.ts'

/** Faces of a body for a while. */
export interface Boundary {
  /** Below; null where the body is seen from its middle outwards. */
  readonly below: Face | null
  readonly above: Face
}
/** Heat that comes in from the edge of a flat piece: cells go to a temperature at a rate. */
export interface EdgeHeat {
  readonly towardsC: number
  /** 1/s. */
  readonly rate: number
}

/** A body with the heat in it; changed in place by each step. */
export interface Body {
  readonly grid: RadialGrid
  readonly flesh: FleshTable
  readonly temperatures: Float64Array
  /** Highest temperature that each cell ever had, degrees C. */
  readonly highest: Float64Array
  /** Lethality of each cell: minutes at 70 degrees C that its heat was worth, z 7.5 K. */
  readonly f70Minutes: Float64Array
  /** Of the flesh at the face below and at that above after the last step; below is the middle where there is no face. */
  readonly surfacesC: Float64Array
  /** Heat that came in and heat that was stored since the beginning, J for each m2 of surface. */
  readonly heat: Float64Array
  /** Memory of the solver, overwritten by each step. */
  readonly work: Workspace
}
interface Workspace {
  readonly through: Float64Array
  readonly k: Float64Array
  readonly store: Float64Array
  readonly lower: Float64Array
  readonly diagonal: Float64Array
  readonly upper: Float64Array
  readonly right: Float64Array
  readonly scratch: Float64Array
}

const layWorkspace = (cells: number): Workspace => ({
  through: new Float64Array(cells + 1),
  k: new Float64Array(cells),
  store: new Float64Array(cells),
  lower: new Float64Array(cells),
  diagonal: new Float64Array(cells),
  upper: new Float64Array(cells),
  right: new Float64Array(cells),
  scratch: new Float64Array(cells),
})

/** A body that is as warm everywhere. */
export const createBody = (grid: RadialGrid, flesh: FleshTable, startC: number): Body => ({
  grid,
  flesh,
  temperatures: new Float64Array(grid.cells).fill(startC),
  highest: new Float64Array(grid.cells).fill(startC),
  f70Minutes: new Float64Array(grid.cells),
  surfacesC: new Float64Array(2).fill(startC),
  heat: new Float64Array(2),
  work: layWorkspace(grid.cells),
})

/** The same body, so that one can go on two ways. */
export const copyBody = (body: Body): Body => ({
  ...body,
  temperatures: body.temperatures.slice(),
  highest: body.highest.slice(),
  f70Minutes: body.f70Minutes.slice(),
  surfacesC: body.surfacesC.slice(),
  heat: body.heat.slice(),
})

/** Turns a flat piece over. */
export function turnInPlace(body: Body): void {
  body.temperatures.reverse()
  body.highest.reverse()
  body.f70Minutes.reverse()
  body.surfacesC.reverse()
}

/** Reference of lethality and its z, degrees C and K. */
const F_AT_C = 70
const F_Z_K = 7.5
/** Below this nothing is claimed of lethality, degrees C. */
const F_FROM_C = 55

const killing = (tempC: number): number => Math.exp((tempC - F_AT_C) * (Math.LN10 / F_Z_K))

/** Conductances between cells, and what each cell stores in a kelvin, at the temperatures of now. */
function readFlesh({ grid: { cells, widthM, areas, volumesM }, flesh, temperatures, work }: Body): void {
  const { k, store, through } = work
  let before = 0
  for (let i = 0; i < cells; i += 1) {
    const at = placeInTable(temperatures[i] ?? 0)
    const here = readTable(flesh.k, at)
    k[i] = here
    store[i] = readTable(flesh.volumetric, at) * (volumesM[i] ?? 0)
    if (i > 0) through[i] = ((areas[i] ?? 0) * 2 * before * here) / ((before + here) * widthM)
    before = here
  }
}

interface Faces {
  readonly below: BalancedFace | null
  readonly above: BalancedFace
}

/** From the middle of a cell to its face, W/(m2 K). */
const halfCell = ({ grid, work }: Body, i: number): number => (2 * (work.k[i] ?? 0)) / grid.widthM

/** Balance of both faces at the temperatures of now. */
function balanceFaces(body: Body, { below, above }: Boundary): Faces {
  const { grid, temperatures, surfacesC } = body
  const last = grid.cells - 1
  return {
    below: below && balanceFace(below, halfCell(body, 0), temperatures[0] ?? 0, surfacesC[0] ?? 0),
    above: balanceFace(above, halfCell(body, last), temperatures[last] ?? 0, surfacesC[1] ?? 0),
  }
}

/** A step of time as it is taken. */
interface Step {
  readonly seconds: number
  /** Share of the new temperatures: 1 backward Euler, 0.5 Crank and Nicolson. */
  readonly implicit: number
  readonly edge: EdgeHeat | undefined
}

/** How much each cell changes in a step, into the right-hand side. */
function solveChange({ grid, temperatures, work }: Body, faces: Faces, { seconds, implicit, edge }: Step): void {
  const { through, store, lower, diagonal, upper, right, scratch } = work
  const { cells, areas } = grid
  through[0] = faces.below ? (areas[0] ?? 0) * faces.below.outwards : 0
  through[cells] = (areas[cells] ?? 0) * faces.above.outwards
  const edgeRate = edge?.rate ?? 0
  const edgeC = edge?.towardsC ?? 0
  let inner = through[0] ?? 0
  let innerC = faces.below?.driveC ?? 0
  let here = temperatures[0] ?? 0
  // The loop that everything waits for: each value is read once and handed on.
  for (let i = 0; i < cells; i += 1) {
    const outer = through[i + 1] ?? 0
    const outerC = i === cells - 1 ? faces.above.driveC : (temperatures[i + 1] ?? 0)
    const stored = store[i] ?? 0
    const sideways = stored * edgeRate
    lower[i] = -implicit * inner
    upper[i] = -implicit * outer
    diagonal[i] = stored / seconds + implicit * (inner + outer + sideways)
    // Solved for the change, so that what is small beside the temperature is not lost.
    right[i] = inner * (innerC - here) + outer * (outerC - here) + sideways * (edgeC - here)
    inner = outer
    innerC = here
    here = outerC
  }
  solveTridiagonalInPlace(lower, diagonal, upper, right, scratch)
}

/** A face after the change that was solved: held at its cap where it would have passed it. */
function holdAtCap(body: Body, face: BalancedFace, i: number): BalancedFace {
  const through = halfCell(body, i)
  const insideC = (body.temperatures[i] ?? 0) + (body.work.right[i] ?? 0)
  const surfaceC = insideC + (face.outwards / through) * (face.driveC - insideC)
  if (surfaceC <= face.capC || face.driveC <= face.capC) return face
  return { driveC: face.capC, outwards: through, surfaceC: face.capC, capC: face.capC }
}

/**
 * One step of time: cell-centred finite volumes; properties are those of the beginning of the step. A face that comes to its cap within the
 * step is held there for all of it.
 * @param implicit share of the new temperatures: 1 backward Euler, 0.5 Crank and Nicolson
 */
export function stepInPlace(body: Body, boundary: Boundary, seconds: number, implicit: number, edge?: EdgeHeat): void {
  const { grid, temperatures, highest, f70Minutes, work } = body
  const { right, store } = work
  const step: Step = { seconds, implicit, edge }
  readFlesh(body)
  let faces = balanceFaces(body, boundary)
  solveChange(body, faces, step)
  const held: Faces = { below: faces.below && holdAtCap(body, faces.below, 0), above: holdAtCap(body, faces.above, grid.cells - 1) }
  if (held.below !== faces.below || held.above !== faces.above) {
    faces = held
    solveChange(body, faces, step)
  }
  let [heatIn, heatStored] = [0, 0]
  for (let i = 0; i < grid.cells; i += 1) {
    const change = right[i] ?? 0
    const now = (temperatures[i] ?? 0) + change
    heatStored += (store[i] ?? 0) * change
    if (edge) heatIn += seconds * (store[i] ?? 0) * edge.rate * (edge.towardsC - (now - (1 - implicit) * change))
    temperatures[i] = now
    if (now > (highest[i] ?? 0)) highest[i] = now
    if (now >= F_FROM_C) f70Minutes[i] = (f70Minutes[i] ?? 0) + killing(now - change / 2) * (seconds / 60)
  }
  heatIn += settleFaces(body, faces, { seconds, implicit })
  body.heat[0] = (body.heat[0] ?? 0) + heatIn
  body.heat[1] = (body.heat[1] ?? 0) + heatStored
}

/** Surface temperatures after a step. @returns what flowed in through the faces during it, J for each m2 */
function settleFaces(body: Body, faces: Faces, { seconds, implicit }: { readonly seconds: number; readonly implicit: number }): number {
  const { grid, temperatures, surfacesC, work } = body
  const last = grid.cells - 1
  const surface = ({ driveC, outwards, capC }: BalancedFace, i: number): number => {
    const at = temperatures[i] ?? 0
    return Math.min(capC, at + ((outwards * grid.widthM) / (2 * (work.k[i] ?? 1))) * (driveC - at))
  }
  const flow = ({ driveC }: BalancedFace, i: number, face: number): number =>
    (work.through[face] ?? 0) * (driveC - ((temperatures[i] ?? 0) - (1 - implicit) * (work.right[i] ?? 0)))
  const first = temperatures[0] ?? 0
  surfacesC[1] = surface(faces.above, last)
  // Seen from its middle: a parabola through the two innermost cells is flat there.
  surfacesC[0] = faces.below ? surface(faces.below, 0) : first - ((temperatures[1] ?? first) - first) / 8
  return seconds * (flow(faces.above, last, grid.cells) + (faces.below ? flow(faces.below, 0, 0) : 0))
}
