import type { Problem, SourceSpecies, SpeciesImportReport } from '@tender-gill/contract'
import { parseSourceSpecies } from '@tender-gill/contract/validators'
import { findMistakes } from '../source/checkSpecies.ts'
import { readCsvRows } from './readCsvRows.ts'
import { readJsonRows } from './readJsonRows.ts'

export interface ImportedSpecies {
  readonly line: number
  readonly source: SourceSpecies
}
export type BadRow = SpeciesImportReport['bad'][number]
export interface ImportResult {
  readonly rows: number
  readonly good: readonly ImportedSpecies[]
  readonly bad: readonly BadRow[]
}

/** One row of a file before it is checked. */
export interface RawRow {
  readonly line: number
  readonly value: unknown
  /** What reading the row itself met. */
  readonly problem?: Problem
}
export interface RawFile {
  readonly rows: readonly RawRow[]
  /** How a place is named to the person who wrote the file. */
  readonly toPlace: (pointer: string) => string
}

const MOST_REASONS = 3
const nameOf = (value: unknown): string | null => {
  const name = (value as { scientific?: unknown } | null)?.scientific
  return typeof name === 'string' && name !== '' ? name.slice(0, 120) : null
}

function describeBad({ line, value }: RawRow, problems: readonly Problem[], toPlace: RawFile['toPlace']): BadRow {
  const reasons = problems.slice(0, MOST_REASONS).map(({ path, message }) => `${toPlace(path)} ${message}`.trim())
  const more = problems.length > MOST_REASONS ? `; and ${problems.length - MOST_REASONS} more` : ''
  return { line, species: nameOf(value), path: toPlace(problems[0]?.path ?? ''), message: `${reasons.join('; ')}${more}`.slice(0, 600) }
}

function checkRow({ value, problem }: RawRow, taken: Map<string, string>): SourceSpecies | readonly Problem[] {
  if (problem) return [problem]
  const parsed = parseSourceSpecies(value)
  if (!parsed.ok) return parsed.error
  const source = parsed.value
  const mistakes = findMistakes(source)
  if (mistakes.length > 0) return mistakes
  for (const name of [source.scientific, ...(source.synonyms ?? [])]) {
    const owner = taken.get(name)
    if (owner !== undefined && owner !== source.scientific)
      return [{ path: '/scientific', message: `the name ${name} belongs to ${owner}` }]
    if (owner === source.scientific && taken.get(`row ${name}`))
      return [{ path: '/scientific', message: `${name} stands in this file twice` }]
  }
  for (const name of [source.scientific, ...(source.synonyms ?? [])]) {
    taken.set(name, source.scientific)
    taken.set(`row ${name}`, 'seen')
  }
  return source
}

/**
 * Reads a file of species and checks each row as the book's own files are checked. Nothing is stored here.
 * @param known species that are already in the book, whose names no other may take
 */
export function importSpecies(text: string, format: 'json' | 'csv', known: readonly SourceSpecies[]): ImportResult {
  const byName = new Map(known.map((one) => [one.scientific, one]))
  const { rows, toPlace } = format === 'csv' ? readCsvRows(text, (name) => byName.get(name)) : readJsonRows(text)
  const taken = new Map(known.flatMap((one) => [one.scientific, ...(one.synonyms ?? [])].map((name) => [name, one.scientific] as const)))
  const good: ImportedSpecies[] = []
  const bad: BadRow[] = []
  for (const row of rows) {
    const checked = checkRow(row, taken)
    if ('scientific' in checked) good.push({ line: row.line, source: checked })
    else bad.push(describeBad(row, checked, toPlace))
  }
  return { rows: rows.length, good, bad }
}
