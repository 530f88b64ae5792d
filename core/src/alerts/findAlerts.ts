import type { ResolvedOffer, AlertKind, Choice, Fact, Gate, PortionCost } from '@tender-gill/contract'
import { money, say, term, type DecisionAlert } from '../facts/index.ts'
import { computePortionCost } from '../amounts/index.ts'
import { findLeader, isOffered, type KeptDish, type KeptDishes } from '../kept/index.ts'
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

function findHappened(entry: Entry, common: string, { choice, then }: DecidedDish, board: Board): Happened | null {
  const [gate] = entry.gates
  if (gate)
    return {
      kind: KIND_OF_GATE[gate] ?? 'closed',
      sentence: say('alert.closed', { fish: common, gate: term('gate', gate) }),
    }
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
  const ledThen = then.leader === choice.species
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

/**
 * What happened to decisions since they were taken: closed, below the house's floor, not to be had, past the budget, no longer first, or
 * much dearer; the gravest only. Dishes of days gone by are passed over. Runs a dish at a time; yields how many are done.
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
    const entry = laid.value.entries.find(({ candidate }) => candidate.offer.id === one.choice.offerId)
    if (!entry) continue
    const { common } = entry.candidate.offer
    const happened = findHappened(entry, common, one, laid.value)
    if (!happened) continue
    const leader = findRival(entry, laid.value)
    const leaderNow = leader && leader.species !== one.choice.species ? leader.common : null
    alerts.push({ servingId: id, dish: brief.dish, common, ...happened, leaderNow })
  }
  return alerts
}
