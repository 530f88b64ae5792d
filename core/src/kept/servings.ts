/** What of a serving says when it is, and of which dish. */
export interface DatedServing {
  readonly dishId: string
  readonly brief: { readonly date?: string | undefined }
}

/** Whether a serving is over: its day is before today. One for which no day is set yet is never over. */
export const isOver = ({ brief: { date } }: Pick<DatedServing, 'brief'>, today: string): boolean => date !== undefined && date < today

/** The day by which servings stand in order: what has none yet comes after what has. */
const dayOf = ({ brief: { date } }: DatedServing): string => date ?? '9999-12-31'
const byDay = (a: DatedServing, b: DatedServing): number => (dayOf(a) < dayOf(b) ? -1 : dayOf(a) > dayOf(b) ? 1 : 0)

/** Servings as they come, today's first, those without a day last. @param today the kitchen's calendar day */
export const listComing = <S extends DatedServing>(servings: readonly S[], today: string): readonly S[] =>
  servings.filter((serving) => !isOver(serving, today)).sort(byDay)

/** One serving for each dish: the next to come, else the one without a day, else the last there was. In the order in which they come. */
export function pickPerDish<S extends DatedServing>(servings: readonly S[], today: string): readonly S[] {
  const over = servings.filter((serving) => isOver(serving, today)).sort((a, b) => byDay(b, a))
  const picked = new Map<string, S>()
  for (const serving of [...listComing(servings, today), ...over]) if (!picked.has(serving.dishId)) picked.set(serving.dishId, serving)
  return [...picked.values()]
}
