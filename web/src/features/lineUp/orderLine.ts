import type { RankedFish } from '@tender-gill/contract'
import { fold } from '@tender-gill/names/fold'

export type LineOrder = 'fit' | 'cost' | 'sureness'

/** Fish in another order than that of their fit; what is not known stands last, and of equals the fitter first. */
export function orderLine(ranked: readonly RankedFish[], order: LineOrder): readonly RankedFish[] {
  switch (order) {
    case 'fit':
      return ranked
    case 'cost':
      return [...ranked].sort((a, b) => (a.portionCost?.typical ?? Infinity) - (b.portionCost?.typical ?? Infinity) || 0)
    case 'sureness':
      return [...ranked].sort((a, b) => b.firstShare - a.firstShare || b.passShare - a.passShare)
  }
}

/** Whether a fish is meant by what was typed: by part of its names, or because the book finds it under that name. */
export function isSought({ common, species }: Pick<RankedFish, 'common' | 'species'>, text: string, found: ReadonlySet<string>): boolean {
  const asked = fold(text)
  return asked !== '' && (fold(common).includes(asked) || fold(species).includes(asked) || found.has(species))
}
