import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { composeFromFat, computeProperties, computeShapeNumber, cookSlab, type Medium } from './index.ts'

/** Simulated minutes to the pull for a peak of 57 degrees, both faces, 3 g of fat, from 8 degrees, rested on a board: 10, 20, 30, 50 mm. */
const SIMULATED: readonly (readonly [string, Medium, readonly [number, number, number, number]])[] = [
  ['poached at 85', { drivingC: 85, coefficient: 500 }, [1.8, 6.1, 12.9, 34.4]],
  ['in an oven of 200', { drivingC: 76, coefficient: 162 }, [4.1, 10.9, 20.7, 50.1]],
  ['steamed', { drivingC: 100, coefficient: 800 }, [1.1, 4.1, 8.9, 24.5]],
]
const DEPTHS = [10, 20, 30, 50] as const
const flesh = computeProperties(composeFromFat(3), 40)
const cook = (depthMm: number, medium: Medium, targetC = 57) => cookSlab(depthMm, flesh, medium, { startC: 8, targetC })

describe('thermal properties', () => {
  it.each([
    [{ water: 0.79, protein: 0.19, fat: 0.007, ash: 0.013 }, 20, 1052, 3714, 0.537],
    [{ water: 0.745, protein: 0.192, fat: 0.05, ash: 0.013 }, 40, 1043, 3626, 0.534],
    [{ water: 0.645, protein: 0.193, fat: 0.15, ash: 0.012 }, 60, 1025, 3426, 0.488],
  ])('of %j at %s degrees are those of the published correlations', (composition, tempC, density, heatCapacity, conductivity) => {
    const found = computeProperties(composition, tempC)
    expect(found.density).toBeCloseTo(density, -1)
    expect(Math.abs(found.heatCapacity / heatCapacity - 1)).toBeLessThan(0.005)
    expect(Math.abs(found.conductivity / 0.95 / conductivity - 1)).toBeLessThan(0.005)
  })

  it('fall with fat, and stay inside what is published for fish', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 25, noNaN: true }), fc.double({ min: 0.1, max: 5, noNaN: true }), (fat, more) => {
        const lean = computeProperties(composeFromFat(fat), 40)
        const fatter = computeProperties(composeFromFat(fat + more), 40)
        expect(fatter.conductivity).toBeLessThan(lean.conductivity)
        expect(lean.diffusivity).toBeGreaterThan(1.1e-7)
        expect(lean.diffusivity).toBeLessThan(1.5e-7)
      }),
    )
  })
})

describe('cooking a slab', () => {
  it.each(SIMULATED)('%s is within a fifth of the simulation at every depth', (_what, medium, minutes) => {
    DEPTHS.forEach((depth, i) => {
      const found = cook(depth, medium)?.minutes ?? 0
      expect(Math.abs(found / (minutes[i] ?? 1) - 1), `${depth} mm: ${found.toFixed(1)}`).toBeLessThan(0.2)
    })
  })

  it.each(SIMULATED)('%s keeps the ratio between two depths to within an eighth', (_what, medium, minutes) => {
    const found = DEPTHS.map((depth) => cook(depth, medium)?.minutes ?? 0)
    for (let i = 1; i < DEPTHS.length; i += 1) {
      const ratio = (found[i] ?? 0) / (found[i - 1] ?? 1)
      expect(Math.abs(ratio / ((minutes[i] ?? 0) / (minutes[i - 1] ?? 1)) - 1)).toBeLessThan(0.125)
    }
  })

  it('takes longer the thicker it is, the further it goes and the weaker the heat, and is taken out before its target', () => {
    const any = fc.record({
      depth: fc.double({ min: 8, max: 60, noNaN: true }),
      target: fc.double({ min: 45, max: 65, noNaN: true }),
      driving: fc.double({ min: 76, max: 105, noNaN: true }),
      coefficient: fc.double({ min: 60, max: 1000, noNaN: true }),
    })
    fc.assert(
      fc.property(any, ({ depth, target, driving, coefficient }) => {
        const medium = { drivingC: driving, coefficient }
        const base = cook(depth, medium, target)
        const minutes = base?.minutes ?? NaN
        expect(cook(depth * 1.1, medium, target)?.minutes).toBeGreaterThan(minutes)
        expect(cook(depth, medium, target + 2)?.minutes).toBeGreaterThan(minutes)
        expect(cook(depth, { ...medium, coefficient: coefficient * 1.5 }, target)?.minutes).toBeLessThan(minutes)
        expect(base?.pullC).toBeLessThan(target)
      }),
      { seed: 51 },
    )
  })

  it('never comes to a temperature the medium does not have', () => {
    expect(cook(20, { drivingC: 55, coefficient: 300 }, 57)).toBeUndefined()
  })
})

describe('the shape number', () => {
  it('comes to 1 for a slab, 2 for a long cylinder and 3 for a sphere', () => {
    expect(computeShapeNumber([1e6, 1e6], 3)).toBeCloseTo(1, 4)
    expect(computeShapeNumber([1, 1e6], 3)).toBeCloseTo(2, 4)
    expect(computeShapeNumber([1, 1], 3)).toBeCloseTo(3, 4)
  })
})
