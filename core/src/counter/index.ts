export { findBetterBuy, type BetterBuy } from './findBetterBuy.ts'
export { judgeAsked, PRICE_VERDICTS, type AskedPrice, type JudgedPrice, type PriceVerdict } from './judgeAsked.ts'
