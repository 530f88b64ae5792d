import type { Entry } from '../lineUp/index.ts'
import { computeKinship } from '../relatives/index.ts'
import type { PotChoice } from './assignPot.ts'

/** Texture distance between two fish, in shoulders, capped at 1. */
export const distanceOf = (a: Entry, b: Entry): number => Math.min(1, computeKinship(a.candidate.offer, b.candidate.offer).distance)

/** Two fish of one genus closer than this, in shoulders, are one fish to the eater. */
const TWIN_SHOULDERS = 0.25

const genusOf = ({ candidate }: Entry): string => candidate.offer.species.split(' ')[0] ?? ''
const areTwins = (a: Entry, b: Entry): boolean => a === b || (genusOf(a) === genusOf(b) && distanceOf(a, b) < TWIN_SHOULDERS)

/** One pot with, for each place, the twins that would fill it as well. */
export interface Group {
  readonly choice: PotChoice
  readonly twins: readonly (readonly number[])[]
}

/** Puts choices that differ only by twins together under the best of them; the same fish in other places are no other pot. */
export function groupTwins(choices: readonly PotChoice[], entries: readonly Entry[]): readonly Group[] {
  const groups: { choice: PotChoice; twins: number[][] }[] = []
  const at = (fish: number) => entries[fish] as Entry
  const nameFish = ({ fish }: PotChoice): string => [...fish].sort((a, b) => a - b).join()
  for (const choice of choices) {
    if (groups.some((group) => nameFish(group.choice) === nameFish(choice))) continue
    const same = groups.find((group) => group.choice.fish.every((fish, role) => areTwins(at(fish), at(choice.fish[role] ?? fish))))
    if (!same) groups.push({ choice, twins: choice.fish.map(() => []) })
    else
      choice.fish.forEach((fish, role) => {
        const known = same.twins[role]
        if (known && fish !== same.choice.fish[role] && !known.includes(fish) && !same.choice.fish.includes(fish)) known.push(fish)
      })
  }
  return groups
}
