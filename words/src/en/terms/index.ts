import type { Terms } from '../../terms.ts'
import { KITCHEN_TERMS } from './kitchen.ts'
import { SCALE_TERMS } from './scales.ts'
import { SIGN_TERMS } from './signs.ts'
import { TRADE_TERMS } from './trade.ts'

/** The words of the trade in English. */
export const EN_TERMS: Terms = { ...SCALE_TERMS, ...TRADE_TERMS, ...SIGN_TERMS, ...KITCHEN_TERMS }
