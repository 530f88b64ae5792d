import type { Gate } from '@tender-gill/contract'
import { GATE_LABEL } from '../describe/index.ts'

/** Every gate once, in the order in which they are tested and told: the labels are kept in that order. */
export const GATE_ORDER: readonly Gate[] = Object.keys(GATE_LABEL) as Gate[]
