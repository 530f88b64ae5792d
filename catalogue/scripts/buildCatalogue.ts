/** Reads catalogue/species, checks it, lays measured composition over it and writes dist/book.json with its hash, and dist/sources.json. */
import { createHash } from 'node:crypto'
import { mkdirSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { expandSpecies } from '../src/expand/expandSpecies.ts'
import { readMeasured } from '../src/measured/readMeasured.ts'
import { checkSpecies } from '../src/source/checkSpecies.ts'
import { addNames } from '../src/source/readNames.ts'
import { readSpeciesFiles } from '../src/source/readSpeciesFiles.ts'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))
const sources = addNames(readSpeciesFiles(here('../species')), here('../names'))
const measured = readMeasured()
const mistakes = [
  ...checkSpecies(sources),
  ...sources
    .filter(({ ifct }) => ifct && !measured[ifct])
    .map(({ scientific, ifct }) => `${scientific}: the tables have no row ${ifct ?? ''}`),
]
if (mistakes.length > 0) {
  console.error(mistakes.join('\n'))
  process.exit(1)
}
const species = sources.map((source) =>
  expandSpecies(source, { measured: source.ifct ? (measured[source.ifct] ?? []) : [], shipped: source }),
)
const snapshot = createHash('sha256').update(JSON.stringify(species)).digest('hex').slice(0, 16)
mkdirSync(here('../dist'), { recursive: true })
writeFileSync(here('../dist/sources.json'), JSON.stringify({ sources, measured }))
writeFileSync(here('../dist/book.json'), JSON.stringify({ snapshot, species }))
console.error(`book ${snapshot}: ${species.length} species, ${species.reduce((n, { offers }) => n + offers.length, 0)} offers`)
