import type { ResolvedOffer, AlertKind, Choice, Fact, Gate, PortionCost, TakenFish } from '@tender-gill/contract'
import { money, say, term, type DecisionAlert } from '../facts/index.ts'
import { computePortionCost } from '../amounts/index.ts'
import { findLeader, isOffered, listTaken, type KeptDish, type KeptDishes } from '../kept/index.ts'
import { createBoard, type Board, type Entry } from '../lineUp/index.ts'

/** A dish with the decision that stands: who led then, and what a portion of the fish taken cost. */
export interface DecidedDish {
  readonly kept: KeptDish
  readonly choice: Choice
  readonly then: { readonly leader: string | null; readonly portionCost: PortionCost | null }
}

/** Dearer by this much is worth a word even where the order stays. */
const DEARER = 1.15

const KIND_OF_GATE: Partial<Record<Gate, AlertKind>> = {
  'closed-season': 'closed',
  'not-landed': 'closed',
  protected: 'closed',
  stock: 'below-floor',
  unavailable: 'gone',
  budget: 'over-budget',
}

interface Happened {
  readonly kind: AlertKind
  readonly sentence: Fact
}

/** Who leads now: of what can be bought, where the fish taken can be. Whom nobody offers takes no lead from it. */
const findRival = (taken: Entry, board: Board): ResolvedOffer | undefined =>
  findLeader(board, { onlyOffered: isOffered(taken) })?.candidate.offer

/** What closes a fish that was taken; null where nothing does. */
const findClosed = ({ gates: [gate], candidate: { offer } }: Entry): Happened | null =>
  gate ? { kind: KIND_OF_GATE[gate] ?? 'closed', sentence: say('alert.closed', { fish: offer.common, gate: term('gate', gate) }) } : null

/** What happened to the price and the place of a fish that still can do the dish. */
function findMoved(entry: Entry, { choice, then }: DecidedDish, board: Board): Happened | null {
  const { common } = entry.candidate.offer
  const cost = computePortionCost(entry.candidate.offer, entry.candidate.form, board.brief)
  const was = then.portionCost
  const { budget } = board.brief
  const same = cost && was && cost.currency === was.currency
  const rise = same && say('alert.rise', { was: money(was.typical, was.currency), now: money(cost.typical, cost.currency) })
  if (rise && budget && was.typical <= budget.perPortion && cost.typical > budget.perPortion)
    return {
      kind: 'over-budget',
      sentence: say('alert.over-budget', { fish: common, budget: money(budget.perPortion, budget.currency), rise }),
    }
  const leader = findRival(entry, board)
  // The fish of a pot lead their places together: none of them led the line-up.
  const ledThen = then.leader === choice.species && choice.beside === undefined
  if (ledThen && leader && leader.species !== choice.species)
    return {
      kind: 'lost-lead',
      sentence:
        rise && Math.abs(cost.typical / was.typical - 1) > 0.03
          ? say('alert.lost-lead.dearer', { fish: common, leader: leader.common, rise })
          : say('alert.lost-lead', { fish: common, leader: leader.common }),
    }
  if (rise && cost.typical > was.typical * DEARER) return { kind: 'dearer', sentence: say('alert.dearer', { fish: common, rise }) }
  return null
}

/** The gravest thing that happened, with the fish it happened to: what is closed before what moved. */
function findHappened(one: DecidedDish, board: Board): { readonly entry: Entry; readonly happened: Happened } | null {
  const entryOf = ({ offerId }: TakenFish) => board.entries.find(({ candidate }) => candidate.offer.id === offerId)
  for (const entry of listTaken(one.choice).flatMap((fish) => entryOf(fish) ?? [])) {
    const happened = findClosed(entry)
    if (happened) return { entry, happened }
  }
  const first = entryOf(one.choice)
  const happened = first ? findMoved(first, one, board) : null
  return first && happened ? { entry: first, happened } : null
}

/**
 * What happened to decisions since they were taken: closed, below the house's floor, not to be had, past the budget, no longer first, or
 * much dearer; the gravest only, of whichever fish of a pot it is. Dishes of days gone by are passed over. Runs a dish at a time; yields how many are done.
 */
export function* stepAlerts(
  decided: readonly DecidedDish[],
  { today, sheetOf }: Pick<KeptDishes, 'today' | 'sheetOf'>,
): Generator<number, DecisionAlert[]> {
  const alerts: DecisionAlert[] = []
  for (const [i, one] of decided.entries()) {
    yield i
    const { brief, id } = one.kept
    if (brief.date !== undefined && brief.date < today) continue
    const laid = createBoard(brief, sheetOf(brief), today)
    if (!laid.ok) continue
    const told = findHappened(one, laid.value)
    if (!told) continue
    const { entry, happened } = told
    const { common } = entry.candidate.offer
    const leader = findRival(entry, laid.value)
    const leaderNow = leader && leader.species !== one.choice.species ? leader.common : null
    alerts.push({ servingId: id, dish: brief.dish, common, ...happened, leaderNow })
  }
  return alerts
}
