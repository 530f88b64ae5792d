export { useDecide } from './useDecide.ts'
