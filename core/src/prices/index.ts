export { computePerKg } from './perKg.ts'
export { createPriceBook, type OfferQuotes, type PriceBook } from './priceBook.ts'
export { convertSeries, mergeSeries, readSeries, splitQuotes, type PriceSeries, type QuoteKind } from './series.ts'
export {
  findDay,
  gatherQuotes,
  layEndToEnd,
  listQuotes,
  sliceQuotes,
  sortQuotes,
  type Quotes,
  type QuoteSource,
  type SeriesQuote,
} from './quotes.ts'
export { estimatePrice, type PriceEstimate } from './estimatePrice.ts'
export { gatherGroupMoves, STILL_GROUP, type GroupMove } from './groupMove.ts'
export { type PriceQuote } from './priceDays.ts'
export { findUsualPrice } from './findUsualPrice.ts'
export { gatherDays } from './priceDays.ts'
