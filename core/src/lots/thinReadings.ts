import type { ColdReading } from '@tender-gill/contract'
import { parseInstant } from '../calendar/index.ts'
import { HISTAMINE_LIMITS } from '../tables/constants.ts'
import { PLACE_LIMITS } from '../tables/signs.ts'

/** Readings nearer than this to the last one that is told say nothing new, °C. */
const SAME_C = 0.3
/** But one is told at least this often: a reading speaks for so long and no longer. */
const AT_LEAST_EVERY_MS = 3_600_000

const LIMITS: readonly number[] = [
  ...HISTAMINE_LIMITS.map(({ aboveC }) => aboveC),
  ...Object.values(PLACE_LIMITS).flatMap(({ limitC }) => limitC ?? []),
]
/** Whether two warmths lie on the same side of everything that is held against a limit. */
const sameSides = (a: number, b: number): boolean => LIMITS.every((limit) => a > limit === b > limit)

/**
 * Readings without those that say nothing new, so that months of them can be sent: each that moves, that crosses a limit, and one an hour.
 * @param readings of any places, the oldest first within each
 */
export function thinReadings(readings: readonly ColdReading[]): readonly ColdReading[] {
  const told = new Map<string, ColdReading>()
  return readings.filter((reading) => {
    const last = told.get(reading.place)
    const isNew =
      last === undefined ||
      Math.abs(reading.celsius - last.celsius) >= SAME_C ||
      parseInstant(reading.at) - parseInstant(last.at) >= AT_LEAST_EVERY_MS ||
      !sameSides(reading.celsius, last.celsius)
    if (isNew) told.set(reading.place, reading)
    return isNew
  })
}
