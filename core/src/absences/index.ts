export { assignRungs, type RungAssignment, type RungOption } from './assignRungs.ts'
export { markAbsent, planAbsence, stepAbsencePlan } from './planAbsence.ts'
