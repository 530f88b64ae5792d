export { dominates, findEfficient, type Worth } from './findEfficient.ts'
