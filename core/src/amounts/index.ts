export { computePortionCost, creditTrimPerKg, findPrice } from './computePortionCost.ts'
export { computePortionToBuyG, computeRawPortionG, computeWeightToBuyG, countPortions, weightFromYields } from './computeWeightToBuy.ts'
export {
  computeCookingYield,
  computeCutShare,
  computeFormYield,
  computeUsableTrimShare,
  computeYields,
  findCutForm,
  type Yields,
} from './yields.ts'
