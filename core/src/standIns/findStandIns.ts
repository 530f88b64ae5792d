import type {
  Brief,
  LeftOutFish,
  MissingFish,
  MissingReason,
  OfferSheet,
  Problem,
  Range,
  ResolvedOffer,
  Result,
  Rung,
  StandIn,
  StandIns,
  StandInsRequest,
  TextureKey,
} from '@tender-gill/contract'
import { computePortionCost, computeWeightToBuyG } from '../amounts/index.ts'
import { toTenth } from '../fit/index.ts'
import { stateMatches } from '../gates/index.ts'
import { byFit, createBoard, listLeftOut, listStandings, pickStanding, type Board, type Entry } from '../lineUp/index.ts'
import { findCautions } from '../safety/index.ts'
import { ENGINE_VERSION, LADDER } from '../tables/constants.ts'
import { readTrait } from '../traits/index.ts'
import { chooseLadder } from './chooseLadder.ts'
import { computeAlike, computeStandInScore, type TraitGap } from './computeAlike.ts'
import { computeThereShare, findCauses } from './findCauses.ts'
import { findTempting } from './findTempting.ts'
import { listChanges } from './listChanges.ts'
import { qualify, sameSpeciesWillDo } from './qualify.ts'
import { TEXTURE_LIST } from './textureSet.ts'

interface ScoredEntry {
  readonly entry: Entry
  readonly alike: number
  /** Traits in which it differs, what weighs most first. */
  readonly differs: readonly TextureKey[]
  readonly standIn: number
}

const byStandIn = (a: ScoredEntry, b: ScoredEntry) =>
  b.standIn - a.standIn || (a.entry.candidate.offer.id < b.entry.candidate.offer.id ? -1 : 1)

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

/** The missing fish as the dish would have had it: the offer named, else its best offer for this brief with gates ignored. */
function pickMissing(board: Board, species: string, missingOffer: string | undefined): Entry | undefined {
  const own = board.entries.filter(({ candidate }) => candidate.offer.species === species)
  if (missingOffer) return own.find(({ candidate }) => candidate.offer.id === missingOffer)
  const choice = board.brief.offers[species]
  const narrowed = own.filter(({ candidate: { offer } }) => {
    const origin = choice?.origin ?? 'any'
    return (origin === 'any' || origin === offer.origin) && stateMatches(choice?.state ?? 'any', offer.state)
  })
  return [...(narrowed.length > 0 ? narrowed : own)].sort(byFit)[0]
}

const toCent = (money: number) => Math.round(money * 100) / 100
function describeCost({ candidate }: Entry, board: Board) {
  const cost = computePortionCost(candidate.offer, candidate.form, board.brief)
  return cost ? { low: toCent(cost.low), typical: toCent(cost.typical), high: toCent(cost.high), currency: cost.currency } : null
}
const describeBuyG = ({ candidate }: Entry, board: Board) =>
  Math.round(computeWeightToBuyG(candidate.offer, candidate.form, board.brief).typical)
const describeAskedAs = (species: string, board: Board) => {
  const askedAs = board.brief.askedAs[species]
  return askedAs ? { askedAs } : {}
}

function describeMissing(entry: Entry, board: Board, askedAs: string | undefined): MissingFish {
  const { offer, form } = entry.candidate
  const traits: Partial<Record<TextureKey, Range | null>> = {}
  for (const key of TEXTURE_LIST) {
    const value = readTrait(key, entry.candidate, board.brief)
    traits[key] = value ? { low: value.low, typical: value.typical, high: value.high } : null
  }
  return {
    species: offer.species,
    common: offer.common,
    ...(askedAs ? { askedAs } : {}),
    offerId: offer.id,
    offer: offer.label,
    form,
    fit: toTenth(entry.fit.fit),
    portionCost: describeCost(entry, board),
    buyG: describeBuyG(entry, board),
    traits,
    standings: listStandings(entry),
  }
}

function describeStandIn({ entry, alike, standIn }: ScoredEntry, board: Board): StandIn {
  const { offer, form } = entry.candidate
  return {
    species: offer.species,
    common: offer.common,
    ...describeAskedAs(offer.species, board),
    offerId: offer.id,
    offer: offer.label,
    form,
    alike: toTenth(alike),
    fit: toTenth(entry.fit.fit),
    standIn: toTenth(standIn),
    portionCost: describeCost(entry, board),
    buyG: describeBuyG(entry, board),
    failsWith: findCauses(entry.candidate).map(({ kind }) => kind),
    cautions: [...findCautions(offer, board.brief)],
  }
}

/** A gap that a cook would notice, in shoulders weighted as in the likeness. */
const NOTICED = 0.1
const listDiffering = (gaps: readonly TraitGap[]): readonly TextureKey[] =>
  gaps
    .filter(({ delta, pull }) => delta >= NOTICED && pull > 0)
    .sort((a, b) => b.pull * b.delta - a.pull * a.delta)
    .map(({ key }) => key)

function scoreEntries(entries: readonly Entry[], missing: Entry, board: Board): readonly ScoredEntry[] {
  return entries.map((entry) => {
    const { alike, gaps } = computeAlike(entry.candidate, missing.candidate, board.brief, board.scoring)
    return { entry, alike, differs: listDiffering(gaps), standIn: computeStandInScore(alike, entry.fit.fit) }
  })
}

