export { computeUptake } from './diffusion.ts'
export { findWindows } from './findWindows.ts'
