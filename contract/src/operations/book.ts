import { command, question } from './operation.ts'
import { recordOperations } from './recordOperations.ts'

/** The species as the kitchen has them: the shipped book with the house's hand over it, in and out as files. */
export const book = {
  speciesSheets: question({
    method: 'GET',
    path: '/species',
    scope: 'verb',
    summary: 'Every species of the book',
    output: 'SpeciesSheet',
    many: true,
    reads: ['species'],
  }),
  speciesSheet: question({
    method: 'GET',
    path: '/species/{name}',
    scope: 'verb',
    summary: 'One species by scientific name',
    output: 'SpeciesSheet',
    reads: ['species'],
  }),
  speciesSource: question({
    method: 'GET',
    path: '/species/{name}/source',
    summary: 'One species as it is written: in the shipped book, and in the house’s hand',
    output: 'SpeciesSource',
    reads: ['species'],
  }),
  ...recordOperations('houseSpecies', 'houseSpeciesList', {
    path: 'house-species',
    what: 'species in the house’s hand',
    entity: 'species',
    permission: 'book',
    input: 'HouseSpeciesInput',
    record: 'HouseSpeciesRecord',
  }),
  speciesSchema: question({
    method: 'GET',
    path: '/species-schema',
    scope: 'everyone',
    summary: 'JSON Schema of a species file',
    output: 'AnySchema',
  }),
  exportSpecies: question({
    method: 'GET',
    path: '/species-export',
    summary: 'Species as a file',
    query: { format: ['json', 'csv'], what: ['all', 'house'] },
    output: 'FileText',
    reads: ['species'],
  }),
  importSpecies: command({
    method: 'POST',
    path: '/species-import',
    summary: 'Bring a file of species in',
    permission: 'book',
    input: 'SpeciesImport',
    output: 'SpeciesImportReport',
    file: true,
    study: true,
    touches: ['species'],
  }),
  undoImport: command({
    method: 'POST',
    path: '/species-import/{id}/undo',
    summary: 'Take an import back',
    permission: 'book',
    output: 'Changed',
    touches: ['species'],
  }),
}
