import { describe, expect, it } from 'vitest'
import { readMoney, setAskLeaning, setLeaning } from './houseForm.ts'

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

describe('money as it is typed', () => {
  it.each([
    ['4.20', 4.2],
    ['4,20', 4.2],
    [' 12 ', 12],
    ['.5', 0.5],
    ['3.', 3],
  ])('reads %j', (typed, amount) => {
    expect(readMoney(typed)).toEqual({ kind: 'amount', amount })
  })

  it.each(['0', '-3', 'four', '1e9', '4.2.1', '0x10', 'Infinity'])('refuses %j', (typed) => {
    expect(readMoney(typed)).toEqual({ kind: 'wrong' })
  })

  it('takes an empty field for nothing said', () => {
    expect(readMoney('  ')).toEqual({ kind: 'none' })
  })
})
