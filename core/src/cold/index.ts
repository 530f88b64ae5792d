export { answerCold, judgeHistamine, measureCold, sumIceDays, type ColdKept } from './answerCold.ts'
export { computeIceKg } from './computeIceKg.ts'
export { computeDaysLeft, computeIceDays, computeKeepingDays, computeSpoilageRate, passesHistamineLimit } from './keeping.ts'
