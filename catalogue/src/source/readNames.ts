import { readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import type { SourceSpecies } from '@tender-gill/contract'
import { parse } from 'yaml'
import { SpeciesFileError } from './readSpeciesFiles.ts'

/** What each species is sold as in one tongue, by scientific name. */
type NamesOfTongue = Readonly<Record<string, string[]>>

function readTongue(folder: string, file: string): NamesOfTongue {
  const rows: unknown = parse(readFileSync(join(folder, file), 'utf8'))
  if (typeof rows !== 'object' || rows === null) throw new SpeciesFileError(`${file}: must name species`)
  for (const [species, names] of Object.entries(rows))
    if (!Array.isArray(names) || names.length === 0 || names.some((name) => typeof name !== 'string' || name.trim() === ''))
      throw new SpeciesFileError(`${file}: ${species}: must be a list of names`)
  return rows as NamesOfTongue
}

/**
 * Lays the names of a folder, a file for each tongue, over species that name themselves: the species' own come first, none stands twice.
 * @throws SpeciesFileError naming file and species, where a name is of no species
 */
export function addNames(species: readonly SourceSpecies[], folder: string): readonly SourceSpecies[] {
  const known = new Set(species.map(({ scientific }) => scientific))
  const tongues = readdirSync(folder)
    .filter((file) => file.endsWith('.yaml'))
    .sort()
    .map((file) => ({ tongue: file.slice(0, -'.yaml'.length), names: readTongue(folder, file), file }))
  for (const { names, file } of tongues)
    for (const name of Object.keys(names)) if (!known.has(name)) throw new SpeciesFileError(`${file}: no species is called ${name}`)
  return species.map((one) => {
    const added = tongues.flatMap(({ tongue, names }): (readonly [string, string[]])[] => {
      const more = names[one.scientific]
      return more ? [[tongue, [...new Set([...(one.names[tongue] ?? []), ...more])]] as const] : []
    })
    return { ...one, names: { ...one.names, ...Object.fromEntries(added) } }
  })
}
