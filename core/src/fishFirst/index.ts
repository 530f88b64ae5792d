export { answerFishFirst } from './answerFishFirst.ts'
