import type { SourceSpecies } from '@tender-gill/contract'
import mergePatch from 'json-merge-patch'

// Of a species of the book a house keeps only what differs from it (a JSON merge patch, RFC 7396), so that a newer book still speaks where the
// house said nothing; one of its own it keeps whole.

/** What differs between the book's entry and the house's; null when nothing does. */
export function toPatch(source: SourceSpecies, shipped: SourceSpecies | undefined): unknown {
  return shipped ? (mergePatch.generate(shipped, source) ?? null) : source
}

const copy = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T

/** The entry as the house has it. */
export function fromPatch(patch: unknown, shipped: SourceSpecies | undefined): SourceSpecies {
  if (!shipped) return patch as SourceSpecies
  return patch === null ? shipped : (mergePatch.apply(copy(shipped), copy(patch) as object) as unknown as SourceSpecies)
}
