export { hidesTheFish } from './hidesTheFish.ts'
export { countVulnerable } from './checkBrief.ts'
export { createFindSpecies, type FindSpecies } from './nameIndex.ts'
export { createNormalise, normaliseBrief, type Normalise, type NormaliseOptions } from './normaliseBrief.ts'
