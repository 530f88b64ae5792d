import { say, type Change } from '../../facts/index.ts'
import { findPullChange, findTimeChange } from './cooking.ts'
import { findBonesChange, findBrineChange, findFatChange, findHandlingChange, findSeasoningChange, findSkinChange } from './flesh.ts'
import { change, type FindChange, type Swap } from './swap.ts'
import {
  findAllergenChange,
  findFormatChange,
  findOriginChange,
  findPriceChange,
  findSafetyChange,
  findSeasonChange,
  findStockChange,
  findWeightChange,
} from './trade.ts'

export type { Swap } from './swap.ts'

const MOST_CHANGES = 6

/** In the order of consequence: what can hurt, what it costs, how much, how long, then how it is handled and seasoned, then where it comes from. */
const FINDERS: readonly FindChange[] = [
  findAllergenChange,
  findSafetyChange,
  findPriceChange,
  findWeightChange,
  findTimeChange,
  findHandlingChange,
  findPullChange,
  findBonesChange,
  findFatChange,
  findBrineChange,
  findSeasoningChange,
  findFormatChange,
  findSkinChange,
  findSeasonChange,
  findStockChange,
  findOriginChange,
]

/** What changes with a swap, in numbers: at most six that matter in this dish, and always the menu's name when another species is served. */
export function listChanges(swap: Swap): Change[] {
  const found = FINDERS.flatMap((find) => find(swap) ?? []).slice(0, MOST_CHANGES)
  const { missing, candidate } = swap
  if (missing.offer.species === candidate.offer.species) return found
  return [...found, change('menu-name', say('change.menu-name', { fish: candidate.offer.common }))]
}
