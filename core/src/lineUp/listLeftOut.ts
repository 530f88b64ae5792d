import type { Gate, LeftOutFish } from '@tender-gill/contract'
import { GATE_ORDER, describeGate, findOpenings } from '../gates/index.ts'
import { byFit, groupBySpecies, type Board, type Entry } from './board.ts'

const orderOf = (gate: Gate | undefined): number => (gate === undefined ? -1 : GATE_ORDER.indexOf(gate))

/** The offer that speaks for a species that was left out: fewest gates closed, then the last to close, then the better fit. */
function pickSpokesman(entries: readonly Entry[]): Entry | undefined {
  return [...entries].sort((a, b) => a.gates.length - b.gates.length || orderOf(b.gates[0]) - orderOf(a.gates[0]) || byFit(a, b))[0]
}

function describeLeftOut({ candidate, gates }: Entry, board: Board): LeftOutFish | undefined {
  const gate = gates[0]
  if (!gate) return undefined
  const { offer } = candidate
  const opening = findOpenings(candidate, board.rawBrief, board.scoring, board.options)
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
    ...(opening ? { opensIf: `Comes in if ${opening.words.join(', and ')}.`, opens: [...opening.opens] } : {}),
  }
}

/** Every species none of whose offers passes, with the gates, the reason and what would open them; in the order of the gates. */
export function listLeftOut(board: Board, entries: readonly Entry[]): readonly LeftOutFish[] {
  const left: LeftOutFish[] = []
  for (const group of groupBySpecies(entries).values()) {
    if (group.some(({ gates }) => gates.length === 0)) continue
    const spokesman = pickSpokesman(group)
    const fish = spokesman && describeLeftOut(spokesman, board)
    if (fish) left.push(fish)
  }
  return left.sort(
    (a, b) =>
      orderOf(a.gate) - orderOf(b.gate) || (a.common === b.common ? (a.species < b.species ? -1 : 1) : a.common < b.common ? -1 : 1),
  )
}
