import type { Fact, AbsencePlanRequest, OfferSheet, Result, Supply, SupplyUse, TakenFish } from '@tender-gill/contract'
import { mass, say, type AbsenceDish, type AbsencePlan, type Problem, type Rung, type StandIns } from '../facts/index.ts'
import { findLeader, isServedIn, listTaken, type KeptDish, type KeptDishes } from '../kept/index.ts'
import { chooseOffered, keepOffered, letIn, type ChosenSheet } from '../market/index.ts'
import { createBoard } from '../lineUp/index.ts'
import { findStandIns } from '../standIns/index.ts'
import { createFindSpecies } from '../brief/index.ts'
import { assignRungs, type RungOption } from './assignRungs.ts'
import { toTenth } from '../rounding/index.ts'

/** Whether a fish missing over a span is missing for an offer. */
const concerns = ({ species, offerId }: Pick<AbsencePlanRequest, 'species' | 'offerId'>, offer: { species: string; id: string }): boolean =>
  offer.species === species && (offerId === null || offerId === offer.id)

/** Marks a fish as missing on a sheet: nothing offers it any more, and every line-up says why. */
export function markAbsent(sheet: OfferSheet, absence: Pick<AbsencePlanRequest, 'species' | 'offerId' | 'because' | 'to'>): OfferSheet {
  const { to: until, because } = absence
  return { ...sheet, offers: sheet.offers.map((offer) => (concerns(absence, offer) ? { ...offer, absent: { until, because } } : offer)) }
}

interface Affected {
  readonly kept: KeptDish
  /** The fish that is missing: the one it is, or one of its pot. */
  readonly choice: TakenFish
  readonly standIns: StandIns
}

/** The weights of a fish that shares the portions with others. */
const shareOut = (answer: StandIns, kinds: number): StandIns => ({
  ...answer,
  missing: { ...answer.missing, buyG: Math.round(answer.missing.buyG / kinds) },
  ladder: answer.ladder.map((rung) => ({ ...rung, buyG: Math.round(rung.buyG / kinds) })),
})

/** Who may stand in for a dish: what can be bought and whatever there is said to be some of, or all of the book. */
function chooseAble({ brief }: KeptDish, { supplies = [], onlyOffered = true }: AbsencePlanRequest, sheet: OfferSheet): ChosenSheet {
  if (!onlyOffered) return sheet
  return letIn(
    chooseOffered(sheet, brief),
    supplies.map(({ species }) => species),
  )
}

function askStandIns(kept: KeptDish, choice: TakenFish, request: AbsencePlanRequest, { sheetOf, today }: KeptDishes): Affected | undefined {
  const { because } = request
  const sheet = chooseAble(kept, request, markAbsent(sheetOf(kept.brief), request))
  const asked = { ...kept.brief, missing: choice.species, missingOffer: choice.offerId, ...(because ? { because } : {}) }
  const found = findStandIns(asked, sheet, { today })
  // An offer the house has since taken out of its hand: the species' best stands for it.
  const answer = found.ok
    ? found
    : findStandIns({ ...kept.brief, missing: choice.species, ...(because ? { because } : {}) }, sheet, { today })
  const kinds = kept.choice ? listTaken(kept.choice).length : 1
  return answer.ok ? { kept, choice, standIns: shareOut(answer.value, kinds) } : undefined
}

const dishName = ({ kept }: Affected): string => kept.brief.dish
const coversOf = ({ standIns }: Affected): number => standIns.brief.covers

/** What the cook holds to goes first and alone: a dish held to a fish has no other option, one held to none has none. */
function optionsOf(affected: Affected, held: ReadonlyMap<string, string | null>): readonly RungOption[] {
  const hold = held.get(affected.kept.id)
  return affected.standIns.ladder.map(({ species, standIn, buyG }) => ({
    species,
    worth: hold === undefined || hold === species ? standIn * coversOf(affected) : 0,
    needG: buyG,
  }))
}

/** Why a dish does not get its nearest rung. */
function explainMove(
  move: number | null,
  { standIns, kept }: Affected,
  taken: readonly SupplyUse[],
  held: ReadonlyMap<string, string | null>,
) {
  const nearest = standIns.ladder[0]
  if (!nearest || move === 0) return null
  const hold = held.get(kept.id)
  if (hold === null) return say('absence.held-back')
  if (hold !== undefined && move !== null) return say('absence.held')
  const use = taken.find(({ species }) => species === nearest.species)
  const others = use?.dishes.filter((name) => name !== kept.brief.dish) ?? []
  const short = { weight: mass((use?.kg ?? 0) * 1000), fish: nearest.common }
  if (move === null) return say('absence.short.nothing-left', short)
  return others.length > 0 ? say('absence.short.others-lose', { ...short, dishes: others }) : say('absence.short', short)
}

const toKg = (grams: number): number => Math.round(grams / 10) / 100

