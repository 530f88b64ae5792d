export { planPot, type Pot, type PotOptions, type PotPlace, type PotPlan } from './planPot.ts'
export { listRoles, type Role } from './roles.ts'
