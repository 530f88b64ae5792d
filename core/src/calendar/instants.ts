/** A moment as it is written, UTC, in ms since 1970; NaN where it is none. */
export const parseInstant = (instant: string): number => Date.parse(instant)
