import type { RankedFish } from '@tender-gill/contract'
import { joinWords, ofHundred } from '../../parts/dishWords.ts'

/** Who stands first and how surely, in one line. */
export interface Verdict {
  readonly headline: string
  readonly words: string
}

const CLEAR = 0.75
const MOST_NAMED = 4
/** Where no fish comes first more often than this, the order is luck. */
const NOBODY_STANDS_OUT = 0.2

/** Whether those level with the leader are so to the last tenth: then nothing in the dish parts them. */
const isTied = (level: readonly RankedFish[]): boolean => level.slice(0, MOST_NAMED).every(({ fit }) => fit === level[0]?.fit)
const inWhichOrder = (hidden: boolean): string =>
  hidden ? 'nobody sees which it is here, so the dear ones stand last and the best known first' : 'the best known stands first'

/** That the first is not the one that comes first most often, where it is not: its fit is the higher as it usually is. */
function explainOrder(ranked: readonly RankedFish[]): string {
  const [leader] = ranked
  const oftenest = ranked.reduce<RankedFish | undefined>((best, row) => (best && best.firstShare >= row.firstShare ? best : row), undefined)
  if (!leader || !oftenest || oftenest.firstShare - leader.firstShare < 0.05) return ''
  return `${leader.common} fits best as it usually is; over all draws ${oftenest.common} comes first more often. `
}

/**
 * The answer of a line-up in words: fish that no draw tells apart are named together, since their order says nothing.
 * @param hidden whether the dish hides which fish it is   @returns null where nothing stands in line
 */
export function describeVerdict(ranked: readonly RankedFish[], hidden = false): Verdict | null {
  const [leader] = ranked
  if (!leader) return null
  const level = ranked.filter(({ tossUp }) => tossUp)
  if (level.length > 1) {
    const named = level.slice(0, MOST_NAMED).map(({ common }) => common)
    const more = level.length - named.length
    const most = Math.max(...level.map(({ firstShare }) => firstShare))
    if (more > 0 && most < NOBODY_STANDS_OUT)
      return {
        headline: `Nobody stands out: ${level.length} fish do it alike`,
        words: `${joinWords(named)} among them; none comes first in more than ${ofHundred(most)} of 100 draws. ${ranked.some(({ portionCost }) => portionCost !== null) ? 'Take the cheapest, or the one that looks best' : 'Take the one that looks best'}.`,
      }
    if (isTied(level))
      return {
        headline: `${leader.common}, among equals`,
        words: `${level.length} fish meet this as well, ${joinWords(named.slice(1))} among them: ${inWhichOrder(hidden)}. Let price, or the look of it, decide.`,
      }
    return {
      headline: `A toss-up: ${more > 0 ? `${named.join(', ')} and ${more} more` : joinWords(named)}`,
      words: `First in ${level
        .slice(0, MOST_NAMED)
        .map(({ firstShare }) => ofHundred(firstShare))
        .join(', ')} of 100 draws. ${explainOrder(ranked)}Let price, or the look of it, decide.`,
    }
  }
  const share = `first in ${ofHundred(leader.firstShare)} of 100 draws`
  if (ranked.length === 1) return { headline: leader.common, words: 'The only one that can do it.' }
  return leader.firstShare >= CLEAR
    ? { headline: `${leader.common}, clearly`, words: `It stands ${share}.` }
    : { headline: `${leader.common}, narrowly`, words: `It stands ${share}; the others share the rest.` }
}
