import { describe, expect, it } from 'vitest'
import { chanceOfHundred, nameCautions, ofHundred } from './dishWords.ts'

describe('words of a dish', () => {
  it('name cautions once each, mercury in two strengths, and venom apart from spines', () => {
    expect(nameCautions(['mercury', 'spines', 'mercury'])).toBe('mercury, spines')
    expect(nameCautions(['mercury', 'spines'], { mercury: 'very-high', venom: true })).toBe('much mercury, venomous spines')
    expect(nameCautions(['mercury'], { mercury: 'medium', venom: false })).toBe('mercury')
  })

  it('say a share of a hundred, and never that a chance is certain', () => {
    expect([0, 0.003, 0.5, 0.997, 1].map(ofHundred)).toEqual(['0', 'under 1', '50', 'over 99', '100'])
    expect([0.5, 1].map(chanceOfHundred)).toEqual(['50', 'over 99'])
  })
})
