export { answerFreshness, RAW_FOR_THE_VULNERABLE } from './answerFreshness.ts'
export { listSigns } from './readSigns.ts'
