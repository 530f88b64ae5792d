import type { Conducted, ConductRequest } from '@tender-gill/contract'
import { createBody } from './body.ts'
import { constantFlesh } from './fleshTable.ts'
import { marchInPlace } from './march.ts'
import { layGrid } from './radialGrid.ts'

/** Temperatures of a body after a time, on a grid and in steps of one size. */
function conductOn({ shape, halfThicknessMm, alpha, k, h, T0, Tinf, tSeconds }: ConductRequest, cells: number, steps: number): Conducted {
  const body = createBody(layGrid(halfThicknessMm / 1000, cells, EXPONENTS[shape]), constantFlesh(k, alpha), T0)
  marchInPlace(body, { below: null, above: { mediumC: Tinf, coefficient: h } }, { seconds: tSeconds, stepS: tSeconds / steps })
  const [centreC = T0, surfaceC = T0] = body.surfacesC
  const { volumesM } = body.grid
  const volume = volumesM.reduce((sum, one) => sum + one, 0)
  return {
    centreC,
    surfaceC,
    meanC: body.temperatures.reduce((sum, at, i) => sum + at * (volumesM[i] ?? 0), 0) / volume,
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
  let coarse = conductOn(request, FIRST.cells, FIRST.steps)
  for (let i = 1; i <= MOST_HALVINGS; i += 1) {
    const fine = conductOn(request, FIRST.cells * 2 ** i, FIRST.steps * 2 ** i)
    if (moved(coarse, fine) < STILL_C) return fine
    coarse = fine
  }
  return coarse
}
