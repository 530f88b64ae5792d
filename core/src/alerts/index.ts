export { stepAlerts, type DecidedDish } from './findAlerts.ts'
