export { referenceDesirability, referenceFit } from './referenceFit.ts'
export { referenceRanks } from './referenceRanks.ts'
