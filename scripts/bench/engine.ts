/** The line-up beside the reference implementation, on the shipped book. */
import { createOfferSheet } from '@tender-gill/catalogue'
import type { Brief } from '@tender-gill/contract'
import {
  answerAmounts,
  answerCold,
  answerCook,
  answerFreshness,
  createBoard,
  findStandIns,
  findTurningPoints,
  mapSwaps,
  planPot,
  rankBoard,
  simulateRanks,
} from '@tender-gill/core'
import { FINE, fleshOfFat, layRest, layStages, QUICK, runCook, solvePull, USUAL_REST } from '@tender-gill/core/cooking'
import { referenceFit, referenceRanks } from '@tender-gill/core/reference'
import { medianMs, shown } from './measure.ts'

const today = '2026-06-13'
const whole = createOfferSheet(today)
/** 300 offers out of the whole book, evenly. */
const LOAD = 300
const sheet = {
  ...whole,
  offers: whole.offers.filter(
    (_, i) => Math.floor((i * LOAD) / whole.offers.length) !== Math.floor(((i - 1) * LOAD) / whole.offers.length),
  ),
}
const brief: Brief = {
  dish: 'Bench',
  method: 'grill',
  format: 'chunk',
  covers: 4,
  asks: { collagen: { from: 3 }, skin: { from: 2, pull: 1 }, binding: { from: 2, pull: 1 } },
}
const lay = () => {
  const board = createBoard(brief, sheet, today)
  if (!board.ok) throw new Error('the brief is wrong')
  return board.value
}
const board = lay()
const entrants = board.considered.filter(({ gates }) => gates.length === 0)
const leader = entrants[0]?.candidate.offer.species
const options = (draws: number) => ({ draws, seed: 1, scoring: board.scoring, leader })
console.log(
  `load: ${sheet.offers.length} offers, ${entrants.length} pass, ${board.scoring.asks.length} asks; median of nine after a warm-up`,
)
console.log(`whole line-up, 2,000 draws: ${shown(medianMs(() => rankBoard(lay(), sheet, {}), { warmUp: 4 }))}`)
console.log(
  `exact line-up while dragging: ${shown(medianMs(() => rankBoard(lay(), sheet, { shares: false, leftOut: false, rows: 8 }), { warmUp: 60 }))}`,
)
console.log(
  `stand-ins: ${shown(medianMs(() => findStandIns({ ...brief, missing: 'Lophius piscatorius' }, sheet, { today }), { warmUp: 20 }))}`,
)
const amount = medianMs(() => answerAmounts({ ...brief, fish: 'Gadus morhua' }, sheet, { today }), { warmUp: 200 })
console.log(`how much to buy of one fish: ${shown(amount)} (aim under 1 ms)`)
const seen = { fish: 'Gadus morhua', view: 'whole', signs: { 'gill-smell': 1, eyes: 2, spring: 0 }, keep: { hours: 30, tempC: 3 } } as const
const look = medianMs(() => answerFreshness({ ...seen, circumstances: ['on-ice'] }, whole), { warmUp: 100 })
console.log(`a look at a fish, three signs seen: ${shown(look)} (aim under 16 ms)`)
const week = Array.from({ length: 7 * 144 }, (_, i) => ({ hours: 1 / 6, celsius: 2 + (i % 20) / 10 }))
console.log(
  `the clock of a week of readings: ${shown(medianMs(() => answerCold({ fish: 'Scomber scombrus', history: week }, whole), { warmUp: 100 }))}`,
)
const piece = { depthMm: 28, flesh: fleshOfFat(3), startC: 5, across: null, shapeNumber: null, skin: true }
const stages = [
  { medium: 'pan', minutes: 3 },
  { medium: 'hot-pan-in-oven', share: 1, turned: true },
] as const
const goal = { stages, rest: USUAL_REST, targetC: 57, reachedBy: 'rest' } as const
const cookOn = (grid: typeof FINE) => runCook(piece, layStages(stages, 420), layRest(USUAL_REST), grid)
console.log(`a cook's curve on the grid that is shown: ${shown(medianMs(() => cookOn(FINE), { warmUp: 20 }))} (aim under 20 ms)`)
console.log(`a solved moment to take it out: ${shown(medianMs(() => solvePull(piece, goal, QUICK), { warmUp: 20 }))}`)
console.log(`the same on the grid that is shown: ${shown(medianMs(() => solvePull(piece, goal, FINE), { warmUp: 5 }))} (aim under 400 ms)`)
const [shownGrid, finest] = [cookOn(FINE), cookOn({ cells: 256, stepS: () => 0.25 })]
const apart = Math.max(Math.abs(shownGrid.peakC - finest.peakC), Math.abs(shownGrid.pullC - finest.pullC))
console.log(`that curve apart from one on a grid four times as fine: ${apart.toFixed(3)} °C`)
console.log(
  `a whole cook sheet: ${shown(medianMs(() => answerCook({ ...brief, method: 'pan-sear', format: 'portion', fish: 'Gadus morhua' }, whole, { today }), { warmUp: 10 }))}`,
)
const pairs = medianMs(() => mapSwaps(brief, whole, { today }), { warmUp: 4 })
console.log(`swap map, every pair of the whole book: ${shown(pairs)}`)
const fast = medianMs(() => simulateRanks(entrants, board.brief, options(2000)), { warmUp: 6 })
const slow = medianMs(() => referenceRanks(entrants, board.brief, options(2000)), { runs: 3, warmUp: 1 })
console.log(`2,000 draws: ${shown(fast)}, reference ${shown(slow)}, ratio ${(slow / fast).toFixed(1)}`)
const many = medianMs(() => simulateRanks(entrants, board.brief, options(10_000)))
console.log(`10,000 draws: ${shown(many)}, ${(many / fast).toFixed(1)} times the 2,000`)
const judge = medianMs(() => lay())
const refit = medianMs(() => board.entries.forEach(({ candidate }) => referenceFit(candidate, board.brief, board.scoring)))
console.log(`laying the board (gates, every form, fit): ${shown(judge)}, reference fit alone ${shown(refit)}`)
const pot = medianMs(() => planPot({ ...brief, method: 'stew' }, sheet, { today, k: 4 }), { runs: 5 })
console.log(`best 4 of a pot and its runners-up: ${shown(pot)}`)
const turning = medianMs(() => findTurningPoints(brief, sheet, { today }), { runs: 5, warmUp: 1 })
console.log(
  `what would change it, solved over ${entrants.length} fish: ${shown(turning)}, ${(turning / judge).toFixed(0)} times laying the board`,
)
