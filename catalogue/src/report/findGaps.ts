import type { SourceSpecies, SpeciesSheet } from '@tender-gill/contract'
import { isFarApart } from '../expand/basis.ts'

/** Something usually known that an entry does not give, and why, where it says. */
export interface Gap {
  readonly species: string
  readonly field: string
  /** Null for a gap nobody has explained. */
  readonly reason: string | null
}

const LEAST_NOTES = 2
const LEAST_LANGUAGES = 2

const EXPECTED: readonly (readonly [field: string, holds: (species: SourceSpecies) => boolean])[] = [
  ['spawning', ({ spawning }) => spawning !== undefined],
  ['notes', ({ notes }) => notes.length >= LEAST_NOTES],
  ['names.en', ({ names }) => names.en !== undefined],
  ['names', ({ names }) => Object.keys(names).length >= LEAST_LANGUAGES],
  ['pinBones', ({ pinBones = 'drawn', bones }) => pinBones !== 'drawn' || bones.pinned !== undefined],
  ['spines', ({ venom, spines }) => !venom || spines !== undefined],
]

/** What each entry leaves unsaid. */
export const findGaps = (sources: readonly SourceSpecies[]): readonly Gap[] =>
  sources.flatMap((source) =>
    EXPECTED.filter(([, holds]) => !holds(source)).map(([field]) => ({
      species: source.scientific,
      field,
      reason: source.gaps?.[field] ?? null,
    })),
  )

/** A table's fat that is far from the compiled one, so that the compiled one stands and both are shown. */
export interface FarApart {
  readonly species: string
  readonly measuredG: number
  readonly compiledG: number
  readonly reason: string | null
}

/** Fish whose measured fat was too far from the compiled one to take its place. */
export function findFarApart(sheets: readonly SpeciesSheet[]): readonly FarApart[] {
  return sheets.flatMap(({ species, measured, measuredDiffers, offers }) => {
    const fat = measured.find(({ trait }) => trait === 'fatG')
    if (!fat || offers.some(({ traits }) => traits.fat.basis === 'measured')) return []
    const compiledG = offers[0]?.traits.fat.typical ?? 0
    return isFarApart(fat.per100G, compiledG) || measuredDiffers
      ? [{ species, measuredG: fat.per100G, compiledG, reason: measuredDiffers }]
      : []
  })
}
