export { compareLineUps } from './compareLineUps.ts'
