import { createOfferSheet } from '@tender-gill/catalogue/book'
import { describe, expect, it } from 'vitest'
import { describeBasis } from './basisWords.ts'

const [offer] = createOfferSheet('2026-06-13').offers
if (!offer) throw new Error('the book is empty')
const { traits } = offer
const all = (basis: 'compiled' | 'measured') =>
  Object.fromEntries(Object.entries(traits).map(([key, range]) => [key, { ...range, basis }])) as typeof traits

describe('what the traits of a fish rest on', () => {
  it('never calls compiled what is measured or the house’s own, nor the other way round', () => {
    const compiled = all('compiled')
    expect(describeBasis({ traits: compiled })).toBe('Traits are compiled from common knowledge, not measured.')
    const mixed = { ...compiled, fat: { ...traits.fat, basis: 'measured' as const }, flake: { ...traits.flake, basis: 'house' as const } }
    expect(describeBasis({ traits: mixed })).toBe(
      'Fat is measured; flake is as this house has it; the other traits are compiled from common knowledge, not measured.',
    )
    expect(describeBasis({ traits: all('measured') })).not.toContain('compiled')
  })
})
