import type { Body, Range, SourceSpecies, Triple } from '@tender-gill/contract'

/** Length of a whole fish of 1 kg, cm, by body; length grows with the cube root of weight. Compiled. */
const LENGTH_AT_1_KG_CM: Record<Body, number> = { round: 46, deep: 38, flat: 42, eel: 76 }

/** How long a fish of this weight is, cm: does it fit the plate, the tray, the steamer? */
export const computeLengthCm = (
  { body = 'round', lengthAt1KgCm }: Pick<SourceSpecies, 'body' | 'lengthAt1KgCm'>,
  weightG: number,
): number => (lengthAt1KgCm ?? LENGTH_AT_1_KG_CM[body]) * Math.cbrt(weightG / 1000)

export function computeLengths(species: SourceSpecies): Range {
  const [low, typical, high] = species.weightG.map((g) => Math.round(computeLengthCm(species, g) * 10) / 10) as Triple
  return { low, typical, high }
}

const GRADE_NAMES = ['small', 'medium', 'large'] as const
/** Two figures are enough for a size that is asked for by eye. */
const roundTo2 = (g: number) => {
  const step = 10 ** Math.max(0, Math.floor(Math.log10(g)) - 1)
  return Math.round(g / step) * step
}

/** Sizes to ask for: those the species names, else the market's range in three steps of equal ratio. */
export function listGrades({ grades, weightG: [low, , high] }: SourceSpecies): { name: string; fromG: number; toG: number }[] {
  if (grades) return grades.map((grade) => ({ ...grade }))
  const ratio = Math.cbrt(high / low)
  return GRADE_NAMES.map((name, i) => ({ name, fromG: roundTo2(low * ratio ** i), toG: roundTo2(low * ratio ** (i + 1)) }))
}
