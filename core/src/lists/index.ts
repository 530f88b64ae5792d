export { groupBy } from './groupBy.ts'
