export { readTable, type Line, type Table, type TableLimits } from './readTable.ts'
export { writeTable } from './writeTable.ts'
