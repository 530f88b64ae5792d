import { exportSpecies, findShipped, importSpecies, listSources, toPatch, type ImportResult } from '@tender-gill/catalogue'
import type { HouseSpeciesInput, SpeciesImport, SpeciesSheet } from '@tender-gill/contract'
import { packJson } from '../compute/packJson.ts'
import type { Study } from '../compute/study.ts'
import { notFound } from '../http/errors.ts'

/** Every species of the book, packed for the way. */
const speciesSheets: Study<null, Uint8Array> = async (desk, kitchen) => packJson((await desk.books.read(kitchen.id)).sheets)

const speciesSheet: Study<{ readonly name: string }, SpeciesSheet> = async (desk, kitchen, { name }) => {
  const { sheets, findSpecies } = await desk.books.read(kitchen.id)
  const accepted = findSpecies(name)
  const found = sheets.find(({ species }) => species === accepted)
  if (!found) throw notFound(`No fish named "${name}" in the book`)
  return accepted === name ? found : { ...found, askedAs: name }
}

/** The accepted name of a species, and what the shipped book says of it. */
const shippedSource: Study<
  { readonly name: string },
  { readonly accepted: string | null; readonly shipped: HouseSpeciesInput['source'] | null }
> = async (desk, kitchen, { name }) => {
  const accepted = (await desk.books.read(kitchen.id)).findSpecies(name)
  return { accepted: accepted ?? null, shipped: accepted === undefined ? null : (findShipped(accepted) ?? null) }
}

interface ExportOrder {
  readonly format: 'json' | 'csv'
  /** Those of the house alone, else all. */
  readonly only: readonly HouseSpeciesInput['source'][] | null
}
const exportBook: Study<ExportOrder, string> = async (desk, kitchen, { format, only }) => {
  const all = (await desk.books.read(kitchen.id)).listSources()
  return exportSpecies(only ?? all, format, [...all, ...listSources()])
}

/** A file of species read and checked; of its good rows, those that say just what the book says. */
const readSpeciesFile: Study<SpeciesImport, ImportResult & { readonly same: number }> = async (desk, kitchen, { text, format }) => {
  const read = importSpecies(text, format, (await desk.books.read(kitchen.id)).listSources())
  return { ...read, same: read.good.filter(({ source }) => toPatch(source, findShipped(source.scientific)) === null).length }
}

export const bookStudies = { speciesSheets, speciesSheet, shippedSource, exportBook, readSpeciesFile }
