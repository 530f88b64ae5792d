import type { StandIns } from '@tender-gill/contract'
import { describe, expect, it } from 'vitest'
import { describeReason } from './describeReason.ts'

const answer = (order: readonly string[], ladder: readonly string[]) =>
  ({
    order: order.map((id) => ({ offerId: id, species: id })),
    ladder: ladder.map((id) => ({ offerId: id, species: id, common: id })),
  }) as unknown as StandIns

describe('what a reason did', () => {
  const all = answer(['cod', 'ling', 'hake', 'sole'], ['cod', 'ling'])

  it('says how many it left out, and which rungs are new', () => {
    expect(describeReason('too-dear', all, answer(['ling', 'hake'], ['ling', 'hake']))).toBe(
      'Too dear: 2 that cost no less, or whose price is not known, are left out; hake is a new rung.',
    )
    expect(describeReason('stock', all, answer(['cod', 'ling', 'hake'], ['cod', 'ling']))).toBe(
      'Stock too low: 1 whose stock stands no better, or is not known, is left out; the rungs stay.',
    )
  })

  it('says so where it did nothing, and where nobody is left', () => {
    expect(describeReason('looked-bad', all, all)).toBe('Looked bad: nobody is left out for it; the rungs stay.')
    expect(describeReason('allergy', all, answer([], []))).toBe('An allergy: 4 with the same allergen are left out.')
  })
})
