/** One way to serve a dish: what it is worth and what it takes out of a supply. An option worth nothing is none. */
export interface RungOption {
  /** Species whose supply it draws on. */
  readonly species: string
  readonly worth: number
  readonly needG: number
}

export interface RungAssignment {
  /** The option taken for each dish, counted from 0; null where none is left for it. */
  readonly taken: readonly (number | null)[]
  readonly worth: number
}

const TINY = 1e-9

interface PlacedOption extends RungOption {
  /** Its place among the dish's options. */
  readonly place: number
}

/** One dish to decide: its options, the best first, and what its best is worth more than its next best. */
interface Turn {
  readonly dish: number
  readonly options: readonly PlacedOption[]
  readonly best: PlacedOption | undefined
  readonly next: number
  readonly gain: number
}

function toTurn(options: readonly RungOption[], dish: number): Turn {
  const sorted = options
    .map((option, place) => ({ ...option, place }))
    .filter(({ worth }) => worth > 0)
    .sort((a, b) => b.worth - a.worth || a.place - b.place)
  const [best] = sorted
  const next = sorted.find(({ species }) => species !== best?.species)?.worth ?? 0
  return { dish, options: sorted, best, next, gain: (best?.worth ?? 0) - next }
}

const stake = ({ best }: Turn): number => best?.worth ?? 0
const perGram = ({ gain, best }: Turn): number => gain / Math.max(TINY, best?.needG ?? 0)

/**
 * The most that dishes still to be decided can be worth: each at least its next best, and what the best adds as far as its supply goes, the
 * most a gram first and the last in part (the knapsack's relaxation). Never less than any real answer.
 */
function boundRest(turns: readonly Turn[], undecided: ReadonlySet<Turn>, left: ReadonlyMap<string, number>): number {
  const room = new Map(left)
  let most = 0
  for (const turn of turns) {
    if (!undecided.has(turn)) continue
    const { best, gain, next } = turn
    most += next
    if (!best) continue
    const there = room.get(best.species)
    const share = there === undefined ? 1 : Math.min(1, there / Math.max(TINY, best.needG))
    most += gain * share
    if (there !== undefined) room.set(best.species, Math.max(0, there - best.needG * share))
  }
  return most
}

/**
 * Gives each dish one of its options, or none, so that the worth of all together is greatest and no supply is overdrawn: a generalised
 * assignment, exact by branch and bound. Of answers of one worth the first found is kept: earlier options, dishes with
 * most to lose first, and of these the one worth most.
 * @param dishes options of each dish, nearest first   @param supplyG what there is of a species, g; a species not named is plentiful
 */
export function assignRungs(dishes: readonly (readonly RungOption[])[], supplyG: ReadonlyMap<string, number>): RungAssignment {
  const turns = dishes.map(toTurn).sort((a, b) => b.gain - a.gain || stake(b) - stake(a) || a.dish - b.dish)
  const byGram = [...turns].sort((a, b) => perGram(b) - perGram(a))
  const undecided = new Set(turns)
  const left = new Map(supplyG)
  const taken = new Array<number | null>(dishes.length).fill(null)
  let best: RungAssignment = { taken: [...taken], worth: 0 }
  const descend = (k: number, worth: number): void => {
    if (worth > best.worth + TINY) best = { taken: [...taken], worth }
    const turn = turns[k]
    if (!turn || worth + boundRest(byGram, undecided, left) <= best.worth + TINY) return
    undecided.delete(turn)
    for (const { species, worth: gain, needG, place } of turn.options) {
      const there = left.get(species)
      if (there !== undefined && there + TINY < needG) continue
      if (there !== undefined) left.set(species, there - needG)
      taken[turn.dish] = place
      descend(k + 1, worth + gain)
      taken[turn.dish] = null
      if (there !== undefined) left.set(species, there)
    }
    descend(k + 1, worth)
    undecided.add(turn)
  }
  descend(0, 0)
  return best
}
