export { countSwaps, groupOfMethod, type CountedSwap } from './countSwaps.ts'
export { findSwap, learnAlike } from './learnAlike.ts'
