import type { Brief, Fact, Lot, Result } from '@tender-gill/contract'
import { countPortions } from '../amounts/index.ts'
import { type Problem } from '../facts/index.ts'
import { describeGate } from '../gates/index.ts'
import { byFit, createBoard } from '../lineUp/index.ts'
import { keepSpecies, type ChosenSheet } from '../market/index.ts'
import { answerAmounts } from '../purchase/index.ts'

/** Whether a lot suits another dish. */
export interface JudgedMove {
  /** How well it does the dish; null where it cannot. */
  readonly fit: number | null
  /** Why it cannot. */
  readonly gates: readonly Fact[]
  /** Portions that it feeds, and portions that are wanted. */
  readonly feeds: number
  readonly portions: number
}

/** Whether a lot suits another dish: its fit there, or what closes it, and how many portions it feeds. */
export function judgeMove(
  { offerId, species, form, g }: Pick<Lot, 'offerId' | 'species' | 'form' | 'g'>,
  brief: Brief,
  sheet: ChosenSheet,
  { today }: { readonly today: string },
): Result<JudgedMove, readonly Problem[]> {
  const board = createBoard(brief, keepSpecies(sheet, species), today)
  if (!board.ok) return board
  const dish = board.value.brief
  const own = board.value.entries.filter(({ candidate }) => candidate.offer.id === offerId)
  const [entry] = [...own.filter(({ candidate }) => candidate.form === form), ...own].sort(
    (a, b) => a.gates.length - b.gates.length || byFit(a, b),
  )
  const amounts = answerAmounts({ ...brief, fish: species, offer: offerId, form, haveG: g }, sheet, { today })
  const portions = countPortions(dish)
  if (!amounts.ok || !entry)
    return { ok: true, value: { fit: null, gates: amounts.ok ? [] : amounts.error.map(({ message }) => message), feeds: 0, portions } }
  const gates = entry.gates.map((gate) => describeGate(gate, entry.candidate, dish))
  return { ok: true, value: { fit: gates.length > 0 ? null : entry.fit.fit, gates, feeds: amounts.value.feeds, portions } }
}
