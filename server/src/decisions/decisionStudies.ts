import type { Brief, Choice, DecisionRerun, LineUp, OfferSheet, TakenFish, Untold } from '@tender-gill/contract'
import { compareLineUps, createBoard, ENGINE_VERSION, keepOffered, listTaken, stepBoard } from '@tender-gill/core'
import type { Study } from '../compute/study.ts'
import { notFound, refuse } from '../http/errors.ts'
import { unwrap } from '../http/parseInput.ts'
import { packContents, type PackedContents } from './contents.ts'
import { SHEET_DAYS, type DecisionInputs, type PreparedDecision } from './decisionRepository.ts'

/** A dish with the fish to take for it. */
export interface Taking {
  readonly servingId: string
  readonly brief: Brief
  readonly choice: Choice
  readonly note: string | null
  /** Whether the line-up behind it is that of what can be bought. */
  readonly onlyOffered: boolean
}

const packedSheets = new WeakMap<OfferSheet, Promise<PackedContents>>()
function packSheet(sheet: OfferSheet): Promise<PackedContents> {
  const ready = packedSheets.get(sheet) ?? packContents(sheet)
  packedSheets.set(sheet, ready)
  return ready
}

/** What of a sheet can be bought, where the fish taken is among it; else all of it. */
function cutDown(sheet: OfferSheet, offerId: string, onlyOffered: boolean): OfferSheet {
  if (!onlyOffered) return sheet
  const offered = keepOffered(sheet)
  return offered.offers.some(({ id }) => id === offerId) ? offered : sheet
}

const rank = (brief: Brief, sheet: OfferSheet, today: string): Generator<unknown, Untold<LineUp>> =>
  stepBoard(unwrap(createBoard(brief, sheet, today)), sheet, {})

/** The whole line-up behind taking a fish, in steps; then packed with all it was worked out from. */
export function* stepDecision(
  { servingId, brief, choice, note, onlyOffered }: Taking,
  sheet: OfferSheet,
  today: string,
): Generator<unknown, Promise<PreparedDecision>> {
  const judged = cutDown(sheet, choice.offerId, onlyOffered)
  const output = yield* rank(brief, judged, today)
  const at = output.ranked.findIndex(({ species }) => species === choice.species)
  const taken = output.ranked.find(({ offerId }) => offerId === choice.offerId)
  const nameOf = ({ offerId, species }: TakenFish) => sheet.offers.find(({ id }) => id === offerId)?.common ?? species
  return (async () => {
    const packed = await packSheet(sheet)
    const inputs: DecisionInputs = {
      ...{ brief, normalised: output.brief, today, engineVersion: output.engineVersion, sheetHash: packed.hash },
      ...(judged === sheet ? {} : { onlyOffered: true as const }),
    }
    return {
      ...{ servingId, dish: brief.dish, choice, note, place: at < 0 ? null : at + 1, fit: output.ranked[at]?.fit ?? null },
      common: nameOf(choice),
      beside: choice.beside?.map(nameOf) ?? null,
      leader: output.ranked[0]?.species ?? null,
      portionCost: taken?.portionCost ?? null,
      engineVersion: output.engineVersion,
      snapshot: output.snapshot,
      sheet: packed,
      inputs: await packContents(inputs),
      output: await packContents(output),
    }
  })()
}

const prepareDecision: Study<Taking, Promise<PreparedDecision>> = async (desk, kitchen, taking) => {
  const sheet = (await desk.openSheets(kitchen)).sheetOf(taking.brief)
  const problems = listTaken(taking.choice).flatMap(({ species, offerId }, at) => {
    const known = sheet.offers.some((offer) => offer.id === offerId && offer.species === species)
    return known ? [] : [{ path: at === 0 ? '/offerId' : `/beside/${at - 1}/offerId`, message: `no offer "${offerId}" of ${species}` }]
  })
  if (problems.length > 0) throw refuse(problems)
  return stepDecision(taking, sheet, kitchen.today)
}

const rerunDecision: Study<{ readonly id: string }, DecisionRerun> = async (desk, kitchen, { id }) => {
  const decision = await desk.decisions.find(kitchen.id, id)
  if (!decision) throw notFound('No such decision')
  const inputs = await desk.decisions.readInputs(kitchen.id, decision)
  const then = await desk.decisions.readOutput(kitchen.id, decision)
  const sheet = await desk.decisions.findSheet(kitchen.id, inputs)
  if (!sheet) throw notFound(`The offers behind a decision are kept for ${SHEET_DAYS} days. It can be read as it was, and not be run again`)
  // The dish as it is kept now; as it was decided when it has been taken away since.
  const brief = (await desk.servings.find(kitchen.id, decision.servingId))?.brief ?? inputs.brief
  const sheetNow = (await desk.openSheets(kitchen)).sheetOf(brief)
  return (function* (): Generator<unknown, DecisionRerun> {
    const only = inputs.onlyOffered === true
    const same = yield* rank(inputs.brief, cutDown(sheet, decision.offerId, only), inputs.today)
    const current = yield* rank(brief, cutDown(sheetNow, decision.offerId, only), kitchen.today)
    return {
      engineThen: decision.engineVersion,
      engineNow: ENGINE_VERSION,
      sameInputs: compareLineUps(then, same, decision),
      todaysInputs: compareLineUps(then, current, decision),
    }
  })()
}

export const decisionStudies = { prepareDecision, rerunDecision }
