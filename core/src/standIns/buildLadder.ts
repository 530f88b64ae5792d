import type { CauseKind, MissingReason, SharedCauses } from '@tender-gill/contract'
import type { Rung } from '../facts/index.ts'
import { listStandings, type Board, type Entry } from '../lineUp/index.ts'
import { LADDER } from '../tables/constants.ts'
import { listChanges } from './changes/index.ts'
import { chooseLadder } from './chooseLadder.ts'
import { describeStandIn } from './describeStandIns.ts'
import { computeThereShare, findCauses, type Cause } from './findCauses.ts'
import { sameSpeciesWillDo } from './qualify.ts'
import { byStandIn, compareTrouble, type ScoredEntry } from './scoreEntries.ts'
import { toTenth, toThousandth } from '../rounding/index.ts'

export interface Ladder {
  readonly rungs: Rung[]
  /** Chance that at least one rung is there, 0..1. */
  readonly atLeastOne: number
  /** Expected stand-in score of the first rung that is there, 0..100. */
  readonly expectedStandIn: number
}

/** Which of the rungs above fail with this one, and by what: a rung that hangs on the same boats is no second chance in a storm. */
function findShared(causes: readonly Cause[], above: readonly { common: string; causes: readonly Cause[] }[]): SharedCauses[] {
  const own = new Set(causes.map(({ name }) => name))
  return above.flatMap(({ common, causes: theirs }, i): SharedCauses[] => {
    const kinds: CauseKind[] = theirs.filter(({ name }) => own.has(name)).map(({ kind }) => kind)
    return kinds.length > 0 ? [{ rung: i + 1, common, kinds }] : []
  })
}

/**
 * Up to four rungs out of the best that fit, in order of stand-in score, chosen so that they do not all fail together; one a species, by the
 * offer that serves the ladder best. Other offers of the missing fish go first, and may be several, where the reason allows them.
 */
export function buildLadder(scored: readonly ScoredEntry[], missing: Entry, because: MissingReason | null, board: Board): Ladder {
  const { species } = missing.candidate.offer
  const own = (item: ScoredEntry) => sameSpeciesWillDo(because) && item.entry.candidate.offer.species === species
  const lessTrouble = compareTrouble(missing)
  const candidates = scored
    .filter(({ entry }) => entry.fit.fit >= LADDER.leastFit)
    .sort((a, b) => Number(own(b)) - Number(own(a)) || b.standIn - a.standIn || lessTrouble(a, b) || byStandIn(a, b))
    .slice(0, LADDER.among)
    .map((item) => {
      const { offer } = item.entry.candidate
      const causes = findCauses(item.entry.candidate)
      return { item, common: offer.common, standIn: item.standIn, causes, group: own(item) ? offer.id : offer.species }
    })
  const firstAmong = candidates.filter(({ item }) => own(item)).length
  const { chosen, atLeastOne, expected } = chooseLadder(candidates, LADDER.rungs, { firstAmong })
  const taken = chosen.flatMap((index) => candidates[index] ?? [])
  const rungs = taken.map(({ item, causes }, i): Rung => ({
    ...describeStandIn(item, board),
    changes: listChanges({ missing: missing.candidate, candidate: item.entry.candidate, brief: board.brief }),
    standings: listStandings(item.entry),
    differs: [...item.differs],
    thereShare: toThousandth(computeThereShare(causes)),
    shares: findShared(causes, taken.slice(0, i)),
  }))
  return { rungs, atLeastOne: toThousandth(atLeastOne), expectedStandIn: toTenth(expected) }
}
