export { answerTurning, findTurningPoints, stepTurningPoints, type TurningOptions } from './findTurningPoints.ts'
