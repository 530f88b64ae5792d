import type { Season } from '@tender-gill/contract'
import { describe, expect, it } from 'vitest'
import { describeTide, shareOfBest } from './Tide.tsx'

describe('the tide', () => {
  it('says the best months, this month, the flesh and what is closed', () => {
    const season: Season = {
      species: 'Zeus faber',
      water: 'Sound',
      landings: [0, 0, 0, 0, 0, 5, 10, 10, 0, 0, 0, 0],
      condition: [5, 5, 5, 5, 5, 6, 7, 8, 8, 8, 7, 6],
      closures: [{ from: '02-01', to: '03-31' }],
    }
    expect(describeTide(season, 6)).toBe(
      'Sound: most landed in July, August; in June 50 of 100, flesh 6 of 10; closed 1 February to 31 March',
    )
    expect(shareOfBest([0, 0])).toEqual([0, 0])
  })
})
