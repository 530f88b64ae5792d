export { answerCook } from './answerCook.ts'
export { clockBefore } from './schedule.ts'
