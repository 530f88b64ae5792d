export { computePerKg } from './perKg.ts'
export { createPriceBook, type OfferQuotes, type PriceBook } from './priceBook.ts'
export {
  convertSeries,
  gatherSeries,
  mergeSeries,
  readSeries,
  splitQuotes,
  type PriceSeries,
  type QuoteKind,
  type QuoteSource,
  type SeriesDay,
  type SeriesQuote,
} from './series.ts'
export { estimatePrice, type PriceEstimate } from './estimatePrice.ts'
export { gatherGroupMoves, STILL_GROUP, type GroupMove } from './groupMove.ts'
export { type PriceQuote } from './priceDays.ts'
export { findUsualPrice } from './findUsualPrice.ts'
