import { readFileSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import type { SourceSpecies } from '@tender-gill/contract'
import { parseSourceSpecies } from '@tender-gill/contract/validators'
import { parse } from 'yaml'

/** A mistake in a species file, named by file, species and place. */
export class SpeciesFileError extends Error {}

function readFile(folder: string, file: string): readonly SourceSpecies[] {
  const rows: unknown = parse(readFileSync(join(folder, file), 'utf8'))
  if (!Array.isArray(rows)) throw new SpeciesFileError(`${file}: must be a list of species`)
  return rows.map((row: unknown, i) => {
    const parsed = parseSourceSpecies(row)
    if (parsed.ok) return parsed.value
    const name = (row as { scientific?: string } | null)?.scientific ?? `entry ${i + 1}`
    throw new SpeciesFileError(parsed.error.map(({ path, message }) => `${file}: ${name}: ${path} ${message}`).join('\n'))
  })
}

/** Reads every species file of a folder, sorted by scientific name. @throws SpeciesFileError naming file, species and place */
export function readSpeciesFiles(folder: string): readonly SourceSpecies[] {
  const files = readdirSync(folder).filter((file) => file.endsWith('.yaml'))
  return files.flatMap((file) => readFile(folder, file)).sort((a, b) => (a.scientific < b.scientific ? -1 : 1))
}
