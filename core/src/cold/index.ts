export { computeDaysLeft, computeIceDays, computeSpoilageRate } from './keeping.ts'
