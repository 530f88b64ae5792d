import type { Gate } from '@tender-gill/contract'
import { say, type LeftOutFish } from '../facts/index.ts'
import { EFFORT, GATE_ORDER, describeGate, findOpenings, type OpeningResult } from '../gates/index.ts'
import { byFit, groupBySpecies, type Board, type Entry } from './board.ts'
import { findOtherWay } from './otherWays.ts'

const orderOf = (gate: Gate | undefined): number => (gate === undefined ? -1 : GATE_ORDER.indexOf(gate))

/** The offer that speaks for a species that was left out: fewest gates closed, then the last to close, then the better fit. */
function pickSpokesman(entries: readonly Entry[]): Entry | undefined {
  return [...entries].sort((a, b) => a.gates.length - b.gates.length || orderOf(b.gates[0]) - orderOf(a.gates[0]) || byFit(a, b))[0]
}

const least = (openings: readonly OpeningResult[]): OpeningResult | undefined =>
  openings.reduce<OpeningResult | undefined>((best, opening) => (best && best.effort <= opening.effort ? best : opening), undefined)

/**
 * The smallest set of changes that lets a species in, by any of its offers: another cut, form or size before another month or way of cooking,
 * and those before giving up what the dish needs.
 */
function findSpeciesOpening(spokesman: Entry, group: readonly Entry[], board: Board): OpeningResult | undefined {
  const context = { gap: board.scoring, normalise: board.normalise, offerOn: board.offerOn }
  const open = ({ candidate }: Entry) => findOpenings(candidate, board.rawBrief, context) ?? []
  const own = least([open(spokesman)].flat())
  if (own && own.effort <= EFFORT.cut) return own
  const others = group.filter((entry) => entry !== spokesman)
  const nearest = least([own ?? [], others.flatMap(open)].flat())
  if (nearest && nearest.effort <= EFFORT.method) return nearest
  const way = findOtherWay(
    [spokesman, ...others].map(({ candidate }) => candidate.offer),
    board.otherWays(),
  )
  return least([nearest ?? [], way ?? []].flat())
}

function describeLeftOut(spokesman: Entry, group: readonly Entry[], board: Board): LeftOutFish | undefined {
  const { candidate, gates } = spokesman
  const gate = gates[0]
  if (!gate) return undefined
  const { offer } = candidate
  const opening = findSpeciesOpening(spokesman, group, board)
  const askedAs = board.brief.askedAs[offer.species]
  return {
    species: offer.species,
    common: offer.common,
    ...(askedAs ? { askedAs } : {}),
    offerId: offer.id,
    offer: offer.label,
    gate,
    gates: [...gates],
    sentence: describeGate(gate, candidate, board.brief),
    ...(opening ? { opensIf: say('open.if', { changes: [...opening.changes] }), opens: [...opening.opens] } : {}),
  }
}

/** Every species none of whose offers passes, with the gates, the reason and what would open them; in the order of the gates. */
export function listLeftOut(board: Board, entries: readonly Entry[]): readonly LeftOutFish[] {
  const left: LeftOutFish[] = []
  for (const group of groupBySpecies(entries).values()) {
    if (group.some(({ gates }) => gates.length === 0)) continue
    const spokesman = pickSpokesman(group)
    const fish = spokesman && describeLeftOut(spokesman, group, board)
    if (fish) left.push(fish)
  }
  return left.sort(
    (a, b) =>
      orderOf(a.gate) - orderOf(b.gate) || (a.common === b.common ? (a.species < b.species ? -1 : 1) : a.common < b.common ? -1 : 1),
  )
}
