export { answerAmounts } from './answerAmounts.ts'
export { computeKept, listFactors, type Factor, type KeptShare } from './keptShare.ts'
export { computeShortChance, computeWeightForRiskG, countFed, countFishToCut, piecesOf } from './risk.ts'
export { splitRest } from './restOfFish.ts'
