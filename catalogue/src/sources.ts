import type { MeasuredRow, SourceSpecies } from '@tender-gill/contract'
import files from '../dist/sources.json' with { type: 'json' }

interface Files {
  readonly sources: readonly SourceSpecies[]
  readonly measured: Readonly<Record<string, readonly MeasuredRow[]>>
}
const { sources, measured } = files as unknown as Files
const byName = new Map(sources.map((source) => [source.scientific, source]))

/** Every species as it is written in the shipped files. */
export const listSources = (): readonly SourceSpecies[] => sources
/** The shipped entry of an accepted name. */
export const findShipped = (scientific: string): SourceSpecies | undefined => byName.get(scientific)
/** Figures of a row of the published tables; none for an unknown code. */
export const findMeasured = (code: string | undefined): readonly MeasuredRow[] => (code ? (measured[code] ?? []) : [])
