import { createSlice, nanoid, type PayloadAction } from '@reduxjs/toolkit'

/** One thing to say about what was just done: it worked, or it did not. The newest alone is shown. */
export interface Notice {
  readonly id: string
  readonly kind: 'done' | 'failed'
  readonly text: string
  /** Names the undo that belongs to it; null where there is none. */
  readonly undo: string | null
}

interface Notices {
  readonly shown: Notice | null
}

const slice = createSlice({
  name: 'notices',
  initialState: { shown: null } as Notices,
  reducers: {
    said: {
      reducer: (notices, { payload }: PayloadAction<Notice>) => {
        notices.shown = payload
      },
      prepare: (kind: Notice['kind'], text: string, undo: string | null = null) => ({ payload: { id: nanoid(), kind, text, undo } }),
    },
    heard: (notices, { payload: id }: PayloadAction<string>) => {
      if (notices.shown?.id === id) notices.shown = null
    },
  },
})

export const { said, heard } = slice.actions
export const noticesReducer = slice.reducer
