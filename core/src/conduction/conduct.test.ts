import type { ConductRequest } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { seriesShare, type SeriesShape } from '../testing/series.ts'
import { conduct } from './index.ts'
import { solveTridiagonalInPlace } from './solveTridiagonal.ts'
import { cases } from '../testing/cases.ts'

const SHAPES: readonly SeriesShape[] = ['slab', 'cylinder', 'sphere']
const [K, ALPHA, HALF_MM] = [0.5, 1.4e-7, 12]
const body = (shape: SeriesShape, biot: number, fourier: number, patch: Partial<ConductRequest> = {}): ConductRequest => ({
  ...{ shape, halfThicknessMm: HALF_MM, alpha: ALPHA, k: K, h: (biot * K) / (HALF_MM / 1000), T0: 5, Tinf: 95 },
  tSeconds: (fourier * (HALF_MM / 1000) ** 2) / ALPHA,
  ...patch,
})
const biot = fc.double({ min: Math.log(0.2), max: Math.log(60), noNaN: true }).map(Math.exp)
const fourier = fc.double({ min: Math.log(0.05), max: Math.log(1.5), noNaN: true }).map(Math.exp)

describe('conduction in one body', () => {
  it.each(SHAPES)('of a %s is the exact series to a hundredth of a degree', (shape) => {
    fc.assert(
      fc.property(biot, fourier, (bi, fo) => {
        const { centreC, surfaceC } = conduct(body(shape, bi, fo))
        const exact = (place: 0 | 1) => 95 - 90 * seriesShare(shape, { biot: bi, fourier: fo }, place)
        expect(Math.abs(centreC - exact(0))).toBeLessThan(0.02)
        expect(Math.abs(surfaceC - exact(1))).toBeLessThan(0.02)
      }),
      { numRuns: cases(24) },
    )
  })

  it('is the same for cooling as for heating, and for any scale of temperature', () => {
    fc.assert(
      fc.property(fc.constantFrom(...SHAPES), biot, fourier, fc.integer({ min: -50, max: 400 }), (shape, bi, fo, Tinf) => {
        const plain = conduct(body(shape, bi, fo))
        const other = conduct(body(shape, bi, fo, { Tinf }))
        expect(other.centreC).toBeCloseTo(5 + ((plain.centreC - 5) / 90) * (Tinf - 5), 1)
        expect(other.meanC).toBeCloseTo(5 + ((plain.meanC - 5) / 90) * (Tinf - 5), 1)
      }),
      { numRuns: cases(40) },
    )
  })

  it('runs from the surface inwards, never past the medium, and the rounder the body the faster', () => {
    fc.assert(
      fc.property(biot, fourier, (bi, fo) => {
        const [slab, cylinder, sphere] = SHAPES.map((shape) => conduct(body(shape, bi, fo))) as [
          ReturnType<typeof conduct>,
          ReturnType<typeof conduct>,
          ReturnType<typeof conduct>,
        ]
        for (const { centreC, meanC, surfaceC } of [slab, cylinder, sphere]) {
          expect(centreC).toBeGreaterThanOrEqual(5 - 0.01)
          expect(meanC).toBeGreaterThanOrEqual(centreC - 0.01)
          expect(surfaceC).toBeGreaterThanOrEqual(meanC - 0.01)
          expect(surfaceC).toBeLessThanOrEqual(95 + 0.01)
        }
        expect(cylinder.meanC).toBeGreaterThanOrEqual(slab.meanC - 0.01)
        expect(sphere.meanC).toBeGreaterThanOrEqual(cylinder.meanC - 0.01)
      }),
      { numRuns: cases(40) },
    )
  })

  it('begins where it begins, and ends in the medium', () => {
    expect(conduct(body('slab', 2, 0))).toEqual({ centreC: 5, surfaceC: 5, meanC: 5 })
    const end = conduct(body('sphere', 2, 200))
    for (const at of Object.values(end)) expect(at).toBeCloseTo(95, 6)
  })

  it('takes up what flows in: the film, over the time, is the heat that is stored', () => {
    // Film and mean are of one series: d(mean)/dt = h A (Tinf - Ts) / (rho c V), by the middle of a short step.
    const [bi, fo, step] = [3, 0.3, 0.002]
    const rate = (conduct(body('cylinder', bi, fo + step)).meanC - conduct(body('cylinder', bi, fo - step)).meanC) / (2 * step)
    const { surfaceC } = conduct(body('cylinder', bi, fo))
    expect(rate).toBeCloseTo(2 * bi * (95 - surfaceC), -1)
  })
})

describe('a tridiagonal system', () => {
  it('is solved: what comes out gives the right-hand side back', () => {
    const n = 9
    const [lower, diagonal, upper] = [0.7, 4, 1.1].map((value) => new Float64Array(n).fill(value)) as [
      Float64Array,
      Float64Array,
      Float64Array,
    ]
    const wanted = Float64Array.from({ length: n }, (_, i) => Math.sin(i + 1))
    const right = Float64Array.from(
      wanted,
      (x, i) => 4 * x + (i > 0 ? 0.7 * (wanted[i - 1] ?? 0) : 0) + (i < n - 1 ? 1.1 * (wanted[i + 1] ?? 0) : 0),
    )
    solveTridiagonalInPlace(lower, diagonal, upper, right, new Float64Array(n))
    right.forEach((x, i) => expect(x).toBeCloseTo(wanted[i] ?? 0, 12))
  })
})
