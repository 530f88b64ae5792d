export { findCautions } from './findCautions.ts'
export { estimateMercury, isMercuryCounted, type MercuryEstimate } from './mercury.ts'
export { findRawRefusal, hasVulnerable, isServedRaw, type RawRefusal } from './rawSafety.ts'
export { listSafetyNotes } from './listSafetyNotes.ts'
