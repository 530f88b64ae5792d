export { nextDay, useServeAgain } from './useServeAgain.ts'
