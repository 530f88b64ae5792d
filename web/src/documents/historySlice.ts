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

const slice = createSlice({
  name: 'history',
  initialState: { past: [], future: [] } as History,
  reducers: {
    stepped: ({ past }, { payload }: PayloadAction<Step>) => {
      const last = past.at(-1)
      const goesOn = last && nameDocument(last.kind, last.id) === nameDocument(payload.kind, payload.id) && payload.at - last.at < ONE_GO_MS
      const kept = goesOn ? [...past.slice(0, -1), { ...last, after: payload.after, at: payload.at }] : [...past, payload]
      return { past: kept.slice(-MOST), future: [] } as never
    },
    /** The newest step was undone. */
    steppedBack: ({ past, future }) => {
      const last = past.at(-1)
      return (last ? { past: past.slice(0, -1), future: [...future, last] } : { past, future }) as never
    },
    /** The step that was undone last was done again. */
    steppedOn: ({ past, future }) => {
      const next = future.at(-1)
      return (next ? { past: [...past, next], future: future.slice(0, -1) } : { past, future }) as never
    },
  },
})

export const { stepped, steppedBack, steppedOn } = slice.actions
export const historyReducer = slice.reducer
