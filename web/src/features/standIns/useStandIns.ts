import type { Brief, MissingReason, Problem, Result } from '@tender-gill/contract'
import { nameQuestion, useAnswer, useSheet, type Answer, type ShownStandIns } from '../../engine/index.ts'
import { useOnlyOffered } from '../../state/useOnlyOffered.ts'

export interface Missing {
  readonly species: string
  readonly offerId?: string | undefined
  readonly because?: MissingReason | undefined
}

/** Stand-ins for a fish in a dish, of what can be bought where the kitchen's switch says so, a moment after the dish came to rest. */
export function useStandIns(brief: Brief, missing: Missing | undefined): Answer<Result<ShownStandIns, readonly Problem[]>> | undefined {
  const sheet = useSheet(brief.date)
  const [only] = useOnlyOffered()
  const key = missing ? nameQuestion([missing, brief, only]) : null
  return useAnswer(
    sheet,
    key,
    async (desk) =>
      await desk.standIns(
        {
          ...brief,
          missing: missing?.species ?? '',
          ...(missing?.offerId ? { missingOffer: missing.offerId } : {}),
          ...(missing?.because ? { because: missing.because } : {}),
        },
        only,
      ),
    200,
  )
}
