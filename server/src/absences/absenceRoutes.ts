import { Router, type Response } from 'express'
import type { Absence, AbsenceInput, AbsenceMove, Brief, BriefInput, BriefRecord, Choice, Problem } from '@tender-gill/contract'
import { parseAbsenceInput, parseAbsencePlanRequest } from '@tender-gill/contract/validators'
import { createBoard, describeDay, markAbsent, stepAbsencePlan, stepBoard, type Board, addDays } from '@tender-gill/core'
import { answerInSlices, runInSlices } from '../answers/runInSlices.ts'
import { RequestFailure, notFound } from '../http/errors.ts'
import { unwrap } from '../http/parseInput.ts'
import { kitchenOf } from '../kitchens/currentKitchen.ts'
import type { RecordRepository } from '../records/recordRepository.ts'
import type { KitchenSheets, OpenSheets } from '../sheets/kitchenSheets.ts'
import { DishChanged, type AbsenceRepository, type PreparedMove } from './absenceRepository.ts'

interface AbsenceDeps {
  readonly absences: AbsenceRepository
  readonly briefs: RecordRepository<BriefInput, BriefRecord>
  readonly openSheets: OpenSheets
}

/** An absence that is over is still told this long: its dishes may want their fish back. */
const REMEMBERED_DAYS = 14

const refuse = (problems: readonly Problem[]) => new RequestFailure('invalid', 'See the places named', { problems })

/** Why a choice may not be made for a dish: it is not in the book, or a gate of the dish is closed to it. */
function checkChoice(board: Board, { offerId, species }: Choice): string | undefined {
  const entry = board.entries.find(({ candidate: { offer } }) => offer.id === offerId && offer.species === species)
  if (!entry) return `no offer "${offerId}" of ${species}`
  return entry.gates.length > 0 ? `${entry.candidate.offer.common} cannot do this dish (${entry.gates.join(', ')})` : undefined
}

