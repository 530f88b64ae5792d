import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import { nameDocument, type DocumentKind, type InputOf } from './kinds.ts'

/** One change of a document: as it was, as it became, and when. */
export interface Step<K extends DocumentKind = DocumentKind> {
  readonly kind: K
  readonly id: string
  readonly before: InputOf<K>
  readonly after: InputOf<K>
  /** Milliseconds since 1970. */
  readonly at: number
  /** When it was undone; only of what can be done again. */
  readonly undoneAt?: number
}
/** What was changed in this tab, the newest last; what was undone, the next to be done again last. */
export interface History {
  readonly past: readonly Step[]
  readonly future: readonly Step[]
}

/** What is typed into one document in one go is undone in one go. */
const ONE_GO_MS = 800
const MOST = 100

const isOfOne = (a: Step, b: Step): boolean => nameDocument(a.kind, a.id) === nameDocument(b.kind, b.id)

/** History after a change. What was undone of the same document cannot be done again; of others it still can. */
export function addStep({ past, future }: History, step: Step): History {
  const last = past.at(-1)
  const goesOn = last && isOfOne(last, step) && step.at - last.at < ONE_GO_MS
  const kept = goesOn ? [...past.slice(0, -1), { ...last, after: step.after, at: step.at }] : [...past, step]
  return { past: kept.slice(-MOST), future: future.filter((one) => !isOfOne(one, step)) }
}
/** History once a step was undone. @param undoneAt milliseconds since 1970 */
export function undoStep({ past, future }: History, step: Step, undoneAt?: number): History {
  return { past: past.filter((one) => one !== step), future: [...future, undoneAt === undefined ? step : { ...step, undoneAt }] }
}
/** History once a step that was undone is done again. */
export function redoStep({ past, future }: History, step: Step): History {
  const { undoneAt: _at, ...again } = step
  return { past: [...past, again], future: future.filter((one) => one !== step) }
}

const slice = createSlice({
  name: 'history',
  initialState: { past: [], future: [] } as History,
  reducers: {
    /** History as it is now: what it becomes is worked out by the functions above. */
    remembered: (_before, { payload }: PayloadAction<History>) => payload as never,
  },
})

export const { remembered } = slice.actions
export const historyReducer = slice.reducer
