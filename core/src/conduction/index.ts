export { conduct } from './conduct.ts'
