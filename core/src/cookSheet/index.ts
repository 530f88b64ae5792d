export { answerCook, cookInstead, type CookedInstead } from './answerCook.ts'
export { clockBefore } from './schedule.ts'
