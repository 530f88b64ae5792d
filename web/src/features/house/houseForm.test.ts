import { describe, expect, it } from 'vitest'
import { setAskLeaning, setLeaning } from './houseForm.ts'

describe('the house’s leanings', () => {
  it('hold what was set and nothing else', () => {
    expect(setAskLeaning({}, 'fat', 5)).toEqual({ asks: { fat: { pull: 5 } } })
    expect(setAskLeaning({ doneness: 'moist', asks: { fat: { pull: 5 } } }, 'flake', 0)).toEqual({
      doneness: 'moist',
      asks: { fat: { pull: 5 }, flake: { pull: 0 } },
    })
    expect(setLeaning({ doneness: 'moist' }, 'origin', 'wild')).toEqual({ doneness: 'moist', origin: 'wild' })
  })

  it('leave an ask to its method again, band and all that was not set', () => {
    expect(setAskLeaning({ asks: { fat: { pull: 5 } } }, 'fat', null)).toEqual({})
    expect(setAskLeaning({ asks: { fat: { from: 3, pull: 5 } } }, 'fat', null)).toEqual({ asks: { fat: { from: 3 } } })
    expect(setLeaning({ origin: 'wild', bought: 'cut' }, 'origin', undefined)).toEqual({ bought: 'cut' })
  })
})
