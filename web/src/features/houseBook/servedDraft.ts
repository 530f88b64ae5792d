import type { BonesFound, DoneLevel, Entry, FleshKey, Range, ServedDish } from '@tender-gill/contract'
import { servedLine, type ServedLine } from '@tender-gill/core'

/** What is answered of one dish after service; null where nobody said. */
export interface ServedDraft {
  readonly notes: Partial<Record<FleshKey, number>>
  readonly bones: BonesFound | null
  readonly done: DoneLevel | null
  readonly again: boolean | null
  readonly minutes: number | null
  readonly pullC: number | null
  readonly boughtG: number | null
  readonly edibleG: number | null
  readonly portionsBack: number | null
  readonly words: string
  /** The id of a small picture that is kept apart. */
  readonly photo: string | null
}

export const EMPTY_DRAFT: ServedDraft = {
  ...{ notes: {}, bones: null, done: null, again: null, minutes: null, pullC: null },
  ...{ boughtG: null, edibleG: null, portionsBack: null, words: '', photo: null },
}
/** The traits that are asked after service: what is felt, seen and tasted. */
export const ASKED_TRAITS = ['firmness', 'flake', 'flavour'] as const
/** What is asked of those who have another minute: in a simulated kitchen these two are worth as much as the three together. */
export const MORE_TRAITS = ['cohesion', 'fat'] as const
export type AskedTrait = (typeof ASKED_TRAITS)[number] | (typeof MORE_TRAITS)[number]
/** All went as it should: one tap. */
export const ALL_WELL: Pick<ServedDraft, 'notes' | 'bones' | 'done' | 'again'> = {
  notes: { firmness: 0, flake: 0, flavour: 0, cohesion: 0, fat: 0 },
  ...{ bones: 'none', done: 'right', again: true },
}

const KINDS: readonly ServedLine[] = ['served', 'cooked', 'weighed', 'came-back', 'swapped', 'lesson']

type Of<K extends Entry['kind']> = Extract<Entry, { kind: K }>
type Lines = Pick<ServedDish, 'key' | 'lines'>
const find = <K extends ServedLine>({ key, lines }: Lines, kind: K): Of<K> | undefined =>
  lines.find(({ id }) => id === servedLine(key, kind))?.entry as Of<K> | undefined

/** Whether this dish has been written down. */
export const isWritten = ({ key, lines }: Lines): boolean => lines.some(({ id }) => id === servedLine(key, 'served'))

/** What is written of a dish, to be corrected. */
export function readDraft(dish: Pick<ServedDish, 'key' | 'lines' | 'boughtG'>): ServedDraft {
  const served = find(dish, 'served')
  const cooked = find(dish, 'cooked')
  const weighed = find(dish, 'weighed')
  return {
    notes: served?.notes ?? {},
    ...{ bones: served?.bones ?? null, done: cooked?.done ?? null, again: served?.again ?? null },
    ...{ minutes: cooked?.minutes ?? null, pullC: cooked?.pullC ?? null },
    ...{ boughtG: weighed?.boughtG ?? dish.boughtG, edibleG: weighed?.edibleG ?? null },
    portionsBack: find(dish, 'came-back')?.portions ?? null,
    words: find(dish, 'lesson')?.words ?? '',
    photo: served?.photo ?? null,
  }
}

/** Whether a weight cannot be: more came out than was bought. */
export const isOverweight = ({ boughtG, edibleG }: Pick<ServedDraft, 'boughtG' | 'edibleG'>): boolean =>
  edibleG !== null && boughtG !== null && edibleG >= boughtG

interface Sheet {
  readonly minutes: Range
  readonly pullC: number
}
interface Moment {
  readonly day: string
  /** UTC. */
  readonly at: string
  /** What the cook sheet says, where it says anything. */
  readonly sheet: Sheet | null
}

/** What is to be written of a dish, each under its line; null where a line that is there is withdrawn. */
export function toEntries(
  dish: ServedDish,
  draft: ServedDraft,
  { day, at, sheet }: Moment,
): readonly { readonly id: string; readonly entry: Entry | null }[] {
  const { key, servingId, method, fish, merchant, missing, covers } = dish
  const about = {
    ...{ at, day, servingId, dish: dish.dish, method, species: fish?.species ?? null, offerId: fish?.offerId ?? null },
    ...{ form: fish?.form ?? null, merchant, words: null },
  }
  const { notes, bones, done, again, minutes, pullC, boughtG, edibleG, portionsBack } = draft
  const words = draft.words.trim()
  const entries: Readonly<Record<ServedLine, Entry | null>> = {
    served: { kind: 'served', ...about, covers, notes, bones, again, photo: draft.photo },
    cooked:
      done === null && minutes === null && pullC === null
        ? null
        : { kind: 'cooked', ...about, done, minutes, sheetMinutes: sheet?.minutes ?? null, pullC, sheetPullC: sheet?.pullC ?? null },
    weighed:
      fish?.weighedAs && boughtG !== null && edibleG !== null && !isOverweight(draft)
        ? { kind: 'weighed', ...about, form: fish.weighedAs, boughtAs: fish.form, boughtG, edibleG }
        : null,
    'came-back': portionsBack === null || portionsBack === 0 ? null : { kind: 'came-back', ...about, portions: portionsBack },
    swapped: fish && missing ? { kind: 'swapped', ...about, missing: missing.species, standIn: fish.species, worked: again } : null,
    lesson: words === '' ? null : { kind: 'lesson', ...about, words },
  }
  const there = new Set(dish.lines.map(({ id }) => id))
  return KINDS.flatMap((kind) => {
    const id = servedLine(key, kind)
    return entries[kind] || there.has(id) ? [{ id, entry: entries[kind] }] : []
  })
}

/** What puts a dish back to how it was written before. */
export const toWrittenBefore = (
  { lines }: Lines,
  written: readonly { readonly id: string }[],
): readonly { readonly id: string; readonly entry: Entry | null }[] =>
  written.map(({ id }) => ({ id, entry: lines.find((line) => line.id === id)?.entry ?? null }))
