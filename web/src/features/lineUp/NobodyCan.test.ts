import { describe, expect, it } from 'vitest'
import { namePeople, withoutThem } from './NobodyCan.tsx'

describe('people at risk', () => {
  it('are named as people', () => {
    expect(namePeople({ pregnant: 1 })).toBe('the pregnant guest')
    expect(namePeople({ children: 3, pregnant: 1, elderly: 2 })).toBe('the pregnant guest, the children and the elderly guests')
    expect(namePeople()).toBe('')
  })

  it('leave a dish, and nothing else of who eats it does', () =>
    expect(withoutThem({ pregnant: 1, boneShy: true, allergies: ['crustacean'] })).toMatchObject({
      pregnant: 0,
      boneShy: true,
      allergies: ['crustacean'],
    }))
})
