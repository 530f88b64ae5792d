export { findForms, type Candidate } from './candidates.ts'
export { computeFilletDepthMm, computeSteakG } from './depth.ts'
export { isMarketKey, readBones, readTrait } from './readTrait.ts'
