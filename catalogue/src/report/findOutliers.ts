import { FLESH_KEYS, type SpeciesSheet } from '@tender-gill/contract'

/** A value to look at again: far from its family, or from what flesh can be. */
export interface Outlier {
  readonly species: string
  readonly what: string
  readonly value: number
  readonly expected: number
}

const median = (values: readonly number[]): number => {
  const sorted = [...values].sort((a, b) => a - b)
  const middle = Math.floor(sorted.length / 2)
  return sorted.length % 2 === 1 ? (sorted[middle] ?? 0) : ((sorted[middle - 1] ?? 0) + (sorted[middle] ?? 0)) / 2
}

const LEAST_FAMILY = 5
/** Standard deviations, by the median absolute deviation. */
const FAR = 3.5
const MAD_TO_SD = 1.4826
/** Families are wider than their members' figures say: this much is never an outlier, in steps, or in roots of g for fat. */
const ALWAYS_FINE = 2

const firstOf = ({ offers }: SpeciesSheet) => offers[0]

/** Traits far from the median of their family, in families large enough to have one. */
export function findFamilyOutliers(sheets: readonly SpeciesSheet[]): readonly Outlier[] {
  return [...groupByFamily(sheets).values()]
    .filter((members) => members.length >= LEAST_FAMILY)
    .flatMap((members) =>
      FLESH_KEYS.flatMap((key) => {
        const at = (sheet: SpeciesSheet) => {
          const x = firstOf(sheet)?.traits[key].typical ?? 0
          return key === 'fat' ? Math.sqrt(x) : x
        }
        const middle = median(members.map(at))
        const spread = median(members.map((sheet) => Math.abs(at(sheet) - middle))) * MAD_TO_SD
        const limit = Math.max(ALWAYS_FINE, FAR * spread)
        return members
          .filter((sheet) => Math.abs(at(sheet) - middle) > limit)
          .map((sheet) => ({ species: sheet.species, what: `${key}, in ${sheet.family}`, value: at(sheet), expected: middle }))
      }),
    )
}

function groupByFamily(sheets: readonly SpeciesSheet[]): ReadonlyMap<string, readonly SpeciesSheet[]> {
  const groups = new Map<string, SpeciesSheet[]>()
  for (const sheet of sheets) groups.set(sheet.family, [...(groups.get(sheet.family) ?? []), sheet])
  return groups
}

/** Least squares of y on x. */
function fitLine(points: readonly (readonly [x: number, y: number])[]): { slope: number; intercept: number } {
  const n = points.length
  const meanX = points.reduce((sum, [x]) => sum + x, 0) / n
  const meanY = points.reduce((sum, [, y]) => sum + y, 0) / n
  const sxy = points.reduce((sum, [x, y]) => sum + (x - meanX) * (y - meanY), 0)
  const sxx = points.reduce((sum, [x]) => sum + (x - meanX) ** 2, 0)
  return { slope: sxy / sxx, intercept: meanY - (sxy / sxx) * meanX }
}

/** Water falls as fat rises, in a line; a flesh this many g off it is very wet, very dense or mistyped. */
const FAR_FROM_LINE_G = 5

/** Compositions off the line of water against fat that the whole book makes. */
export function findCompositionOutliers(sheets: readonly SpeciesSheet[]): readonly Outlier[] {
  const rows = sheets.flatMap(({ species, composition }) =>
    composition.map(({ origin, part, fatG, waterG }) => ({
      species,
      what: `water, ${origin} ${part}`,
      fat: fatG.typical,
      water: waterG.typical,
    })),
  )
  const { slope, intercept } = fitLine(rows.map(({ fat, water }) => [fat, water]))
  return rows
    .map(({ species, what, fat, water }) => ({ species, what, value: water, expected: intercept + slope * fat }))
    .filter(({ value, expected }) => Math.abs(value - expected) > FAR_FROM_LINE_G)
}
