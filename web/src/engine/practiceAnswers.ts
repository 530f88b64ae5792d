import { layRound, listCards, pickCard, type Progress, type Round } from '@tender-gill/core'
import type { Told, Words } from '@tender-gill/words'
import type { Laid } from './sheetDesk.ts'
import type { SheetRef } from './sheetRef.ts'

interface Deps {
  readonly open: (ref: SheetRef) => Promise<Laid>
  readonly tell: Words['tell']
}

/** Cards that are passed over where the engine has no clear answer for them. */
const MOST_TRIES = 12

/** Practice: made up out of the day's offers, which it only reads. */
export const createPracticeAnswers = ({ open, tell }: Deps) => ({
  round: async (ref: SheetRef, progress: Progress, seed: number): Promise<Told<Round> | null> => {
    const { sheet, today } = await open(ref)
    let cards = listCards(sheet)
    for (let i = 0; i < MOST_TRIES; i += 1) {
      const card = pickCard(cards, progress, seed)
      const laid = card && layRound(card, sheet, { seed, round: progress.round + i * 1000, today })
      if (laid) return tell(laid)
      cards = cards.filter((one) => one !== card)
    }
    return null
  },
})
