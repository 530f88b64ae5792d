export { computePortionCost, findPrice } from './computePortionCost.ts'
export { computePortionToBuyG, computeRawPortionG, computeWeightToBuyG, countPortions, weightFromYields } from './computeWeightToBuy.ts'
export { planAmount, type Amount } from './planAmount.ts'
export { computeCookingYield, computeCutShare, computeFormYield, computeYields, type Yields } from './yields.ts'
