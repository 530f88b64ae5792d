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
const move = (step: Step, from: readonly Step[], to: readonly Step[]) => ({ from: from.filter((one) => one !== step), to: [...to, step] })

/** History after a change. What was undone of the same document cannot be done again; of others it still can. */
export function addStep({ past, future }: History, step: Step): History {
  const last = past.at(-1)
  const goesOn = last && isOfOne(last, step) && step.at - last.at < ONE_GO_MS
  const kept = goesOn ? [...past.slice(0, -1), { ...last, after: step.after, at: step.at }] : [...past, step]
  return { past: kept.slice(-MOST), future: future.filter((one) => !isOfOne(one, step)) }
}
/** History once a step was undone. */
export function undoStep({ past, future }: History, step: Step): History {
  const { from, to } = move(step, past, future)
  return { past: from, future: to }
}
/** History once a step that was undone is done again. */
export function redoStep({ past, future }: History, step: Step): History {
  const { from, to } = move(step, future, past)
  return { past: to, future: from }
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
