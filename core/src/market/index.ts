export { applyMarket, type MarketDay } from './applyMarket.ts'
export { computePerKg, resolvePrice } from './price.ts'
export { applyCondition, dayOfYear, interpolateYear, isClosed, midMonth, monthsAway, monthsByNearness, resolveSeason } from './season.ts'
export { computeStockStanding, scoreBiomass, scorePressure } from './stock.ts'
