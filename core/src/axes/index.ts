export { clampToScale, fromAxis, toAxis } from './axis.ts'
export { computeDesirability, computeMiss, createMiss, desirabilityOfMiss, type Band } from './computeDesirability.ts'
