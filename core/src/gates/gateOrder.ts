import type { Gate } from '@tender-gill/contract'
import { ASK_ORDER } from '../tables/askOrder.ts'
import { STRUCTURAL_ORDER } from './findGates.ts'

/** Every gate once, in the order in which they are tested and told: what no score changes, then musts, then the budget. */
export const GATE_ORDER: readonly Gate[] = [...new Set<Gate>([...STRUCTURAL_ORDER, ...ASK_ORDER, 'price-unknown', 'budget'])]
