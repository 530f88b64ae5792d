import type { Brief, OfferSheet } from '@tender-gill/contract'
import { createBoard } from '@tender-gill/core'

/** Lays briefs over sheets, the last one once: a line-up is asked for without its shares and right after with them. */
export function createBoardLayer(): (brief: Brief, sheet: OfferSheet, today: string) => ReturnType<typeof createBoard> {
  let last: { readonly sheet: OfferSheet; readonly key: string; readonly board: ReturnType<typeof createBoard> } | undefined
  return (brief, sheet, today) => {
    const key = JSON.stringify([today, brief])
    if (last?.sheet !== sheet || last.key !== key) last = { sheet, key, board: createBoard(brief, sheet, today) }
    return last.board
  }
}