/** Fish a whole kitchen does without for some days: planned, confirmed with every dish it moves, ended, taken back. */
export function createAbsenceRoutes({ absences, briefs, openSheets }: AbsenceDeps): Router {
  const router = Router()
  const open = (res: Response): Promise<KitchenSheets> => openSheets(kitchenOf(res).id, kitchenOf(res).today)

  /** The line-up that stands behind a change of fish, on the sheet it is made from. */
  const prepare = async (
    record: BriefRecord,
    { before, after }: { before: Choice; after: Choice },
    lay: (brief: Brief) => ReturnType<KitchenSheets['sheetOf']>,
    res: Response,
  ): Promise<PreparedMove> => {
    const { id: briefId, revision, brief } = record
    const sheet = lay(brief)
    const board = unwrap(createBoard(brief, sheet, kitchenOf(res).today))
    const common = sheet.offers.find(({ id }) => id === after.offerId)?.common ?? after.species
    return { briefId, revision, brief, before, after, common, sheet, output: await runInSlices(stepBoard(board, sheet, {}), res) }
  }

  /** Every move with its line-up, or a refusal that names the places. */
  const prepareMoves = async (input: AbsenceInput, sheets: KitchenSheets, res: Response): Promise<readonly PreparedMove[]> => {
    const { id: kitchenId, today } = kitchenOf(res)
    const lay = (brief: Brief) => markAbsent(sheets.sheetOf(brief), input)
    const problems: Problem[] = []
    const found: { record: BriefRecord; move: AbsenceMove; before: Choice }[] = []
    for (const [i, move] of input.moves.entries()) {
      const record = await briefs.find(kitchenId, move.briefId)
      if (!record?.choice) {
        problems.push({ path: `/moves/${i}/briefId`, message: record ? 'no fish is taken for this dish' : 'no such dish' })
        continue
      }
      const wrong = checkChoice(unwrap(createBoard(record.brief, lay(record.brief), today)), move.choice)
      if (wrong) problems.push({ path: `/moves/${i}/choice`, message: wrong })
      if (record.revision !== move.revision)
        throw new RequestFailure('conflict', `“${record.brief.dish}” was changed since the plan was made. Nothing was moved.`, {
          current: record,
        })
      found.push({ record, move, before: record.choice })
    }
    if (problems.length > 0) throw refuse(problems)
    const prepared: PreparedMove[] = []
    for (const { record, move, before } of found) prepared.push(await prepare(record, { before, after: move.choice }, lay, res))
    return prepared
  }

  router.get('/absences', async (_req, res) => {
    const { id, today } = kitchenOf(res)
    res.json(await absences.listStanding(id, addDays(today, -REMEMBERED_DAYS)))
  })
  router.post('/absences/plan', async (req, res) => {
    const { id, today } = kitchenOf(res)
    const request = unwrap(parseAbsencePlanRequest(req.body))
    const { sheetOf } = await open(res)
    const context = { today, dishes: await briefs.list(id), sheetOf }
    await answerInSlices(stepAbsencePlan(request, context), res, (plan) => res.json(unwrap(plan)))
  })
  router.post('/absences', async (req, res) => {
    const { id: kitchenId, today } = kitchenOf(res)
    const input = unwrap(parseAbsenceInput(req.body))
    const sheets = await open(res)
    const species = sheets.book.findSpecies(input.species)
    const offer = sheets.book.offers.find((one) => one.species === species && (input.offerId === null || one.id === input.offerId))
    if (!offer)
      throw refuse([{ path: species ? '/offerId' : '/species', message: `no fish named "${input.offerId ?? input.species}" in the book` }])
    if (input.to < input.from) throw refuse([{ path: '/to', message: 'must not be before the first day' }])
    const named = { ...input, species: offer.species, common: offer.common }
    const moves = await prepareMoves(named, sheets, res)
    const note = `${offer.common} is missing until ${describeDay(input.to)}`
    try {
      const absence = await absences.mark(kitchenId, named, moves, { today, note })
      res.status(201).location(`/api/absences/${absence.id}`).json(absence)
    } catch (error) {
      if (!(error instanceof DishChanged)) throw error
      throw new RequestFailure('conflict', 'A dish was changed since the plan was made. Nothing was moved.', {
        current: await briefs.find(kitchenId, error.briefId),
      })
    }
  })
  router.post('/absences/:id/end', async (req, res) => {
    const absence = await absences.end(kitchenOf(res).id, req.params.id)
    if (!absence) throw notFound('No such absence, or it was taken back')
    res.json(absence)
  })
  router.post('/absences/:id/undo', async (req, res) => {
    const { id: kitchenId, today } = kitchenOf(res)
    const absence = await absences.find(kitchenId, req.params.id)
    if (!absence || absence.takenBackAt !== null) throw notFound('No such absence, or it was taken back')
    const prepared = await preparePutBack(absence, res)
    const undone = await absences.undo(kitchenId, absence.id, prepared, { today, note: `${absence.common} is there after all` })
    if (!undone) throw notFound('No such absence, or it was taken back')
    res.json(undone)
  })
  return router

  /** Dishes that still have the fish they were moved to, each with the line-up behind putting the former one back. */
  async function preparePutBack({ id, moves }: Absence, res: Response): Promise<readonly PreparedMove[]> {
    const { id: kitchenId, today } = kitchenOf(res)
    const standing = (await absences.listStanding(kitchenId)).filter((other) => other.id !== id)
    const sheets = await openSheets(kitchenId, today, standing)
    const prepared: PreparedMove[] = []
    for (const { briefId, before, after } of moves) {
      const record = await briefs.find(kitchenId, briefId)
      if (record && absences.sameChoice(record.choice, after))
        prepared.push(await prepare(record, { before: after, after: before }, sheets.sheetOf, res))
    }
    return prepared
  }
}
