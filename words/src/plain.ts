/** Words and quantities without the sentences of the engine: what a page needs at once. */
export { termsOf } from './languages.ts'
export {
  formatBand,
  formatBound,
  formatExactMass,
  formatLength,
  formatMass,
  formatMassPrice,
  formatMassToBuy,
  formatMoney,
  formatMoneyRange,
  formatQuantity,
  formatTemperature,
  formatTrait,
  nameStep,
  toMassPrice,
} from './quantities.ts'
export { DEFAULT_READER, nameReader, readReader, type Reader } from './reader.ts'
export { nameDay, nameMonth, type Terms } from './terms.ts'
