import type {
  AbsenceInput,
  AbsencePlan,
  AbsencePlanRequest,
  ServingRecord,
  Choice,
  Kitchen,
  OfferSheet,
  Problem,
  TakenFish,
  Untold,
} from '@tender-gill/contract'
import { createBoard, listTaken, markAbsent, replaceTaken, stepAbsencePlan, type Board } from '@tender-gill/core'
import { nameDay, termsOf } from '@tender-gill/words'
import type { Desk } from '../compute/desk.ts'
import type { Study } from '../compute/study.ts'
import { stepDecision } from '../decisions/decisionStudies.ts'
import { RequestFailure, notFound, refuse } from '../http/errors.ts'
import { unwrap } from '../http/parseInput.ts'
import type { PreparedMove } from './absenceRepository.ts'

/** An absence under the fish's accepted name, with every move worked out. */
export interface PreparedAbsence {
  readonly named: AbsenceInput & { readonly common: string }
  readonly moves: readonly PreparedMove[]
}

interface Move {
  readonly record: ServingRecord
  readonly before: Choice
  readonly after: Choice
  readonly sheet: OfferSheet
}

const nameChoice = (choice: Choice): string =>
  listTaken(choice)
    .map(({ offerId, form }) => `${offerId} ${form}`)
    .join('|')
const sameChoice = (a: Choice | null, b: Choice): boolean => a !== null && nameChoice(a) === nameChoice(b)

/** Why a choice may not be made for a dish: it is not in the book, or a gate of the dish is closed to it. */
function checkChoice(board: Board, { offerId, species }: TakenFish): string | undefined {
  const entry = board.entries.find(({ candidate: { offer } }) => offer.id === offerId && offer.species === species)
  if (!entry) return `no offer "${offerId}" of ${species}`
  return entry.gates.length > 0 ? `${entry.candidate.offer.common} cannot do this dish (${entry.gates.join(', ')})` : undefined
}

/** The decisions behind some moves, in steps. */
function* stepMoves(moves: readonly Move[], note: string, today: string): Generator<unknown, Promise<readonly PreparedMove[]>> {
  const prepared: Promise<PreparedMove>[] = []
  for (const { record, before, after, sheet } of moves) {
    const decision = yield* stepDecision(
      { servingId: record.id, brief: record.brief, choice: after, note, onlyOffered: false },
      sheet,
      today,
    )
    prepared.push(decision.then((done) => ({ revision: record.revision, before, decision: done })))
  }
  return Promise.all(prepared)
}

const absencePlan: Study<AbsencePlanRequest, Untold<AbsencePlan>> = async (desk, kitchen, request) => {
  const { sheetOf } = await desk.openSheets(kitchen)
  const context = { today: kitchen.today, dishes: await desk.servings.list(kitchen.id), sheetOf }
  return (function* () {
    return unwrap(yield* stepAbsencePlan(request, context))
  })()
}

/** Every move that may be made, or a refusal that names the places. */
async function findMoves(
  desk: Desk,
  kitchen: Kitchen,
  input: AbsenceInput,
  layOf: (record: ServingRecord) => OfferSheet,
): Promise<readonly Move[]> {
  const problems: Problem[] = []
  const moves: Move[] = []
  for (const [i, move] of input.moves.entries()) {
    const record = await desk.servings.find(kitchen.id, move.servingId)
    if (!record?.choice) {
      problems.push({ path: `/moves/${i}/servingId`, message: record ? 'no fish is taken for this dish' : 'no such dish' })
      continue
    }
    const sheet = layOf(record)
    const missing = listTaken(record.choice).find(
      (fish) => fish.species === input.species && (input.offerId === null || input.offerId === fish.offerId),
    )
    const after = replaceTaken(record.choice, missing?.offerId ?? record.choice.offerId, move.choice)
    const wrong = checkChoice(unwrap(createBoard(record.brief, sheet, kitchen.today)), move.choice)
    if (wrong) problems.push({ path: `/moves/${i}/choice`, message: wrong })
    if (record.revision !== move.revision)
      throw new RequestFailure('conflict', `“${record.brief.dish}” was changed since the plan was made. Nothing was moved.`, {
        current: record,
      })
    moves.push({ record, before: record.choice, after, sheet })
  }
  if (problems.length > 0) throw refuse(problems)
  return moves
}

const prepareAbsence: Study<AbsenceInput, Promise<PreparedAbsence>> = async (desk, kitchen, input) => {
  const sheets = await desk.openSheets(kitchen)
  const species = sheets.book.findSpecies(input.species)
  const offer = sheets.book.offers.find((one) => one.species === species && (input.offerId === null || one.id === input.offerId))
  if (!offer)
    throw refuse([{ path: species ? '/offerId' : '/species', message: `no fish named "${input.offerId ?? input.species}" in the book` }])
  if (input.to < input.from) throw refuse([{ path: '/to', message: 'must not be before the first day' }])
  const named = { ...input, species: offer.species, common: offer.common }
  const moves = await findMoves(desk, kitchen, named, ({ brief }) => markAbsent(sheets.sheetOf(brief), named))
  const note = `${offer.common} is missing until ${nameDay(input.to, termsOf('en'))}`
  return (function* () {
    const prepared = yield* stepMoves(moves, note, kitchen.today)
    return prepared.then((done) => ({ named, moves: done }))
  })()
}

/** Dishes that still have the fish they were moved to, each with the line-up behind putting the former one back. */
const preparePutBack: Study<{ readonly id: string }, Promise<readonly PreparedMove[]>> = async (desk, kitchen, { id }) => {
  const absence = await desk.absences.find(kitchen.id, id)
  if (!absence || absence.takenBackAt !== null) throw notFound('No such absence, or it was taken back')
  const standing = (await desk.absences.listStanding(kitchen.id)).filter((other) => other.id !== id)
  const sheets = await desk.openSheetsWith(kitchen, standing)
  const moves: Move[] = []
  for (const { servingId, before, after } of absence.moves) {
    const record = await desk.servings.find(kitchen.id, servingId)
    if (record && sameChoice(record.choice, after))
      moves.push({ record, before: after, after: before, sheet: sheets.sheetOf(record.brief) })
  }
  return stepMoves(moves, `${absence.common} is there after all`, kitchen.today)
}

export const absenceStudies = { absencePlan, prepareAbsence, preparePutBack }
