export { StandingAbsences } from './StandingAbsences.tsx'
export { absencePath } from './absenceParams.ts'
