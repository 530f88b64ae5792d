import type { Choice, TakenFish } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cases } from '../testing/cases.ts'
import { listTaken, replaceTaken } from './index.ts'

const fish = (n: number): TakenFish => ({ species: `Piscis n${n}`, offerId: `piscis-${n}.wild.fresh.body`, form: 'whole' })
const choiceArbitrary = fc
  .uniqueArray(fc.integer({ min: 0, max: 20 }), { minLength: 1, maxLength: 5 })
  .map(([first = 0, ...others]): Choice => (others.length > 0 ? { ...fish(first), beside: others.map(fish) } : fish(first)))

describe('the fish taken for a dish', () => {
  it('keep their places when one of them is changed, and nothing else changes', () => {
    fc.assert(
      fc.property(choiceArbitrary, fc.nat(4), (choice, at) => {
        const all = listTaken(choice)
        const old = all[at % all.length] as TakenFish
        const now = fish(99)
        const changed = listTaken(replaceTaken(choice, old.offerId, now))
        expect(changed).toEqual(all.map((one) => (one.offerId === old.offerId ? now : one)))
        expect(listTaken(replaceTaken(replaceTaken(choice, old.offerId, now), now.offerId, old))).toEqual(all)
      }),
      { seed: 61, numRuns: cases(60) },
    )
  })

  it('become the other fish where the one to change is not among them', () => {
    fc.assert(
      fc.property(choiceArbitrary, (choice) => {
        expect(listTaken(replaceTaken(choice, 'nobody', fish(99)))).toEqual([fish(99)])
      }),
      { seed: 62, numRuns: cases(20) },
    )
  })
})