function listSupplies(affected: readonly Affected[], taken: readonly (number | null)[], supplies: readonly Supply[]): SupplyUse[] {
  const uses = new Map<string, SupplyUse>()
  const useOf = ({ species, common }: Rung): SupplyUse => {
    const kg = supplies.find((supply) => supply.species === species)?.kg ?? null
    const use = uses.get(species) ?? { species, common, dishes: [], wantedBy: [], neededKg: 0, wantedKg: 0, kg }
    uses.set(species, use)
    return use
  }
  affected.forEach((dish, i) => {
    const nearest = dish.standIns.ladder[0]
    const rung = dish.standIns.ladder[taken[i] ?? -1]
    if (nearest) {
      const use = useOf(nearest)
      use.wantedBy.push(dishName(dish))
      use.wantedKg = toKg(use.wantedKg * 1000 + nearest.buyG)
    }
    if (rung) {
      const use = useOf(rung)
      use.dishes.push(dishName(dish))
      use.neededKg = toKg(use.neededKg * 1000 + rung.buyG)
    }
  })
  return [...uses.values()].sort((a, b) => b.wantedBy.length - a.wantedBy.length || (a.species < b.species ? -1 : 1))
}

function describeDish(affected: Affected, move: number | null, sentence: Fact | null): AbsenceDish {
  const { kept, choice, standIns } = affected
  const { missing } = standIns
  return {
    servingId: kept.id,
    revision: kept.revision,
    dish: kept.brief.dish,
    date: kept.brief.date ?? null,
    covers: coversOf(affected),
    taken: { choice, common: missing.common, offer: missing.offer, buyG: missing.buyG },
    ladder: standIns.ladder,
    emptyBecause: standIns.emptyBecause,
    move,
    sentence,
  }
}

/** Everything wrong with a request for a plan. */
function checkRequest(
  { species, offerId, from, to, supplies = [], holds = [] }: AbsencePlanRequest,
  sheet: OfferSheet,
): readonly Problem[] {
  const findSpecies = createFindSpecies(sheet.offers)
  const problems: Problem[] = []
  const check = (name: string | null, path: string) => {
    if (name !== null && findSpecies(name) === undefined) problems.push({ path, message: say('problem.no-fish', { name }) })
  }
  check(species, '/species')
  if (
    offerId !== null &&
    problems.length === 0 &&
    !sheet.offers.some((offer) => offer.id === offerId && offer.species === findSpecies(species))
  )
    problems.push({ path: '/offerId', message: say('problem.no-offer', { offer: offerId, species }) })
  if (to < from) problems.push({ path: '/to', message: say('problem.before-first-day') })
  supplies.forEach((supply, i) => check(supply.species, `/supplies/${i}/species`))
  holds.forEach((hold, i) => check(hold.species, `/holds/${i}/species`))
  return problems
}

/**
 * What a kitchen does without a fish for some days: every dish that takes it, its ladder, and one rung each so that the portions of all
 * dishes together stand highest and no supply is overdrawn. Runs a dish at a time; yields how many are done.
 * @returns the plan, or every problem of the request with its place
 */
export function* stepAbsencePlan(
  request: AbsencePlanRequest,
  context: KeptDishes,
): Generator<number, Result<AbsencePlan, readonly Problem[]>> {
  const { today, dishes, sheetOf } = context
  const sheet = sheetOf({ dish: 'any', method: 'poach', format: 'chunk', date: request.from })
  const problems = checkRequest(request, sheet)
  if (problems.length > 0) return { ok: false, error: problems }
  const findSpecies = createFindSpecies(sheet.offers)
  const species = findSpecies(request.species) ?? request.species
  const supplies = (request.supplies ?? []).map((supply) => ({ ...supply, species: findSpecies(supply.species) ?? supply.species }))
  const named = { ...request, species, supplies }
  const affected: Affected[] = []
  const leads: AbsencePlan['leads'] = []
  for (const [i, kept] of dishes.filter(({ brief }) => isServedIn(brief, request)).entries()) {
    yield i
    const { choice } = kept
    if (choice) {
      const missing = listTaken(choice).find((fish) => concerns(named, { species: fish.species, id: fish.offerId }))
      const found = missing && askStandIns(kept, missing, named, context)
      if (found) affected.push(found)
      continue
    }
    const board = createBoard(kept.brief, sheetOf(kept.brief), today)
    const leader = board.ok ? findLeader(board.value)?.candidate.offer : undefined
    if (leader && concerns(named, leader)) leads.push({ servingId: kept.id, dish: kept.brief.dish })
  }
  const held = new Map((request.holds ?? []).map((hold) => [hold.servingId, hold.species && (findSpecies(hold.species) ?? hold.species)]))
  const { taken, worth } = assignRungs(
    affected.map((dish) => optionsOf(dish, held)),
    new Map(supplies.map(({ species: name, kg }) => [name, kg * 1000])),
  )
  const uses = listSupplies(affected, taken, supplies)
  const covers = affected.reduce((sum, dish) => sum + coversOf(dish), 0)
  const common = sheet.offers.find((offer) => offer.species === species)?.common ?? species
  return {
    ok: true,
    value: {
      species,
      offerId: request.offerId,
      because: request.because,
      from: request.from,
      to: request.to,
      common,
      dishes: affected.map((dish, i) => describeDish(dish, taken[i] ?? null, explainMove(taken[i] ?? null, dish, uses, held))),
      supplies: uses,
      leads,
      offered: new Set(keepOffered(sheet).offers.map((offer) => offer.species)).size,
      standing: covers > 0 ? toTenth(worth / covers) : 0,
    },
  }
}

/** The plan in one go. */
export function planAbsence(request: AbsencePlanRequest, context: KeptDishes): Result<AbsencePlan, readonly Problem[]> {
  const steps = stepAbsencePlan(request, context)
  for (;;) {
    const step = steps.next()
    if (step.done) return step.value
  }
}
