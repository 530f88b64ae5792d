import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import type { Problem } from '@tender-gill/contract'
import { nameDocument, type DocumentKind, type InputOf } from './kinds.ts'

/** A document as it is being worked on: what was typed, and what it was typed over. Kept in the browser until the server has it. */
export interface Draft<K extends DocumentKind = DocumentKind> {
  readonly kind: K
  readonly id: string
  readonly input: InputOf<K>
  /** As the server had it when it was first typed over: what two versions are compared with. Null where that is not known. */
  readonly base: InputOf<K> | null
  readonly revision: number
  /** `carried`: another command takes it along, and it is not sent beside that. */
  readonly state: 'unsaved' | 'saving' | 'carried' | 'waiting' | 'refused' | 'conflict'
  readonly problems: readonly Problem[]
  /** Whether it is on its way to the server just now, whatever was typed since. */
  readonly sending: boolean
  /** The key under which it is sent: the same until what is sent changes, over a reload too, so that the server carries it out once. */
  readonly command: string | null
  /** On a conflict: what the server holds, and at which revision. */
  readonly theirs: { readonly input: InputOf<K>; readonly revision: number } | null
}
export type Drafts = Readonly<Record<string, Draft>>

export interface Typed<K extends DocumentKind = DocumentKind> {
  readonly kind: K
  readonly id: string
  readonly input: InputOf<K>
  /** What is typed over, where nothing was typed before. */
  readonly base: InputOf<K>
  readonly revision: number
}
interface Sent {
  readonly key: string
  readonly input: unknown
  readonly revision: number
}

const documentsSlice = createSlice({
  name: 'documents',
  initialState: {} as Record<string, Draft>,
  reducers: {
    documentTyped: (drafts, { payload: { kind, id, input, base, revision } }: PayloadAction<Typed>) => {
      const key = nameDocument(kind, id)
      const before = drafts[key]
      const over = before ? { base: before.base, revision: before.revision, sending: before.sending } : { base, revision, sending: false }
      drafts[key] = { kind, id, input, ...over, state: 'unsaved', problems: [], command: null, theirs: null } as never
    },
    draftMarked: (drafts, { payload: { key, ...marks } }: PayloadAction<{ key: string } & Pick<Draft, 'state'> & Partial<Draft>>) => {
      const draft = drafts[key]
      if (draft) Object.assign(draft, marks)
    },
    /** The server has it, at this revision; what was typed since stays, over what the server has now. */
    draftSent: (drafts, { payload: { key, input, revision } }: PayloadAction<Sent>) => {
      const draft = drafts[key]
      if (!draft) return
      if (JSON.stringify(draft.input) === JSON.stringify(input)) delete drafts[key]
      else Object.assign(draft, { revision, base: input, command: null, sending: false })
    },
    draftDropped: (drafts, { payload: key }: PayloadAction<string>) => {
      delete drafts[key]
    },
    /** Typed over what the server holds now: mine, or what both came to together. */
    draftRebased: (drafts, { payload: { key, input } }: PayloadAction<{ key: string; input?: unknown }>) => {
      const draft = drafts[key]
      if (!draft?.theirs) return
      const { input: base, revision } = draft.theirs
      Object.assign(draft, { base, revision, state: 'unsaved', command: null, theirs: null, ...(input === undefined ? {} : { input }) })
    },
  },
})

export const { documentTyped, draftMarked, draftSent, draftDropped, draftRebased } = documentsSlice.actions
export const documentsReducer = documentsSlice.reducer