/** The best-standing offer of each species, by stand-in score. */
function bestOfSpecies(scored: readonly ScoredEntry[]): readonly ScoredEntry[] {
  const best = new Map<string, ScoredEntry>()
  for (const item of [...scored].sort(byStandIn)) {
    const { species } = item.entry.candidate.offer
    if (!best.has(species)) best.set(species, item)
  }
  return [...best.values()]
}

/** Offers of one species this close in score are the same to a cook; the one bought as the missing fish was is less trouble. */
const SAME_TO_A_COOK = 1

/** One offer a species for the ladder: near ties go to the state and origin of the missing fish. */
function pickForLadder(scored: readonly ScoredEntry[], missing: Entry): readonly ScoredEntry[] {
  const { state, origin } = missing.candidate.offer
  const trouble = ({ entry: { candidate } }: ScoredEntry) =>
    Number(candidate.offer.state !== state) * 2 + Number(candidate.offer.origin !== origin)
  return bestOfSpecies(scored).map((best) => {
    const { species } = best.entry.candidate.offer
    const near = scored.filter(
      ({ entry, standIn }) => entry.candidate.offer.species === species && standIn >= best.standIn - SAME_TO_A_COOK,
    )
    return near.sort((a, b) => trouble(a) - trouble(b) || byStandIn(a, b))[0] ?? best
  })
}

interface Ladder {
  readonly rungs: Rung[]
  readonly atLeastOne: number
}

function buildLadder(scored: readonly ScoredEntry[], missing: Entry, because: MissingReason | null, board: Board): Ladder {
  const { species } = missing.candidate.offer
  const own = (item: ScoredEntry) => sameSpeciesWillDo(because) && item.entry.candidate.offer.species === species
  const fit = scored.filter(({ entry }) => entry.fit.fit >= LADDER.leastFit)
  const ordered = [...fit].sort((a, b) => Number(own(b)) - Number(own(a)) || byStandIn(a, b)).slice(0, LADDER.among)
  const candidates = ordered.map(({ entry, standIn }) => ({ standIn, causes: findCauses(entry.candidate) }))
  const { chosen, atLeastOne } = chooseLadder(candidates, LADDER.rungs)
  const rungs = chosen.flatMap((index): Rung[] => {
    const item = ordered[index]
    if (!item) return []
    const changes = listChanges({ missing: missing.candidate, candidate: item.entry.candidate, brief: board.brief })
    return [
      {
        ...describeStandIn(item, board),
        changes,
        standings: listStandings(item.entry),
        differs: [...item.differs],
        thereShare: Math.round(computeThereShare(findCauses(item.entry.candidate)) * 1000) / 1000,
      },
    ]
  })
  return { rungs, atLeastOne: Math.round(atLeastOne * 1000) / 1000 }
}

function whyEmpty(passing: number, qualified: number, because: MissingReason | null): string {
  if (passing === 0) return 'No other fish passes what this dish must have. See who was left out, and what would open it.'
  if (qualified === 0 && because === 'too-dear') return 'No fish that can do this dish is known to be cheaper.'
  if (qualified === 0 && because === 'stock') return 'No fish that can do this dish stands better.'
  return `No fish that can do this dish reaches ${LADDER.leastFit} of 100.`
}

/**
 * What to take instead: every passing fish by stand-in score, a ladder of up to four that do not fail together, with what changes, and the
 * tempting ones that would be wrong. Pure and independent of input order.
 * @param request already valid by its schema   @returns stand-ins, or every problem of the request with its place
 */
export function findStandIns(
  request: StandInsRequest,
  sheet: OfferSheet,
  { today }: { today: string },
): Result<StandIns, readonly Problem[]> {
  const { brief, missing: name, missingOffer, because } = splitRequest(request)
  const first = createBoard(brief, sheet, today)
  if (!first.ok) return first
  const species = first.value.findSpecies(name)
  if (!species) return { ok: false, error: [{ path: '/missing', message: `no fish named "${name}" in the book` }] }
  const known = pickMissing(first.value, species, missingOffer)
  if (!known) return { ok: false, error: [{ path: '/missingOffer', message: `no offer "${missingOffer ?? ''}" of ${species}` }] }
  const again = because === 'allergy' ? createBoard(withAllergy(brief, known.candidate.offer.allergen), sheet, today) : first
  if (!again.ok) return again
  const board = again.value
  const missing = pickMissing(board, species, missingOffer) ?? known
  return { ok: true, value: assemble(board, missing, because, { sheet, askedAs: species === name ? undefined : name }) }
}

interface AssembleOptions {
  readonly sheet: OfferSheet
  readonly askedAs: string | undefined
}

function assemble(board: Board, missing: Entry, because: MissingReason | null, { sheet, askedAs }: AssembleOptions): StandIns {
  const { offer } = missing.candidate
  // What is missing stands for nobody: another offer of its species may.
  const passing = pickStanding(
    board.considered.filter(({ gates, candidate }) => gates.length === 0 && candidate.offer.id !== offer.id),
    board.brief,
    board.scoring,
  )
  const { entries, dropped } = qualify(passing, missing, because, board)
  const scored = scoreEntries(entries, missing, board)
  const order = bestOfSpecies(scored)
  const ladder = buildLadder(sameSpeciesWillDo(because) ? scored : pickForLadder(scored, missing), missing, because, board)
  const others = board.considered.filter(({ candidate }) => candidate.offer.species !== offer.species)
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
    order: order.map((item) => describeStandIn(item, board)),
    tempting,
    leftOut,
    snapshot: sheet.snapshot,
    engineVersion: ENGINE_VERSION,
  }
}
