export { applyMarket, applyPrices, type MarketDay } from './applyMarket.ts'
export { keepOffered, type ChosenSheet } from './keepOffered.ts'
export { applyCondition, interpolateYear, isClosed, midMonth, monthsAway, monthsByNearness, resolveSeason } from './season.ts'
export { computeStockStanding, scoreBiomass, scorePressure } from './stock.ts'
