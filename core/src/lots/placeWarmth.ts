import type { ColdReading, Fact } from '@tender-gill/contract'
import { parseInstant } from '../calendar/index.ts'
import { celsius, figure, say } from '../facts/index.ts'
import { PLACE_LIMITS } from '../tables/signs.ts'
import type { KnownPlace } from './readHistory.ts'

const MINUTE_MS = 60_000

/** How a place has kept its warmth. */
export interface PlaceWarmth {
  readonly id: string
  readonly name: string
  readonly latest: { readonly atMs: number; readonly celsius: number } | null
  /** Why it is not to be trusted; null where nothing is wrong. */
  readonly problem: Fact | null
}

/**
 * How a place has kept its warmth: warm for longer than a door stands open, or silent although it has a thermometer. What was warm and is
 * cold again is told for a day: the fish went through it.
 */
export function judgePlace({ id, place }: KnownPlace, readings: readonly ColdReading[], nowMs: number): PlaceWarmth {
  const { limitC, minutes: allowed, toldHours, silentHours } = PLACE_LIMITS[place.kind]
  const own = readings.flatMap(({ place: of, at, celsius: c }) => (of === id ? [{ atMs: parseInstant(at), celsius: c }] : []))
  const latest = own.at(-1) ?? null
  const said = (problem: Fact | null): PlaceWarmth => ({ id, name: place.name, latest, problem })
  if (limitC === null) return said(null)
  let warmMs = 0
  let hottest = -Infinity
  for (const [i, { atMs, celsius: c }] of own.entries()) {
    const until = Math.min(nowMs, own[i + 1]?.atMs ?? nowMs)
    if (c <= limitC || until < nowMs - toldHours * 60 * MINUTE_MS) continue
    warmMs += until - Math.max(atMs, nowMs - toldHours * 60 * MINUTE_MS)
    hottest = Math.max(hottest, c)
  }
  const isWarm = latest !== null && latest.celsius > limitC
  if (warmMs > allowed * MINUTE_MS)
    return said(
      say(isWarm ? 'place.warm' : 'place.was-warm', {
        ...{ place: place.name, hottest: celsius(hottest), limit: celsius(limitC), time: figure(warmMs / (60 * MINUTE_MS), 1) },
      }),
    )
  if (place.thermometer !== null && latest !== null && nowMs - latest.atMs > silentHours * 60 * MINUTE_MS)
    return said(say('place.silent', { place: place.name, time: figure((nowMs - latest.atMs) / (60 * MINUTE_MS), 1) }))
  return said(null)
}
