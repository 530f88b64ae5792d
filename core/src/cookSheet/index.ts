export { answerCook, cookInstead, cutThicknessMm, type CookedInstead } from './answerCook.ts'
export { clockBefore } from './schedule.ts'
