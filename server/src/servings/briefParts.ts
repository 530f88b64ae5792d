import type { Brief, Diners, Recipe } from '@tender-gill/contract'

/** The parts of a brief that belong to one serving. */
export interface ServingParts {
  readonly day: string | null
  readonly covers: number | null
  readonly diners: Diners | null
}

/** A brief taken apart: what is cooked, and when and for whom. */
export function splitBrief({ covers, diners, date, ...recipe }: Brief): { readonly recipe: Recipe; readonly parts: ServingParts } {
  return { recipe, parts: { day: date ?? null, covers: covers ?? null, diners: diners ?? null } }
}

/** The whole brief of a serving: its dish with its day, its covers and its diners; what nobody said is not in it. */
export const joinBrief = (recipe: Recipe, { day, covers, diners }: ServingParts): Brief => ({
  ...recipe,
  ...(covers === null ? {} : { covers }),
  ...(diners === null ? {} : { diners }),
  ...(day === null ? {} : { date: day }),
})
