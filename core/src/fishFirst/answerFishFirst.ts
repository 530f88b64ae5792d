import type { FishFirstRequest, OfferSheet, Result } from '@tender-gill/contract'
import type { FishFirst, Problem } from '../facts/index.ts'
import { createFindSpecies } from '../brief/index.ts'
import { ENGINE_VERSION } from '../tables/constants.ts'
import { rankSeenDishes, type SeenOptions } from './rankSeenDishes.ts'
import { rankSeenMethods } from './rankSeenMethods.ts'
import { readSeen } from './readSeen.ts'

/**
 * The engine run the other way: from fish that were seen, with their price and weight, to the dishes they do best and the ways to cook them.
 * The same gates, fit and explanations as a line-up; a fish is judged in the form in which it lies there.
 * @param request already valid by its schema   @returns the answer, or every problem of fish and dishes with its place
 */
export function answerFishFirst(
  { seen, dishes = [], date }: FishFirstRequest,
  sheet: OfferSheet,
  { today, ...options }: SeenOptions,
): Result<FishFirst, readonly Problem[]> {
  const day = date ?? today
  const findSpecies = createFindSpecies(sheet.offers)
  const read = seen.map((one, i) => readSeen(one, i, sheet.offers, findSpecies))
  const fish = read.flatMap((answer) => (answer.ok ? [answer.value] : []))
  const problems = read.flatMap((answer) => (answer.ok ? [] : answer.error))
  const ranked = rankSeenDishes(dishes, fish, sheet, { ...options, today: day })
  if (problems.length > 0 || !ranked.ok) return { ok: false, error: [...problems, ...(ranked.ok ? [] : ranked.error)] }
  return {
    ok: true,
    value: {
      seen: fish.map(({ species, common, totalG }) => ({ species, common, totalG })),
      dishes: [...ranked.value],
      methods: [...rankSeenMethods(fish, sheet, day)],
      snapshot: sheet.snapshot,
      engineVersion: ENGINE_VERSION,
    },
  }
}
