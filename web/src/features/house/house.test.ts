import { describe, expect, it } from 'vitest'
import { setLeaning } from './HousePage.tsx'

describe('the house’s leanings', () => {
  it('hold what was set and nothing else', () => {
    expect(setLeaning({}, 'fat', 5)).toEqual({ asks: { fat: { pull: 5 } } })
    expect(setLeaning({ doneness: 'moist', asks: { fat: { pull: 5 } } }, 'flake', 0)).toEqual({
      doneness: 'moist',
      asks: { fat: { pull: 5 }, flake: { pull: 0 } },
    })
  })

  it('leave an ask to its method again, band and all that was not set', () => {
    expect(setLeaning({ asks: { fat: { pull: 5 } } }, 'fat', null)).toEqual({})
    expect(setLeaning({ asks: { fat: { from: 3, pull: 5 } } }, 'fat', null)).toEqual({ asks: { fat: { from: 3 } } })
  })
})
