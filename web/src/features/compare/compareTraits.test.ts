import { createOfferSheet } from '@tender-gill/catalogue'
import type { ResolvedOffer } from '@tender-gill/contract'
import { createBoard } from '@tender-gill/core'
import { createWords } from '@tender-gill/words'
import { describe, expect, it } from 'vitest'
import { compareTraits } from './compareTraits.ts'

const today = '2026-06-13'
const sheet = createOfferSheet(today)
const offer = (id: string) => sheet.offers.find((one) => one.id === id) as ResolvedOffer
const monk = offer('lophius-piscatorius.wild.fresh.body')
const cod = offer('gadus-morhua.wild.fresh.body')

describe('fish side by side', () => {
  it('puts the widest differences first when no dish is open', () => {
    const [first, ...rest] = compareTraits([monk, cod], null)
    expect(first).toMatchObject({ key: 'flake', matters: true })
    expect(rest.every(({ spread }) => spread <= (first?.spread ?? 0))).toBe(true)
  })

  it('calls nothing a difference between a fish and itself', () => {
    expect(compareTraits([cod, cod], null).some(({ matters, spread }) => matters || spread > 0)).toBe(false)
  })

  it('lets an open dish say what matters: a grill asks for cohesion and not for binding', () => {
    const board = createBoard({ dish: 'x', method: 'grill', format: 'chunk' }, sheet, today)
    if (!board.ok) throw new Error('the brief is wrong')
    const compared = compareTraits([monk, cod], createWords().tell(board.value.brief))
    expect(compared[0]).toMatchObject({ key: 'cohesion', matters: true, ask: { pull: 5 } })
    expect(compared.find(({ key }) => key === 'rawBite')).toMatchObject({ matters: false, ask: undefined })
  })
})
