import type { Brief, OfferChoice } from '@tender-gill/contract'
import { say, type Problem } from '../facts/index.ts'
import type { FindSpecies } from './nameIndex.ts'

export interface ResolvedNames {
  readonly pool: string[] | null
  readonly unavailable: string[]
  readonly offers: Record<string, OfferChoice>
  /** The name that was used, by accepted name, where the two differ. */
  readonly askedAs: Record<string, string>
  readonly problems: readonly Problem[]
}

const pointer = (token: string) => token.replaceAll('~', '~0').replaceAll('/', '~1')

/** Turns the names in a brief into accepted ones and says which are unknown, each at its place. */
export function resolveNames(brief: Brief, findSpecies: FindSpecies): ResolvedNames {
  const problems: Problem[] = []
  const askedAs: Record<string, string> = {}
  const accept = (name: string, path: string): string | undefined => {
    const species = findSpecies(name)
    if (!species) problems.push({ path, message: say('problem.no-fish', { name }) })
    else if (species !== name) askedAs[species] = name
    return species
  }
  const list = (names: readonly string[], path: string): string[] => [
    ...new Set(names.map((name, i) => accept(name, `${path}/${i}`)).filter((name) => name !== undefined)),
  ]
  const pool = brief.pool ? list(brief.pool, '/pool') : null
  const unavailable = list(brief.unavailable ?? [], '/unavailable')
  const offers: Record<string, OfferChoice> = {}
  for (const [name, choice] of Object.entries(brief.offers ?? {})) {
    const species = accept(name, `/offers/${pointer(name)}`)
    if (species) offers[species] = choice
  }
  for (const list of ['prices', 'seasons', 'stocks'] as const)
    brief.market?.[list]?.forEach(({ species }, i) => accept(species, `/market/${list}/${i}/species`))
  return { pool, unavailable, offers, askedAs, problems }
}
