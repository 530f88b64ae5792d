import type { LineUpDifference, Moved } from '@tender-gill/contract'
import type { LineUp, RankedFish } from '../facts/index.ts'

const MOST = 12

interface Standing {
  readonly row: RankedFish
  readonly place: number
}
const standings = ({ ranked }: LineUp): ReadonlyMap<string, Standing> =>
  new Map(ranked.map((row, i) => [row.species, { row, place: i + 1 }]))

/**
 * What is different between a line-up as it was and as it is: who leads, where the chosen fish stands, and who moved.
 * @param chosen species that was taken, with its common name for when neither line-up ranks it
 */
export function compareLineUps(then: LineUp, now: LineUp, chosen: { readonly species: string; readonly common: string }): LineUpDifference {
  const before = standings(then)
  const after = standings(now)
  const describe = (species: string, common: string): Moved => {
    const old = before.get(species)
    const current = after.get(species)
    return {
      species,
      common: current?.row.common ?? old?.row.common ?? common,
      placeThen: old?.place ?? null,
      placeNow: current?.place ?? null,
      fitThen: old?.row.fit ?? null,
      fitNow: current?.row.fit ?? null,
    }
  }
  const names = [...new Set([...after.keys(), ...before.keys()])]
  const moved = names
    .map((species) => describe(species, species))
    .filter(({ placeThen, placeNow, fitThen, fitNow }) => placeThen !== placeNow || fitThen !== fitNow)
  const best = ({ placeThen, placeNow }: Moved) => Math.min(placeThen ?? Infinity, placeNow ?? Infinity)
  return {
    identical: moved.length === 0,
    leaderThen: then.ranked[0]?.common ?? null,
    leaderNow: now.ranked[0]?.common ?? null,
    chosen: describe(chosen.species, chosen.common),
    // Of two that stood at one place, the one that stood there before.
    moved: moved
      .sort((a, b) => best(a) - best(b) || (a.placeThen ?? Infinity) - (b.placeThen ?? Infinity) || (a.species < b.species ? -1 : 1))
      .slice(0, MOST),
  }
}
