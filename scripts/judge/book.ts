/** The shipped book on a fixed day, and how an answer of the engine is read from it: what judging asks of. */
import { createOfferSheet } from '@tender-gill/catalogue'
import type { Brief, StandInsRequest } from '@tender-gill/contract'
import { parseBrief, parseStandInsRequest } from '@tender-gill/contract/validators'
import { createFindSpecies, findStandIns, rankLineUp } from '@tender-gill/core'
import { createWords } from '@tender-gill/words'

const today = '2026-06-13'
const sheet = createOfferSheet(today)
const { tell } = createWords()
export const findSpecies = createFindSpecies(sheet.offers)

function refuse(problems: readonly { readonly path: string; readonly message: string }[]): never {
  throw new Error(problems.map(({ path, message }) => `${path} ${message}`).join('; '))
}

/** The line-up of a brief over the whole book, its exact order. @throws Error naming the places of what is refused */
export function lineUp(brief: unknown) {
  const parsed = parseBrief(brief)
  if (!parsed.ok) return refuse(parsed.error)
  const answer = tell(rankLineUp(parsed.value as Brief, sheet, { today, shares: false }))
  return answer.ok ? answer.value : refuse(answer.error)
}

/** Who stands in, over the whole book. @throws Error naming the places of what is refused */
export function standIns(request: unknown) {
  const parsed = parseStandInsRequest(request)
  if (!parsed.ok) return refuse(parsed.error)
  const answer = tell(findStandIns(parsed.value as StandInsRequest, sheet, { today }))
  return answer.ok ? answer.value : refuse(answer.error)
}
