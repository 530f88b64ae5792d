export { PullDots } from './PullDots.tsx'
export { useLineUp } from './useLineUp.ts'
