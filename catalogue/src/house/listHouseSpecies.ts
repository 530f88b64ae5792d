import type { SourceSpecies, SpeciesSheet } from '@tender-gill/contract'
import { listSpecies } from '../book.ts'
import { expandSpecies } from '../expand/expandSpecies.ts'
import { findMeasured, findShipped, listSources } from '../sources.ts'

/** One species in the house's hand: as the house has it, and whether it is kept out of sight. */
export interface HouseSpecies {
  readonly source: SourceSpecies
  readonly hidden: boolean
}

/** A sheet of the shipped book where nothing but its being seen is the house's. */
const hideShipped = (sheet: SpeciesSheet, hidden: boolean): SpeciesSheet =>
  hidden ? { ...sheet, hidden, offers: sheet.offers.map((offer) => ({ ...offer, hidden })) } : sheet

let shippedSheets: ReadonlyMap<string, SpeciesSheet> | undefined
/** The shipped sheets by scientific name. */
const mapShipped = () => (shippedSheets ??= new Map(listSpecies().map((sheet) => [sheet.species, sheet])))

/** One species as a house has it: the book's, the book's with the house's hand on it, or the house's own. */
export function expandHouseSpecies({ source, hidden }: HouseSpecies): SpeciesSheet {
  const shipped = findShipped(source.scientific)
  const sheet = source === shipped ? mapShipped().get(source.scientific) : undefined
  return sheet ? hideShipped(sheet, hidden) : expandSpecies(source, { measured: findMeasured(source.ifct), shipped, hidden })
}

const byName = (a: string, b: string) => (a < b ? -1 : 1)

/** The book as a house sees it, by scientific name: its hand laid over the shipped entries, its own species among them. */
export function listHouseSpecies(hand: readonly HouseSpecies[]): readonly SpeciesSheet[] {
  if (hand.length === 0) return listSpecies()
  const sheets = new Map(mapShipped())
  for (const one of hand) sheets.set(one.source.scientific, expandHouseSpecies(one))
  return [...sheets.values()].sort((a, b) => byName(a.species, b.species))
}

/** The entries behind it, as they would be written in a file. */
export function listHouseSources(hand: readonly HouseSpecies[]): readonly SourceSpecies[] {
  const sources = new Map(listSources().map((source) => [source.scientific, source]))
  for (const { source } of hand) sources.set(source.scientific, source)
  return [...sources.values()].sort((a, b) => byName(a.scientific, b.scientific))
}
