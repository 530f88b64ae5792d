import { createSlice, type PayloadAction } from '@reduxjs/toolkit'

/** Something that is done at a moment. It ends at a time of the clock, so that a reload or a locked phone changes nothing. */
export interface Timer {
  readonly id: string
  /** What it is about: a dish and its fish. */
  readonly what: string
  /** What is done when it ends. */
  readonly then: string
  readonly endsMs: number
  /** What times are good to: it may be due from here. */
  readonly fromMs: number
  /** Where its sheet is. */
  readonly path: string
}
export type Timers = readonly Timer[]

const slice = createSlice({
  name: 'timers',
  initialState: [] as Timers,
  reducers: {
    timersSet: (timers, { payload }: PayloadAction<readonly Timer[]>) => {
      const ids = new Set(payload.map(({ id }) => id))
      return [...timers.filter(({ id }) => !ids.has(id)), ...payload].sort((a, b) => a.endsMs - b.endsMs || (a.id < b.id ? -1 : 1))
    },
    timerStopped: (timers, { payload }: PayloadAction<string>) => timers.filter(({ id }) => id !== payload),
    timerMoved: (timers, { payload: { id, byMs } }: PayloadAction<{ readonly id: string; readonly byMs: number }>) =>
      timers
        .map((timer) => (timer.id === id ? { ...timer, endsMs: timer.endsMs + byMs, fromMs: timer.fromMs + byMs } : timer))
        .sort((a, b) => a.endsMs - b.endsMs || (a.id < b.id ? -1 : 1)),
    timersRead: (_timers, { payload }: PayloadAction<Timers>) => payload,
  },
})

export const { timersSet, timerStopped, timerMoved, timersRead } = slice.actions
export const timersReducer = slice.reducer
