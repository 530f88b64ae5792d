export { answerLearn } from './answerLearn.ts'
