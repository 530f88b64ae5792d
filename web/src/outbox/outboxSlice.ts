import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import type { ArgOf, Operations } from '@tender-gill/contract/operations'

/** Commands that may be given out of reach of the server: they wait in the browser and are sent in the order in which they were given. */
export const OUTBOX_COMMANDS = [
  'createLook',
  'createPurchase',
  'savePurchase',
  'removePurchase',
  'createLot',
  'saveLot',
  'removeLot',
  'decide',
  'writeEntries',
  'keepPhoto',
] as const
export type OutboxCommand = (typeof OUTBOX_COMMANDS)[number]

export interface Given<Name extends OutboxCommand = OutboxCommand> {
  /** The key under which it is sent: however often it comes, it is carried out once. */
  readonly id: string
  readonly command: Name
  readonly arg: ArgOf<Operations[Name]>
  /** Which record it is about: what came after a command that is refused waits with it. */
  readonly about: string
  /** What it does, in words, for whoever looks at what still waits. */
  readonly words: string
  /** When it was given, UTC. */
  readonly at: string
  readonly state: 'waiting' | 'refused' | 'conflict'
  /** Why it was refused. */
  readonly problem: string | null
  /** What the server keeps instead, where that is known. */
  readonly current: unknown
}

export type Outbox = readonly Given[]

const slice = createSlice({
  name: 'outbox',
  initialState: [] as Outbox,
  reducers: {
    /** A command is given. */
    commandGiven: (outbox, { payload }: PayloadAction<Given>) => [...outbox, payload],
    /** What is kept in the browser, whichever tab wrote it. */
    outboxRead: (_outbox, { payload }: PayloadAction<Outbox>) => payload,
    /** A refused command is let go, or given again in another way. */
    commandSettled: (outbox, { payload: { id, again } }: PayloadAction<{ readonly id: string; readonly again: Given | null }>) =>
      outbox.flatMap((one) => (one.id === id ? (again ? [again] : []) : [one])),
  },
})

export const { commandGiven, outboxRead, commandSettled } = slice.actions
export const outboxReducer = slice.reducer

const arrivals = createSlice({
  name: 'arrivals',
  initialState: [] as Outbox,
  reducers: {
    /** The server has it, and what the page has read of the server does not tell it yet. */
    commandKept: (kept, { payload }: PayloadAction<Given>) => [...kept, payload],
    /** What the page reads tells of it. */
    arrivalRead: (kept, { payload: id }: PayloadAction<string>) => kept.filter((one) => one.id !== id),
  },
})

export const { commandKept, arrivalRead } = arrivals.actions
export const arrivalsReducer = arrivals.reducer
