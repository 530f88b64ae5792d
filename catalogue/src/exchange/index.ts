export { exportSpecies } from './exportSpecies.ts'
export { importSpecies, type BadRow, type ImportedSpecies, type ImportResult } from './importSpecies.ts'
