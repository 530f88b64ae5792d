import { createOfferSheet } from '@tender-gill/catalogue'
import { BAND_KEYS, type ResolvedOffer } from '@tender-gill/contract'
import { AXES, fromAxis } from '@tender-gill/core'
import { describe, expect, it } from 'vitest'
import { describeStrip } from './AskStrip.tsx'
import { getAxisDomain, placeOnAxis, valueAt } from './axisDomain.ts'
import { drawFleshPrint } from './fleshPrint.ts'

const { offers } = createOfferSheet('2026-06-13')
const offer = (id: string): ResolvedOffer => {
  const found = offers.find((one) => one.id === id)
  if (!found) throw new Error(`the book has no ${id}`)
  return found
}
const count = (path: string) => path.split('M').length - 1

describe('drawFleshPrint', () => {
  it('draws the same offer the same every time, and two offers apart', () => {
    const cod = offer('gadus-morhua.wild.fresh.body')
    expect(drawFleshPrint(cod)).toEqual(drawFleshPrint(cod))
    expect(drawFleshPrint(cod)).not.toEqual(drawFleshPrint(offer('salmo-salar.farmed.fresh.body')))
  })

  it('draws broader arcs for larger flakes, and grain where there are none', () => {
    const [cod, mackerel, monk] = [
      'gadus-morhua.wild.fresh.body',
      'scomber-scombrus.wild.fresh.body',
      'lophius-piscatorius.wild.fresh.body',
    ]
      .map(offer)
      .map(drawFleshPrint)
    expect(cod?.arcWidth).toBeGreaterThan(2 * (mackerel?.arcWidth ?? Infinity))
    expect(monk?.arcWidth).toBeLessThan(0.2)
    expect([cod?.grainWidth, (monk?.grainWidth ?? 0) > 2]).toEqual([0, true])
  })

  it('draws each trait the heavier the more there is of it, and everything at one place: the edge by firmness, flecks by fat, cracks by what falls apart', () => {
    const inOrder = (of: (one: ResolvedOffer) => number, drawn: (one: ResolvedOffer) => number) => {
      const sorted = [...offers].sort((a, b) => of(a) - of(b)).map(drawn)
      for (let i = 1; i < sorted.length; i += 1) expect(sorted[i]).toBeGreaterThanOrEqual(sorted[i - 1] ?? 0)
    }
    inOrder(
      ({ traits }) => traits.firmness.typical,
      (one) => drawFleshPrint(one).edgeWidth,
    )
    inOrder(
      ({ traits }) => traits.fat.typical,
      (one) => drawFleshPrint(one).flecks.length,
    )
    inOrder(
      ({ traits }) => -traits.cohesion.typical,
      (one) => drawFleshPrint(one).crackWidth,
    )
    inOrder(
      ({ traits }) => traits.flake.typical,
      (one) => drawFleshPrint(one).arcWidth,
    )
  })

  it('ticks a bone for each step, and dashes the edge of what falls apart', () => {
    expect(count(drawFleshPrint(offer('tenualosa-ilisha.wild.fresh.body')).ticks)).toBe(8)
    expect(drawFleshPrint(offer('macruronus-novaezelandiae.wild.fresh.body')).fallsApart).toBe(true)
    expect(drawFleshPrint(offer('thunnus-albacares.wild.fresh.loin')).fallsApart).toBe(false)
  })

  it('says in words what it draws', () => {
    expect(drawFleshPrint(offer('macruronus-novaezelandiae.wild.fresh.body')).words).toBe(
      'large flakes, soft, 2 g of fat in 100 g, no bones, falls apart',
    )
  })

  it('keeps every fleck of every fish inside the box', () => {
    for (const one of offers)
      for (const { x, y } of drawFleshPrint(one).flecks) {
        expect(x).toBeGreaterThan(5)
        expect(x).toBeLessThan(115)
        expect(y).toBeGreaterThan(5)
        expect(y).toBeLessThan(55)
      }
  })
})

describe('the drawn axis', () => {
  it.each(BAND_KEYS)('of %s runs upwards within its scale and holds values to its ends', (key) => {
    const { from, to, step } = getAxisDomain(key)
    expect(from).toBeLessThan(to)
    expect(step).toBeLessThan((to - from) / 10)
    expect(fromAxis(key, to)).toBeLessThanOrEqual(AXES[key].max + 1e-9)
    expect(placeOnAxis(key, AXES[key].max)).toBe(1)
    expect(placeOnAxis(key, AXES[key].min)).toBe(0)
  })

  it('rounds a value as a person would say it', () => {
    expect(valueAt('fat', Math.sqrt(3.14159))).toBe(3.1)
    expect(valueAt('weight', Math.log(437))).toBe(440)
    expect(valueAt('thickness', Math.log(29.7))).toBe(30)
    expect(valueAt('portionCost', Math.log(4.2049))).toBe(4.2)
  })
})

describe('describeStrip', () => {
  const ask = { from: 3, to: 10, pull: 3, must: null, because: ['method' as const], reason: 'r' }
  it('gives the figure, its range and what is wanted', () => {
    expect(describeStrip({ trait: 'fat', low: 2, typical: 4.5, high: 8, desirability: 1 }, ask)).toBe(
      'Fat: 4.5 g in 100 g, usually 2 g in 100 g to 8 g in 100 g; wanted 3 to 10 g in 100 g',
    )
  })
  it('says what is not known', () => {
    expect(describeStrip({ trait: 'portionCost', low: null, typical: null, high: null, desirability: 0.6 }, ask)).toBe(
      'Cost a portion is not known',
    )
  })
})
