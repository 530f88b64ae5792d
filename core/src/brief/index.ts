export { hidesTheFish } from './hidesTheFish.ts'
export { countVulnerable } from './checkBrief.ts'
export { createFindSpecies, type FindSpecies } from './nameIndex.ts'
export { normaliseBrief, type NormaliseOptions } from './normaliseBrief.ts'
