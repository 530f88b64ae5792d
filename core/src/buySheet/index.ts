export { stepBuySheet, writeBuySheet, type BuyContext, type BuyDays } from './writeBuySheet.ts'
export { findSeller, type Seller, type Trade } from './findSeller.ts'
export { readGrade } from './findQuotes.ts'
export { writeLine, writeMessage, writeMessages } from './writeMessage.ts'
