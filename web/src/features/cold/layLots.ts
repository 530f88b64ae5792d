import type { Lot, LotInput, LotRecord } from '@tender-gill/contract'
import type { Outbox } from '../../outbox/index.ts'

/** A lot as it stands here: as the kitchen keeps it, or as it was written down and still waits to be sent. */
export interface StandingLot {
  readonly id: string
  readonly revision: number
  readonly lot: Lot
}

/** The lots of the kitchen with what waits to be sent laid over them. */
export function layLots(kept: readonly LotRecord[], waiting: Outbox): readonly StandingLot[] {
  const standing = new Map<string, StandingLot>(kept.map(({ id, revision, lot }) => [id, { id, revision, lot }]))
  for (const { command, arg, state } of waiting) {
    if (state === 'refused') continue
    if (command === 'createLot') {
      const { id = '', lot } = arg as LotInput
      standing.set(id, { id, revision: 1, lot })
    }
    if (command === 'removeLot') standing.delete((arg as unknown as { id: string }).id)
    if (command === 'saveLot') {
      const { id, revision, input } = arg as unknown as { id: string; revision: number; input: LotInput }
      standing.set(id, { id, revision: revision + 1, lot: input.lot })
    }
  }
  return [...standing.values()]
}
