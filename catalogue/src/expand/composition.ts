import type { BasedRange, Composition, MeasuredRow, ResolvedOffer, SourceSpecies, Triple } from '@tender-gill/contract'
import { baseRange, measureRange } from './basis.ts'

/** Mineral matter of raw flesh, g in 100 g. Compiled. */
const ASH: Triple = [1, 1.2, 1.6]

/** What 100 g lacks to be whole is water: least when all else is most. */
function byDifference(parts: readonly BasedRange[]): BasedRange {
  const rest = (end: 'low' | 'typical' | 'high') => {
    const sum = parts.reduce((total, part) => total + part[end], 0)
    return Math.round((100 - sum) * 10) / 10
  }
  return { low: rest('high'), typical: rest('typical'), high: rest('low'), basis: 'compiled', source: 'by difference' }
}

interface CompositionOptions {
  readonly shipped: SourceSpecies | undefined
  /** Figures that hold for this offer. */
  readonly measured: readonly MeasuredRow[]
}

/** What 100 g of raw flesh of one offer holds. Fat is the offer's own trait; water is measured or what is left. */
export function describeComposition(
  { origin, part, traits }: ResolvedOffer,
  species: SourceSpecies,
  { shipped, measured }: CompositionOptions,
): Composition {
  const row = (trait: MeasuredRow['trait']) => measured.find((figure) => figure.trait === trait)
  const proteinG = measureRange(baseRange(species.protein, shipped?.protein), row('proteinG'))
  const ashG = measureRange(baseRange(species.ash ?? ASH, shipped ? (shipped.ash ?? ASH) : species.ash ? undefined : ASH), row('ashG'))
  const carbohydrateG = species.carbohydrate ? baseRange(species.carbohydrate, shipped?.carbohydrate) : null
  const left = byDifference([traits.fat, proteinG, ashG, ...(carbohydrateG ? [carbohydrateG] : [])])
  const waterG = traits.fat.basis === 'measured' ? measureRange(left, row('waterG')) : left
  return { origin, part, waterG, proteinG, fatG: traits.fat, ashG, carbohydrateG }
}
