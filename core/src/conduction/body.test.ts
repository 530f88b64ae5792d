import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { composeFromFat } from '../heat/index.ts'
import { seriesShare } from '../testing/series.ts'
import {
  computeFluxIn,
  constantFlesh,
  createBody,
  createEdge,
  layDepth,
  marchInPlace,
  tabulateFlesh,
  turnInPlace,
  type Face,
} from './index.ts'
import { cases } from '../testing/cases.ts'

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true })
const face: fc.Arbitrary<Face> = fc.oneof(
  fc.record({ mediumC: number(15, 100), coefficient: number(10, 900) }),
  fc.record({ mediumC: number(120, 250), coefficient: number(20, 500), capC: fc.constant(100) }),
  fc.record({
    ...{ mediumC: number(100, 260), coefficient: number(9, 35), emissivity: fc.constant(0.9), wetness: number(0, 1) },
    vapourPa: fc.constant(4000),
  }),
)
const flesh = number(0.5, 20).map((fat) => tabulateFlesh(composeFromFat(fat)))
const piece = fc.record({ depthMm: number(6, 60), flesh, startC: number(0, 20), below: face, above: face, seconds: number(30, 1500) })
const FINE = { cells: 64, stepS: 1 }

describe('heat in a piece', () => {
  it('is neither made nor lost: what came in through faces and edge is what is stored', () => {
    fc.assert(
      fc.property(piece, fc.boolean(), ({ depthMm, flesh: made, startC, below, above, seconds }, edged) => {
        const body = createBody(layDepth(depthMm / 1000, FINE.cells), made, startC)
        const edge = edged ? createEdge({ halfM: 0.03, exponent: 2 }, made, startC) : null
        edge?.enter(above)
        marchInPlace(body, { below, above }, { seconds, stepS: FINE.stepS, ...(edge && { edge: edge.step }) })
        const [into = 0, stored = 0] = body.heat
        expect(Math.abs(into - stored)).toBeLessThan(1e-6 * Math.max(1, Math.abs(stored)))
      }),
      { numRuns: cases(40) },
    )
  })

  it('stays between the coldest and the hottest of what it met, and under the cap', () => {
    fc.assert(
      fc.property(piece, ({ depthMm, flesh: made, startC, below, above, seconds }) => {
        const body = createBody(layDepth(depthMm / 1000, FINE.cells), made, startC)
        marchInPlace(body, { below, above }, { seconds, stepS: FINE.stepS })
        const hottest = Math.max(...[below, above].map(({ mediumC, capC = Infinity }) => Math.min(mediumC, capC)))
        const coldest = Math.min(startC, below.mediumC, above.mediumC)
        for (const at of [...body.temperatures, ...body.surfacesC]) {
          expect(at).toBeLessThan(Math.max(hottest, startC) + 0.3)
          // A wet face may be colder than its air, never than what it started from by more than a breath.
          expect(at).toBeGreaterThan(coldest - 2)
        }
      }),
      { numRuns: cases(40) },
    )
  })

  it('on the grid that is shown is the exact series to a twentieth of a degree once heat is in the middle', () => {
    fc.assert(
      fc.property(number(4, 25), number(Math.log(60), Math.log(1500)), number(0.1, 1.2), (halfMm, lnH, fourier) => {
        const [k, alpha, h] = [0.5, 1.4e-7, Math.exp(lnH)]
        const body = createBody(layDepth((2 * halfMm) / 1000, FINE.cells), constantFlesh(k, alpha), 5)
        const medium = { mediumC: 100, coefficient: h }
        const seconds = (fourier * (halfMm / 1000) ** 2) / alpha
        // Steps of a second as in a kitchen, or finer for what is done in a few of them.
        marchInPlace(body, { below: medium, above: medium }, { seconds, stepS: Math.min(1, seconds / 80) })
        const exact = (place: 0 | 1) => 100 - 95 * seriesShare('slab', { biot: (h * halfMm) / 1000 / k, fourier }, place)
        const middle = ((body.temperatures[31] ?? 0) + (body.temperatures[32] ?? 0)) / 2
        expect(Math.abs(middle - exact(0))).toBeLessThan(0.05)
        expect(Math.abs((body.surfacesC[1] ?? 0) - exact(1))).toBeLessThan(0.05)
      }),
      { numRuns: cases(30) },
    )
  })

  it('with an edge is the product of two series to a fifth of a degree', () => {
    fc.assert(
      fc.property(number(8, 22), number(1.2, 3), number(60, 900), number(0.2, 0.9), (halfMm, wide, h, fourier) => {
        const [k, alpha] = [0.5, 1.4e-7]
        const made = constantFlesh(k, alpha)
        const body = createBody(layDepth((2 * halfMm) / 1000, FINE.cells), made, 5)
        const medium = { mediumC: 90, coefficient: h }
        const edge = createEdge({ halfM: (wide * halfMm) / 1000, exponent: 2 }, made, 5)
        edge.enter(medium)
        const seconds = (fourier * (halfMm / 1000) ** 2) / alpha
        marchInPlace(body, { below: medium, above: medium }, { seconds, stepS: 1, edge: edge.step })
        const biot = (h * halfMm) / 1000 / k
        const across = fourier / wide ** 2
        // The series of a disc needs some heat in it to be summed.
        fc.pre(across > 0.06)
        const share = seriesShare('slab', { biot, fourier }, 0) * seriesShare('cylinder', { biot: biot * wide, fourier: across }, 0)
        const middle = ((body.temperatures[31] ?? 0) + (body.temperatures[32] ?? 0)) / 2
        expect(Math.abs(middle - (90 - 85 * share))).toBeLessThan(0.2)
      }),
      { numRuns: cases(25) },
    )
  })

  it('turned over twice is as it was, and turned once is its mirror', () => {
    const made = tabulateFlesh(composeFromFat(3))
    const hot = { mediumC: 180, coefficient: 300, capC: 100 }
    const air = { mediumC: 60, coefficient: 20 }
    const march = (below: Face, above: Face) => {
      const body = createBody(layDepth(0.02, 40), made, 5)
      marchInPlace(body, { below, above }, { seconds: 120, stepS: 1 })
      return body
    }
    const [first, second] = [march(hot, air), march(air, hot)]
    turnInPlace(second)
    first.temperatures.forEach((at, i) => expect(second.temperatures[i]).toBeCloseTo(at, 9))
    turnInPlace(second)
    turnInPlace(second)
    expect([...second.surfacesC].map((at) => at.toFixed(9))).toEqual([...first.surfacesC].map((at) => at.toFixed(9)))
  })

  it('counts no lethality below 55 degrees, and a minute for a minute at 70', () => {
    const made = constantFlesh(0.5, 1.4e-7)
    const held = (celsius: number) => {
      const body = createBody(layDepth(0.01, 10), made, celsius)
      const still = { mediumC: celsius, coefficient: 500 }
      marchInPlace(body, { below: still, above: still }, { seconds: 60, stepS: 1 })
      return Math.min(...body.f70Minutes)
    }
    expect(held(54)).toBe(0)
    expect(held(70)).toBeCloseTo(1, 6)
    expect(held(77.5)).toBeCloseTo(10, 5)
  })
})

describe('a wet face in an oven', () => {
  // Steady temperature of a wet face, by how wet it is, at the balance of convection, radiation and evaporation.
  it.each([
    [180, [55, 63, 72, 83, 97]],
    [200, [58, 66, 76, 87, 102]],
    [230, [62, 71, 81, 93, 110]],
  ])('of %d degrees stays near %j', (mediumC, expected) => {
    ;[1, 0.6, 0.35, 0.2, 0.1].forEach((wetness, i) => {
      const wet: Face = { mediumC, coefficient: 22, emissivity: 0.9, wetness, vapourPa: 4000 }
      let [low, high] = [0, mediumC]
      for (let n = 0; n < 50; n += 1) {
        const middle = (low + high) / 2
        if (computeFluxIn(wet, middle) > 0) low = middle
        else high = middle
      }
      expect(Math.abs(low - (expected[i] ?? 0))).toBeLessThan(1.6)
    })
  })
})
