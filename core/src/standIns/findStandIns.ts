import type { Fact, Brief, MissingReason, ResolvedOffer, Result, StandInsRequest } from '@tender-gill/contract'
import { say, type LeftOutFish, type Problem, type StandIns } from '../facts/index.ts'
import { stateMatches } from '../gates/index.ts'
import { letIn, type ChosenSheet } from '../market/index.ts'
import { byFit, createBoard, listLeftOut, pickStanding, type Board, type Entry } from '../lineUp/index.ts'
import { createFindSpecies } from '../brief/index.ts'
import { ENGINE_VERSION, LADDER } from '../tables/constants.ts'
import { EVEN_PARTS } from '../tables/formats.ts'
import { kindOf } from '../traits/index.ts'
import { buildLadder } from './buildLadder.ts'
import { describeMissing, describeStandIn } from './describeStandIns.ts'
import { findTempting } from './findTempting.ts'
import { qualify } from './qualify.ts'
import { bestOfSpecies, scoreEntries } from './scoreEntries.ts'
import { boardForMissing } from './widenAsks.ts'

const splitRequest = (
  request: StandInsRequest,
): { brief: Brief; missing: string; missingOffer: string | undefined; because: MissingReason | null } => {
  const { missing, missingOffer, because, ...brief } = request
  return { brief, missing, missingOffer, because: because ?? null }
}

/** The diner's allergy is set before anything is judged, so that nothing of the kind comes back as a stand-in. */
function withAllergy(brief: Brief, allergen: ResolvedOffer['allergen']): Brief {
  const allergies = brief.diners?.allergies ?? []
  return allergies.includes(allergen) ? brief : { ...brief, diners: { ...brief.diners, allergies: [...allergies, allergen] } }
}

/** Where nothing is said, what stands in for an animal is of its kind: another allergen class never comes unasked. */
function ofItsKind(brief: Brief, sheet: ChosenSheet, species: string | undefined): Brief {
  const missing = (sheet.chosenFrom ?? sheet).offers.find((offer) => offer.species === species)
  return brief.kinds || !missing ? brief : { ...brief, kinds: [kindOf(missing)] }
}

/** The missing fish as the dish would have had it: the offer named, else the best of its body, or of the part asked for, gates ignored. */
export function pickMissing(board: Board, species: string, missingOffer: string | undefined): Entry | undefined {
  const every = board.entries.filter(({ candidate }) => candidate.offer.species === species)
  if (missingOffer) return every.find(({ candidate }) => candidate.offer.id === missingOffer)
  const asked = every.filter(({ candidate: { offer } }) =>
    board.brief.part === 'any' ? EVEN_PARTS.includes(offer.part) : offer.part === board.brief.part,
  )
  const own = asked.length > 0 ? asked : every
  const choice = board.brief.offers[species]
  const narrowed = own.filter(({ candidate: { offer } }) => {
    const origin = choice?.origin ?? 'any'
    return (origin === 'any' || origin === offer.origin) && stateMatches(choice?.state ?? 'any', offer.state)
  })
  return [...(narrowed.length > 0 ? narrowed : own)].sort(byFit)[0]
}

function whyEmpty(passing: number, qualified: number, because: MissingReason | null): Fact {
  if (passing === 0) return say('stand-ins.none.passes')
  if (qualified === 0 && because === 'too-dear') return say('stand-ins.none.cheaper')
  if (qualified === 0 && because === 'stock') return say('stand-ins.none.better-stock')
  return say('stand-ins.none.fits', { least: LADDER.leastFit })
}

/**
 * What to take instead: every passing fish by stand-in score, a ladder of up to four that do not fail together, with what changes, and the
 * tempting ones that would be wrong. Pure and independent of input order.
 * @param request already valid by its schema
 * @param sheet who may stand in: of a day, or of what of it can be bought; the missing fish is known by all of the day
 * @param ladderOnly leaves out who else could stand in, who tempts and who cannot: for whoever wants the rungs of many dishes
 * @returns stand-ins, or every problem of the request with its place
 */
export function findStandIns(
  request: StandInsRequest,
  sheet: ChosenSheet,
  { today, ladderOnly = false }: { readonly today: string; readonly ladderOnly?: boolean },
): Result<StandIns, readonly Problem[]> {
  const { brief: asked, missing: name, missingOffer, because } = splitRequest(request)
  const species = createFindSpecies((sheet.chosenFrom ?? sheet).offers)(name)
  const judged = species ? letIn(sheet, [species]) : sheet
  const brief = ofItsKind(asked, sheet, species)
  const first = createBoard(brief, judged, today)
  if (!first.ok) return first
  if (!species) return { ok: false, error: [{ path: '/missing', message: say('problem.no-fish', { name }) }] }
  const known = pickMissing(first.value, species, missingOffer)
  if (!known)
    return { ok: false, error: [{ path: '/missingOffer', message: say('problem.no-offer', { offer: missingOffer ?? '', species }) }] }
  const again = because === 'allergy' ? createBoard(withAllergy(brief, known.candidate.offer.allergen), judged, today) : first
  if (!again.ok) return again
  const board = boardForMissing(again.value, known)
  const missing = board.entries.find(({ candidate }) => candidate.offer.id === known.candidate.offer.id) ?? known
  return { ok: true, value: assemble(board, missing, because, { sheet, ladderOnly, askedAs: species === name ? undefined : name }) }
}

interface AssembleOptions {
  readonly sheet: ChosenSheet
  readonly askedAs: string | undefined
  readonly ladderOnly: boolean
}

function assemble(board: Board, missing: Entry, because: MissingReason | null, { sheet, askedAs, ladderOnly }: AssembleOptions): StandIns {
  const { offer } = missing.candidate
  const there = new Set(sheet.offers.map(({ id }) => id))
  // What is missing stands for nobody: another offer of its species may.
  const passing = pickStanding(
    board.considered.filter(({ gates, candidate: { offer: one } }) => gates.length === 0 && one.id !== offer.id && there.has(one.id)),
    board.brief,
    board.scoring,
  )
  const { entries, dropped } = qualify(passing, missing, because, board)
  const scored = scoreEntries(entries, missing, board)
  const order = ladderOnly ? [] : bestOfSpecies(scored)
  const ladder = buildLadder(scored, missing, because, board)
  const others = ladderOnly ? [] : board.considered.filter(({ candidate }) => candidate.offer.species !== offer.species)
  const leftOut: LeftOutFish[] = [...listLeftOut(board, others)]
  const gated = leftOut.flatMap(({ offerId }) => others.find(({ candidate }) => candidate.offer.id === offerId) ?? [])
  const tempting = findTempting(
    [...order.map(({ entry, standIn }) => ({ entry, standIn })), ...gated.map((entry) => ({ entry, standIn: null }))].filter(
      ({ entry }) => entry.candidate.offer.species !== offer.species,
    ),
    offer,
    board,
  )
  return {
    brief: board.brief,
    missing: describeMissing(missing, board, askedAs),
    because,
    ladder: ladder.rungs,
    emptyBecause:
      ladder.rungs.length === 0
        ? whyEmpty(passing.filter(({ candidate }) => candidate.offer.species !== offer.species).length, entries.length, because)
        : null,
    dropped: [...dropped],
    atLeastOne: ladder.atLeastOne,
    expectedStandIn: ladder.expectedStandIn,
    order: order.map((item) => describeStandIn(item, board)),
    tempting,
    leftOut,
    snapshot: sheet.snapshot,
    engineVersion: ENGINE_VERSION,
  }
}
