import { createOfferSheet } from '@tender-gill/catalogue'
import type { Brief } from '@tender-gill/contract'
import { createBoard } from '@tender-gill/core'
import { describe, expect, it } from 'vitest'
import { createBoardLayer } from './layBoard.ts'

const TODAY = '2026-06-13'
const sheet = createOfferSheet(TODAY)
const brief: Brief = { dish: 'Stew', method: 'stew', format: 'chunk', covers: 4 }

describe('a dish that is laid over a sheet', () => {
  it('is laid once for all that is asked of it, whatever object the brief comes in', () => {
    const lay = createBoardLayer()
    const first = lay(brief, sheet, TODAY)
    expect(lay({ ...brief }, sheet, TODAY)).toBe(first)
    expect(first.ok).toBe(true)
  })

  it('is laid anew for another brief, another sheet or another day', () => {
    const lay = createBoardLayer()
    const boards = [
      lay(brief, sheet, TODAY),
      lay({ ...brief, covers: 5 }, sheet, TODAY),
      lay(brief, { ...sheet }, TODAY),
      lay(brief, sheet, '2026-06-14'),
    ]
    expect(new Set(boards).size).toBe(boards.length)
  })

  it('says of a brief that contradicts itself what the engine says', () => {
    const wrong: Brief = { ...brief, method: 'raw', format: 'mince', asks: { firmness: { from: 8, to: 2 } } }
    const { ok, ...said } = createBoard(wrong, sheet, TODAY)
    expect(ok).toBe(false)
    expect(createBoardLayer()(wrong, sheet, TODAY)).toEqual({ ok, ...said })
  })
})
