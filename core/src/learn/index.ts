export { answerLearn } from './answerLearn.ts'
export { foldEvents, NOTHING_LEARNT, type Folded } from './foldEvents.ts'
export { layLearnt, layMerchants } from './layLearnt.ts'
export { learnSwaps } from './learnSwaps.ts'
