import type { Cause } from './findCauses.ts'

/** A possible rung: its score and what can keep it away. */
export interface RungCandidate {
  readonly standIn: number
  readonly causes: readonly Cause[]
  /** Candidates of one group are one rung to a cook, so at most one of them is chosen: a species, whoever sells it and however. */
  readonly group: string
}

export interface LadderChoice {
  /** Indexes into the candidates, in their order. */
  readonly chosen: readonly number[]
  /** Expected stand-in score of the first rung that is there. */
  readonly expected: number
  /** Chance that at least one rung is there, 0..1. */
  readonly atLeastOne: number
}

const WORD = 31

/** One term of the inclusion and exclusion over the rungs above: a set of causes that all hold, its chance and its sign. */
interface Term {
  readonly sign: 1 | -1
  readonly mask: readonly number[]
  readonly chance: number
}

interface IndexedRung {
  readonly standIn: number
  readonly causes: readonly number[]
  readonly group: string
}

function joinTerm({ sign, mask, chance }: Term, causes: readonly number[], holds: Float64Array): Term {
  const joined = [...mask]
  let product = chance
  for (const cause of causes) {
    const word = Math.floor(cause / WORD)
    const bit = 1 << (cause % WORD)
    if ((joined[word] ?? 0) & bit) continue
    joined[word] = (joined[word] ?? 0) | bit
    product *= holds[cause] ?? 1
  }
  return { sign: sign === 1 ? -1 : 1, mask: joined, chance: product }
}

/**
 * Chooses up to `rungs` candidates, in their order, that maximise E = sum over k of P(the rungs before k fail and k is there) x standIn_k,
 * with P exact by inclusion and exclusion over shared causes. Exact over the candidates given: branch and bound, where what is still to come
 * can be worth no more than the best score left times the chance that nothing chosen is there. As it is the most over every allowed set, one
 * candidate more never lowers it.
 * @param candidates best stand-in first; of equals the one to be preferred first
 * @param firstAmong how many of the first candidates the first rung must be one of, whatever it does for the rest; 0 for any
 */
export function chooseLadder(candidates: readonly RungCandidate[], rungs: number, { firstAmong = 0 } = {}): LadderChoice {
  const names = [...new Set(candidates.flatMap(({ causes }) => causes.map(({ name }) => name)))]
  const holds = new Float64Array(names.length)
  const indexed: readonly IndexedRung[] = candidates.map(({ standIn, causes, group }) => ({
    standIn,
    group,
    causes: causes.map(({ name, chance }) => {
      const index = names.indexOf(name)
      holds[index] = 1 - chance
      return index
    }),
  }))
  let best: LadderChoice = { chosen: [], expected: 0, atLeastOne: 0 }
  /** The best score among the candidates from each on: what is left of the chance can bring no more than that. */
  const bestFrom = new Float64Array(candidates.length + 1)
  for (let i = candidates.length - 1; i >= 0; i -= 1) bestFrom[i] = Math.max(bestFrom[i + 1] ?? 0, candidates[i]?.standIn ?? 0)
  const start: Term = { sign: 1, mask: new Array<number>(Math.ceil(names.length / WORD)).fill(0), chance: 1 }
  const descend = (from: number, terms: readonly Term[], soFar: LadderChoice): void => {
    if (soFar.expected > best.expected + 1e-12) best = soFar
    if (soFar.chosen.length === rungs) return
    const last = firstAmong > 0 && soFar.chosen.length === 0 ? Math.min(firstAmong, indexed.length) : indexed.length
    for (let i = from; i < last; i += 1) {
      const rung = indexed[i]
      const most = soFar.expected + (1 - soFar.atLeastOne) * (bestFrom[i] ?? 0)
      if (!rung || most <= best.expected + 1e-12) return
      if (soFar.chosen.some((index) => indexed[index]?.group === rung.group)) continue
      const joined = terms.map((term) => joinTerm(term, rung.causes, holds))
      const first = joined.reduce((sum, { sign, chance }) => sum - sign * chance, 0)
      descend(i + 1, [...terms, ...joined], {
        chosen: [...soFar.chosen, i],
        expected: soFar.expected + first * rung.standIn,
        atLeastOne: soFar.atLeastOne + first,
      })
    }
  }
  descend(0, [start], best)
  return best
}
