export { nameMedium, sayMinutes, sayRange, sayStage } from './cookWords.ts'
