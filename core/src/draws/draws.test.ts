import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { createOfferSheet } from '@tender-gill/catalogue/book'
import { createBoard } from '../lineUp/index.ts'
import { TODAY, buildBrief, must } from '../testing/builders.ts'
import {
  correlateFat,
  drawByte,
  drawTrait,
  fillBytesInPlace,
  hashText,
  normalOfByte,
  simulateRanks,
  stepRanks,
  uniformFromBits,
} from './index.ts'

const moments = (values: readonly number[]) => {
  const mean = values.reduce((a, b) => a + b, 0) / values.length
  return { mean, variance: values.reduce((sum, x) => sum + (x - mean) ** 2, 0) / values.length }
}
const sample = (name: string, n = 20_000) => Array.from({ length: n }, (_, draw) => normalOfByte(drawByte(1, draw, hashText(name))))

describe('hashed variates', () => {
  it('has mean 0 and variance 1 over 20,000 draws', () => {
    const { mean, variance } = moments(sample('piscis|firmness'))
    expect(Math.abs(mean)).toBeLessThan(0.03)
    expect(Math.abs(variance - 1)).toBeLessThan(0.04)
  })

  it('gives one draw the same level alone as among others, and every level about equally often', () => {
    const name = hashText('piscis|flake')
    const levels = new Uint8Array(25_601)
    fillBytesInPlace(levels, 7, name)
    const counts = new Uint32Array(256)
    levels.forEach((level, draw) => {
      counts[level] = (counts[level] ?? 0) + 1
      if (level !== drawByte(7, draw, name)) throw new Error(`draw ${draw} differs`)
    })
    expect(Math.min(...counts)).toBeGreaterThan(50)
    expect(Math.max(...counts)).toBeLessThan(160)
  })

  it('draws two names independently, and fat against firmness at -0.4', () => {
    const firmness = sample('piscis|firmness')
    const own = sample('piscis|fat')
    const product = (a: readonly number[], b: readonly number[]) => a.reduce((sum, x, i) => sum + x * (b[i] ?? 0), 0) / a.length
    expect(Math.abs(product(firmness, own))).toBeLessThan(0.03)
    expect(
      product(
        firmness,
        firmness.map((z, i) => correlateFat(z, own[i] ?? 0)),
      ),
    ).toBeCloseTo(-0.4, 1)
  })

  it('stays strictly between 0 and 1 for every pattern of bits', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 0xffffffff }), (bits) => uniformFromBits(bits) > 0 && uniformFromBits(bits) < 1),
      { seed: 3 },
    )
  })

  it('puts the 5th and 95th percentile of a drawn trait at its low and high', () => {
    const range = { low: 3, typical: 5, high: 9 }
    const values = sample('piscis|cohesion')
      .map((z) => drawTrait('cohesion', range, z))
      .sort((a, b) => a - b)
    expect(values[1000]).toBeCloseTo(3, 1)
    expect(values[19_000]).toBeCloseTo(9, 1)
  })

  it('keeps every draw on the scale of its trait, and monotone in z', () => {
    fc.assert(
      fc.property(fc.double({ min: -6, max: 6, noNaN: true }), fc.double({ min: -6, max: 6, noNaN: true }), (a, b) => {
        const at = (z: number) => drawTrait('flake', { low: 0.5, typical: 8, high: 9.5 }, z)
        expect(at(a)).toBeGreaterThanOrEqual(0)
        expect(at(a)).toBeLessThanOrEqual(10)
        if (a < b) expect(at(a)).toBeLessThanOrEqual(at(b))
      }),
      { seed: 4 },
    )
  })
})

describe('a study in steps', () => {
  const board = must(createBoard(buildBrief({ method: 'grill', format: 'chunk' }), createOfferSheet(TODAY), TODAY))
  const entrants = board.considered.filter(({ gates }) => gates.length === 0)
  const options = (draws: number) => ({ draws, seed: 3, scoring: board.scoring, leader: entrants[0]?.candidate.offer.species })

  it('comes to the same shares as at one go, telling how far it is, never backwards, up to the whole', () => {
    const work = stepRanks(entrants, board.brief, options(300))
    const told: number[] = []
    let step = work.next()
    for (; !step.done; step = work.next()) told.push(step.value)
    expect(step.value).toEqual(simulateRanks(entrants, board.brief, options(300)))
    expect(told).toEqual([...told].sort((a, b) => a - b))
    expect(told.at(-1)).toBe(1)
    expect(told.length).toBeGreaterThan(20)
  })

  it('does not change a share when another fish leaves the field, but for those it made room for', () => {
    const shares = simulateRanks(entrants, board.brief, options(400))
    const without = entrants.filter(({ candidate }) => candidate.offer.species !== entrants.at(-1)?.candidate.offer.species)
    const after = simulateRanks(without, board.brief, options(400))
    for (const [species, { passShare }] of after.bySpecies) {
      expect(passShare).toBe(shares.bySpecies.get(species)?.passShare)
      expect(after.bySpecies.get(species)?.rankShares[0]).toBeGreaterThanOrEqual(shares.bySpecies.get(species)?.rankShares[0] ?? 0)
    }
  })
})
