export { findForms, type Candidate } from './candidates.ts'
export { computeFilletDepthMm, computeSteakG } from './depth.ts'
export { isMarketKey, readBones, readColour, readTrait } from './readTrait.ts'
export { ALL_KINDS, kindOf } from './kind.ts'
