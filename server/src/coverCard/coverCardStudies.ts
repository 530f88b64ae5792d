import type { CoverCard, Problem, Untold } from '@tender-gill/contract'
import { addDays, countDays, stepCoverCard } from '@tender-gill/core'
import type { Study } from '../compute/study.ts'
import { refuse } from '../http/errors.ts'

/** Days a card may span: a week, or a month for who plans ahead. */
const MOST_DAYS = 31

function checkSpan(from: string, to: string): readonly Problem[] {
  const days = countDays(from, to) + 1
  if (days < 1) return [{ path: '/to', message: 'must not be before the first day' }]
  return days > MOST_DAYS ? [{ path: '/to', message: `at most ${MOST_DAYS} days in one card` }] : []
}

const coverCard: Study<{ readonly from?: string; readonly to?: string }, Untold<CoverCard>> = async (desk, kitchen, asked) => {
  const { id, today } = kitchen
  const from = asked.from ?? today
  const to = asked.to ?? addDays(from, 6)
  const problems = checkSpan(from, to)
  if (problems.length > 0) throw refuse(problems)
  const { sheetOf } = await desk.openSheets(kitchen)
  return stepCoverCard({ from, to }, { today, dishes: await desk.servings.list(id), sheetOf })
}

/** The cover card: each dish of some days with its fish, its ladder, and what the covers hang on. */
export const coverCardStudies = { coverCard }
