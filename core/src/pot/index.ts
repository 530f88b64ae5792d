export { answerPot, planPot, type PotOptions } from './planPot.ts'
export { listRoles, type Role } from './roles.ts'
