import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import type { ServingRecord, ServingInput, Problem } from '@tender-gill/contract'

/** A dish as it is being worked on: what was typed, and the revision it was typed over. Kept in the browser until the server has it. */
export interface Draft {
  readonly input: ServingInput
  readonly revision: number
  readonly state: 'unsaved' | 'saving' | 'waiting' | 'refused' | 'conflict'
  readonly problems: readonly Problem[]
  /** On a conflict: what the server holds. */
  readonly theirs: ServingRecord | null
}

type Drafts = Record<string, Draft>
interface Changed {
  readonly id: string
  readonly input: ServingInput
  readonly revision: number
}

const draftsSlice = createSlice({
  name: 'drafts',
  initialState: {} as Drafts,
  reducers: {
    draftChanged: (drafts, { payload: { id, input, revision } }: PayloadAction<Changed>) => {
      drafts[id] = { input, revision: drafts[id]?.revision ?? revision, state: 'unsaved', problems: [], theirs: null } as never
    },
    draftState: (drafts, { payload }: PayloadAction<{ id: string } & Pick<Draft, 'state'> & Partial<Draft>>) => {
      const { id, ...rest } = payload
      const draft = drafts[id]
      if (draft) Object.assign(draft, rest)
    },
    /** The server has it, at this revision; what was typed since stays. */
    draftSaved: (drafts, { payload: { id, input, revision } }: PayloadAction<Changed>) => {
      const draft = drafts[id]
      if (!draft) return
      if (JSON.stringify(draft.input) === JSON.stringify(input)) delete drafts[id]
      else draft.revision = revision
    },
    draftDropped: (drafts, { payload: id }: PayloadAction<string>) => {
      delete drafts[id]
    },
    /** After a conflict: mine, over theirs. */
    draftRebased: (drafts, { payload: id }: PayloadAction<string>) => {
      const draft = drafts[id]
      if (draft?.theirs) Object.assign(draft, { revision: draft.theirs.revision, state: 'unsaved', theirs: null })
    },
  },
})

export const { draftChanged, draftState, draftSaved, draftDropped, draftRebased } = draftsSlice.actions
export const draftsReducer = draftsSlice.reducer
export type { Drafts }
