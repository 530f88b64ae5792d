import type { SwapLink, TextureKey } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { directionOf, distancesOf, layOut } from './layout.ts'
import { describeParting } from './swapWords.ts'

const link = (alike: number, ...differs: readonly [TextureKey, number][]): SwapLink => ({
  to: 0,
  alike,
  standIn: alike,
  differs: differs.map(([trait, step]) => ({ trait, step })),
})
const linkArbitrary = fc
  .tuple(
    fc.double({ min: 40, max: 100, noNaN: true }),
    fc.double({ min: -2, max: 2, noNaN: true }),
    fc.double({ min: -2, max: 2, noNaN: true }),
  )
  .map(([alike, firmer, fatter]) => link(alike, ['firmness', firmer], ['fat', fatter]))
const linksArbitrary = fc.array(linkArbitrary, { minLength: 1, maxLength: 8 })
const angleOf = ({ x, y }: { x: number; y: number }) => Math.atan2(-y, x)
const apart = (a: number, b: number) => Math.abs(Math.atan2(Math.sin(a - b), Math.cos(a - b)))

describe('where neighbours are drawn', () => {
  it('puts the firmer to the right and the fatter above', () => {
    expect(directionOf(link(90, ['firmness', 1]))).toBeCloseTo(0)
    expect(directionOf(link(90, ['fat', 1]))).toBeCloseTo(Math.PI / 2)
    expect(directionOf(link(90, ['bones', 1]))).toBeUndefined()
    const [spot] = layOut([link(90, ['firmness', -1], ['fat', 1])])
    expect(spot?.x).toBeLessThan(0)
    expect(spot?.y).toBeLessThan(0)
  })

  it('draws the more alike never farther out than the less alike, inside the drawing and clear of the middle', () => {
    fc.assert(
      fc.property(linksArbitrary, (links) => {
        const far = distancesOf(links)
        far.forEach((distance, i) => {
          expect(distance).toBeGreaterThanOrEqual(0.62)
          expect(distance).toBeLessThanOrEqual(1 + 1e-9)
          links.forEach((other, j) => {
            if (other.alike < (links[i]?.alike ?? 0)) expect(far[j]).toBeGreaterThanOrEqual(distance)
          })
        })
      }),
    )
  })

  it('lets no two cover each other, wherever they want to be', () => {
    fc.assert(
      fc.property(linksArbitrary, (links) => {
        const angles = layOut(links).map(angleOf)
        angles.forEach((a, i) => angles.slice(i + 1).forEach((b) => expect(apart(a, b)).toBeGreaterThan((2 * Math.PI) / 10 - 0.03)))
      }),
      { seed: 91, numRuns: 200 },
    )
  })

  it('leaves neighbours that part in far different directions where they want to be', () => {
    const links = [link(90, ['firmness', 1]), link(90, ['fat', 1]), link(90, ['firmness', -1])]
    layOut(links).forEach((spot, i) => expect(apart(angleOf(spot), directionOf(links[i] as SwapLink) ?? 9)).toBeLessThan(0.02))
  })
})

describe('how a neighbour parts, in words', () => {
  it('names three differences at most, to their side', () => {
    expect(describeParting(link(90, ['fat', 1], ['firmness', -1], ['bones', 0.5], ['flake', 0.2]))).toBe('fatter, softer, bonier')
    expect(describeParting(link(99))).toMatch(/^no difference/)
  })
})
