import { describe, expect, it } from 'vitest'
import { tabulateFlesh } from '../conduction/index.ts'
import { composeFromFat, computeShapeNumber } from '../heat/index.ts'
import { USUAL_REST, type PlannedStage } from '../tables/cookPlans.ts'
import { USUAL_DEPTH_SHARE, WHOLE_DEPTH_MM, WHOLE_DEPTH_SHARE, WHOLE_RATIOS } from '../tables/wholeFish.ts'
import { FINE, QUICK } from './grids.ts'
import type { Piece } from './runCook.ts'
import { solvePull } from './solvePull.ts'

// What kitchens take for such pieces, from general experience: a calibration of the media, not a validation of the model.
const flat = (depthMm: number, patch: Partial<Piece> & { fat?: number } = {}): Piece => ({
  ...{ depthMm, flesh: tabulateFlesh(composeFromFat(patch.fat ?? 3)), startC: 8, across: null, shapeNumber: null, skin: false },
  ...patch,
})
const strip = (halfMm: number) => ({ across: { halfM: halfMm / 1000, exponent: 1 as const } })
const round = (kg: number, share: number): Piece =>
  flat(WHOLE_DEPTH_MM.round * Math.cbrt(kg) * share, { shapeNumber: computeShapeNumber(WHOLE_RATIOS.round, 5), skin: true })
const inOven = (kg: number) => round(kg, USUAL_DEPTH_SHARE)
const all = (medium: PlannedStage['medium'], celsius?: number): readonly PlannedStage[] => [
  { medium, share: 1, ...(celsius !== undefined && { celsius }) },
]
const turning = (medium: PlannedStage['medium'], first: number): readonly PlannedStage[] => [
  { medium, share: first },
  { medium, share: 1 - first, turned: true },
]
const SEAR_THEN_OVEN: readonly PlannedStage[] = [
  { medium: 'pan', minutes: 3 },
  { medium: 'hot-pan-in-oven', share: 1, turned: true },
]

/** What it is, minutes kitchens take, the piece, its stages, and how far the middle goes, degrees C. */
const CASES: readonly (readonly [string, readonly [number, number], Piece, readonly PlannedStage[], number])[] = [
  ['12 mm oily fillet, pan, three quarters on its skin', [3, 4], flat(12, { fat: 12, skin: true }), turning('pan', 0.75), 58],
  ['25 mm oily portion, pan, four fifths on its skin', [6, 9], flat(25, { fat: 12, skin: true }), turning('pan', 0.8), 50],
  ['28 mm white portion, seared 3 min, then the oven at 200', [8, 11], flat(28), SEAR_THEN_OVEN, 57],
  ['575 g round fish, fan oven at 230', [18, 25], inOven(0.575), all('oven-fan', 230), 60],
  ['1.1 kg round fish, fan oven at 220', [30, 40], inOven(1.1), all('oven-fan', 220), 66],
  ['600 g whole, steamed', [9, 13], round(0.6, WHOLE_DEPTH_SHARE['steam-whole'] ?? 1), all('steam'), 60],
  ['10 mm fillet steamed on a plate', [3, 5], flat(10), all('steam'), 62],
  ['45 mm steak, covered braise', [30, 45], flat(45), all('covered-sauce'), 66],
  ['25 mm portion, bath of 60', [25, 35], flat(25, { startC: 5, ...strip(35) }), all('bath', 60), 57],
  ['20 mm in a leaf, steamed', [10, 14], flat(20), all('wrapped-steam'), 63],
  ['25 mm portion poached at 85', [7, 10], flat(25, strip(35)), all('water', 85), 60],
  ['20 mm in batter', [4, 7], flat(20, { startC: 5 }), all('deep-fat-battered'), 63],
  ['22 mm steak over charcoal', [6, 9], flat(22), turning('charcoal', 0.6), 57],
  ['20 mm under the broiler from one side', [7, 10], flat(20), all('broiler'), 58],
]
/** Share by which the cases that fall outside may do so. */
const NEAR = 0.1

const minutesOf = (piece: Piece, stages: readonly PlannedStage[], targetC: number, grid = FINE): number => {
  const solved = solvePull(piece, { stages, rest: USUAL_REST, targetC, reachedBy: 'rest' }, grid)
  if (solved.kind !== 'solved') throw new Error(solved.kind)
  expect(Math.abs(solved.run.peakC - targetC)).toBeLessThan(0.15)
  return solved.run.cookedS / 60
}

describe('pieces as kitchens cook them', () => {
  it('take the minutes kitchens take: twelve of fourteen inside, the others within a tenth', () => {
    const outside: string[] = []
    for (const [what, [least, most], piece, stages, targetC] of CASES) {
      const minutes = minutesOf(piece, stages, targetC)
      if (minutes < least || minutes > most) outside.push(`${what}: ${minutes.toFixed(2)}`)
      expect(minutes, what).toBeGreaterThan(least * (1 - NEAR))
      expect(minutes, what).toBeLessThan(most * (1 + NEAR))
    }
    expect(outside.length, outside.join('; ')).toBeLessThanOrEqual(2)
  })

  it.each(CASES)('%s: the quick grid tells the same minutes', (_what, _band, piece, stages, targetC) => {
    const [fine, quick] = [FINE, QUICK].map((grid) => minutesOf(piece, stages, targetC, grid)) as [number, number]
    expect(Math.abs(quick / fine - 1)).toBeLessThan(0.03)
  })
})
