export { planRun, type Places, type RunClash, type RunDish, type RunPlace, type RunPlan, type RunRow, type RunTask } from './planRun.ts'
