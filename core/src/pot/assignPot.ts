/** What a choice of fish for roles is made from: ln fit of each fish in each role, and how far apart each two are. */
export interface PotProblem {
  /** By fish, by role: ln fit / 100, -Infinity where the fish must not fill the role. */
  readonly logFit: readonly (readonly number[])[]
  /** Symmetric; in shoulders, 0..1. */
  readonly distance: readonly (readonly number[])[]
}

export interface PotChoice {
  /** Fish by role. */
  readonly fish: readonly number[]
  /** Mean ln fit plus half the smallest distance. */
  readonly value: number
}

/** What unlikeness is worth beside fit. */
const DISTANCE_WORTH = 0.5

const smallestDistance = (fish: readonly number[], distance: PotProblem['distance']): number => {
  let least = 1
  for (let i = 0; i < fish.length; i += 1)
    for (let j = i + 1; j < fish.length; j += 1) least = Math.min(least, distance[fish[i] as number]?.[fish[j] as number] ?? 0)
  return least
}

/** Value of a full assignment, as it is maximised. */
export function valuePot(fish: readonly number[], { logFit, distance }: PotProblem): number {
  const mean = fish.reduce((sum, one, role) => sum + (logFit[one]?.[role] ?? -Infinity), 0) / fish.length
  return mean + DISTANCE_WORTH * smallestDistance(fish, distance)
}

/** Equal values are ordered by the fish themselves, so that nothing hangs on the search. */
const goesBefore = (a: PotChoice, b: PotChoice): boolean =>
  a.value !== b.value
    ? a.value > b.value
    : a.fish.some((one, i) => one < (b.fish[i] as number) && a.fish.slice(0, i).every((x, j) => x === b.fish[j]))

/**
 * The best one-to-one assignments of fish to roles: mean ln fit + 0.5 x the smallest pairwise distance. Branch and bound:
 * roles are filled in turn, each from its best fish down; a branch is left when even the best fish for every open role, at the distance
 * reached so far, could not beat the last choice kept. Exact.
 * @param most how many choices to keep, best first   @param holds fish that are in every choice, whatever their place
 */
export function assignPot(
  problem: PotProblem,
  { most = 3, holds = [] }: { readonly most?: number; readonly holds?: readonly number[] } = {},
): readonly PotChoice[] {
  const { logFit, distance } = problem
  const roles = logFit[0]?.length ?? 0
  if (roles === 0) return []
  const byRole = Array.from({ length: roles }, (_, role) =>
    logFit
      .map((row, fish) => ({ fish, value: row[role] ?? -Infinity }))
      .filter(({ value }) => value > -Infinity)
      .sort((a, b) => b.value - a.value || a.fish - b.fish),
  )
  // Best that the roles from here on can still add, whoever fills them.
  const ahead = new Float64Array(roles + 1)
  for (let role = roles - 1; role >= 0; role -= 1) ahead[role] = (ahead[role + 1] as number) + (byRole[role]?.[0]?.value ?? -Infinity)
  const kept: PotChoice[] = []
  const bar = () => (kept.length < most ? -Infinity : (kept.at(-1)?.value ?? -Infinity))
  const keep = (choice: PotChoice) => {
    const at = kept.findIndex((other) => goesBefore(choice, other))
    kept.splice(at === -1 ? kept.length : at, 0, choice)
    if (kept.length > most) kept.pop()
  }
  const chosen: number[] = []
  const held = new Set(holds)
  const descend = (role: number, sum: number, least: number): void => {
    const waiting = holds.reduce((n, fish) => n + (chosen.includes(fish) ? 0 : 1), 0)
    if (waiting > roles - role) return
    if (role === roles) {
      keep({ fish: [...chosen], value: valuePot(chosen, problem) })
      return
    }
    for (const { fish, value } of byRole[role] ?? []) {
      const best = (sum + value + (ahead[role + 1] as number)) / roles + DISTANCE_WORTH * least
      if (best < bar() - 1e-12) break
      if (chosen.includes(fish) || (waiting === roles - role && !held.has(fish))) continue
      const apart = chosen.reduce((min, other) => Math.min(min, distance[other]?.[fish] ?? 0), least)
      const bound = (sum + value + (ahead[role + 1] as number)) / roles + DISTANCE_WORTH * apart
      if (bound < bar() - 1e-12) continue
      chosen.push(fish)
      descend(role + 1, sum + value, apart)
      chosen.pop()
    }
  }
  descend(0, 0, 1)
  return kept
}
