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

/** A grade is no wider than this, heaviest over lightest, where there are names enough: else no fish of it could be sure to suit a plate. */
const WIDEST_GRADE = 1.55
const GRADE_NAMES: readonly (readonly string[])[] = [
  ['small', 'medium', 'large'],
  ['small', 'medium', 'large', 'very large'],
  ['very small', 'small', 'medium', 'large', 'very large'],
]
/** Two figures are enough for a size that is asked for by eye. */
const roundTo2 = (g: number) => {
  const step = 10 ** Math.max(0, Math.floor(Math.log10(g)) - 1)
  return Math.round(g / step) * step
}

/** Sizes to ask for: those the species names, else the market's range in three to five steps of equal ratio. */
export function listGrades({ grades, weightG: [low, , high] }: SourceSpecies): { name: string; fromG: number; toG: number }[] {
  if (grades) return grades.map((grade) => ({ ...grade }))
  const steps = Math.ceil(Math.log(high / low) / Math.log(WIDEST_GRADE))
  const names = GRADE_NAMES[Math.min(GRADE_NAMES.length - 1, Math.max(0, steps - 3))] ?? []
  const ratio = (high / low) ** (1 / names.length)
  return names.map((name, i) => ({ name, fromG: roundTo2(low * ratio ** i), toG: roundTo2(low * ratio ** (i + 1)) }))
}
