import type { Brief, MissingReason, Problem, Result, StandIns } from '@tender-gill/contract'
import { nameQuestion, useAnswer, useSheet, type Answer } from '../../engine/index.ts'

export interface Missing {
  readonly species: string
  readonly offerId?: string | undefined
  readonly because?: MissingReason | undefined
}

/** Stand-ins for a fish in a dish, a moment after the dish came to rest. */
export function useStandIns(brief: Brief, missing: Missing | undefined): Answer<Result<StandIns, readonly Problem[]>> | undefined {
  const sheet = useSheet(brief.date)
  const key = missing ? nameQuestion([missing, brief]) : null
  return useAnswer(
    sheet,
    key,
    async (desk) =>
      await desk.standIns({
        ...brief,
        missing: missing?.species ?? '',
        ...(missing?.offerId ? { missingOffer: missing.offerId } : {}),
        ...(missing?.because ? { because: missing.because } : {}),
      }),
    200,
  )
}
