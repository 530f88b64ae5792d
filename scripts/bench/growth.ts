/** How draws grow from 100 to 100,000 synthetic offers: time should be linear and memory bounded by draws, not offers. */
import { createOfferSheet } from '@tender-gill/catalogue'
import type { OfferSheet } from '@tender-gill/contract'
import { createBoard, simulateRanks } from '@tender-gill/core'
import { shown } from './measure.ts'

const today = '2026-06-13'
const book = createOfferSheet(today)

function synthesise(n: number): OfferSheet {
  const offers = Array.from({ length: n }, (_, i) => {
    const offer = book.offers[i % book.offers.length]
    if (!offer) throw new Error('the book is empty')
    return { ...offer, id: `${offer.id}.${i}`, species: `${offer.species} ${i}` }
  })
  return { ...book, offers }
}

let before: { n: number; ms: number } | undefined
for (const n of [100, 1000, 10_000, 100_000]) {
  const board = createBoard({ dish: 'Bench', method: 'grill', format: 'chunk', covers: 4 }, synthesise(n), today)
  if (!board.ok) throw new Error('the brief is wrong')
  const { brief, scoring, considered } = board.value
  const entrants = considered.filter(({ gates }) => gates.length === 0)
  const run = () => simulateRanks(entrants, brief, { draws: 200, seed: 1, scoring, leader: entrants[0]?.candidate.offer.species })
  run()
  globalThis.gc?.()
  const heapBefore = process.memoryUsage().heapUsed
  const began = performance.now()
  run()
  const ms = performance.now() - began
  const grownMb = (process.memoryUsage().heapUsed - heapBefore) / 2 ** 20
  const growth = before ? `, ${(ms / before.ms).toFixed(1)} times the time for ${(n / before.n).toFixed(0)} times the offers` : ''
  console.log(`${n} offers (${entrants.length} pass), 200 draws: ${shown(ms)}, heap +${grownMb.toFixed(0)} MB${growth}`)
  before = { n, ms }
}
