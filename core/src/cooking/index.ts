export { compareByDepth, computeDepthMm, cookFish, depthTells } from './cookFish.ts'
