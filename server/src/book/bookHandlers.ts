import { SourceSpecies, type SpeciesImportReport } from '@tender-gill/contract'
import { randomUUID } from 'node:crypto'
import type { Compute } from '../compute/index.ts'
import type { Database } from '../database/openDatabase.ts'
import { asFile, asPackedJson } from '../http/answered.ts'
import { notFound } from '../http/errors.ts'
import type { HandlersOf } from '../http/serveOperations.ts'
import { houseSpeciesMapping } from '../records/mappings.ts'
import { createRecordRepository } from '../records/recordRepository.ts'
import { keepRows, takeBack } from './speciesImport.ts'

interface Deps {
  readonly db: Database
  readonly now: () => Date
  readonly compute: Compute
}

/** The species book: every entry as the kitchen has it, what stands in the files behind it, in and out as files. */
export function createBookHandlers({
  db,
  now,
  compute,
}: Deps): HandlersOf<
  'speciesSheets' | 'speciesSheet' | 'speciesSource' | 'speciesSchema' | 'exportSpecies' | 'importSpecies' | 'undoImport'
> {
  const hand = createRecordRepository(db, now, houseSpeciesMapping)
  return {
    speciesSheets: async ({ kitchen, signal }) => asPackedJson(await compute.ask('speciesSheets', kitchen, null, signal)),
    speciesSheet: ({ kitchen, params, signal }) => compute.ask('speciesSheet', kitchen, params, signal),
    /** What stands written under a name; nothing where the name is no species. */
    speciesSource: async ({ kitchen, params, signal }) => {
      const { accepted, shipped } = await compute.ask('shippedSource', kitchen, params, signal)
      const own = (await hand.list(kitchen.id)).find(({ source }) => source.scientific === accepted)
      return { shipped, house: own ?? null }
    },
    speciesSchema: () => ({ $schema: 'https://json-schema.org/draft/2020-12/schema', ...SourceSpecies }),
    exportSpecies: async ({ kitchen, query, signal }) => {
      const format = query.format ?? 'json'
      const only = query.what === 'house' ? (await hand.list(kitchen.id)).map(({ source }) => source) : null
      const text = await compute.ask('exportBook', kitchen, { format, only }, signal)
      return asFile(`species.${format}`, format === 'csv' ? 'text/csv' : 'application/json', text)
    },
    importSpecies: async ({ kitchen, input, signal }) => {
      const { rows, good, bad, same } = await compute.ask('readSpeciesFile', kitchen, input, signal)
      const report: SpeciesImportReport = { rows, good: good.length, kept: 0, same, bad: [...bad], importId: null }
      const keeps = good.length > 0 && (input.keep === 'good' || (input.keep === 'all' && bad.length === 0))
      if (!keeps) return report
      return async (tx) => {
        const importId = randomUUID()
        await keepRows({ db: tx, now }, kitchen.id, good, importId)
        return { ...report, kept: good.length - same, importId }
      }
    },
    undoImport:
      async ({ kitchen, params }) =>
      async (tx) => {
        const changed = await takeBack({ db: tx, now }, kitchen.id, params.id)
        if (changed === 0) throw notFound('No such import, or it was taken back already')
        return { changed }
      },
  }
}
