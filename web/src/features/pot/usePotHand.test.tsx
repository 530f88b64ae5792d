import { act, renderHook } from '../../testing/page.tsx'
import fc from 'fast-check'
import type { ReactNode } from 'react'
import { BrowserRouter } from 'react-router'
import { describe, expect, it } from 'vitest'
import { usePotHand, type PotHand } from './usePotHand.ts'

const FISH = ['Gadus morhua', 'Lophius piscatorius', 'Conger conger', 'Mytilus edulis', 'Zeus faber', 'Scomber scombrus', 'Clupea harengus']
type Press = readonly [what: 'putIn' | 'letGo' | 'takeOut' | 'letBackIn', species: string] | readonly [what: 'setCount', k: number]
const press: fc.Arbitrary<Press> = fc.oneof(
  fc.tuple(fc.constantFrom('putIn' as const, 'letGo' as const, 'takeOut' as const, 'letBackIn' as const), fc.constantFrom(...FISH)),
  fc.tuple(fc.constant('setCount' as const), fc.constantFrom(2, 3, 4, 5)),
)

function open(search = '') {
  window.history.replaceState(null, '', `/pot${search}`)
  const { result, unmount } = renderHook(usePotHand, {
    wrapper: ({ children }: { children: ReactNode }) => <BrowserRouter useTransitions={false}>{children}</BrowserRouter>,
  })
  const carryOut = (hand: PotHand, pressed: Press) => (pressed[0] === 'setCount' ? hand.setCount(pressed[1]) : hand[pressed[0]](pressed[1]))
  return { now: () => result.current, does: (pressed: Press) => act(() => carryOut(result.current, pressed)), unmount }
}

describe('a pot by hand', () => {
  it('holds no fish that it goes without, none twice, and never more than it has places for, whatever is pressed', () => {
    fc.assert(
      fc.property(fc.array(press, { maxLength: 14 }), (presses) => {
        const { now, does, unmount } = open()
        for (const pressed of presses) {
          does(pressed)
          const { k, holds, without } = now()
          expect(k).toBeGreaterThanOrEqual(2)
          expect(k).toBeLessThanOrEqual(5)
          expect(holds.length).toBeLessThanOrEqual(k)
          expect(new Set([...holds, ...without]).size).toBe(holds.length + without.length)
          const [what, which] = pressed
          if (what === 'setCount') expect(k).toBe(which)
          if (what === 'putIn') expect(holds.at(-1)).toBe(which)
          if (what === 'takeOut') expect(without.at(-1)).toBe(which)
          if (what === 'letGo') expect(holds).not.toContain(which)
          if (what === 'letBackIn') expect(without).not.toContain(which)
        }
        unmount()
      }),
      { numRuns: 40 },
    )
  })

  it('comes again by its address, and an address that makes no sense is a pot of three', () => {
    const { now, does, unmount } = open('?fish=4')
    does(['putIn', 'Zeus faber'])
    does(['takeOut', 'Gadus morhua'])
    const before = now()
    unmount()
    const again = open(window.location.search)
    expect(again.now()).toMatchObject({ k: before.k, holds: ['Zeus faber'], without: ['Gadus morhua'] })
    again.unmount()
    expect(open('?fish=many').now()).toMatchObject({ k: 3, holds: [], without: [] })
  })
})
