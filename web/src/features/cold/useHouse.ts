import type { ColdPlaceRecord, ColdReading, LotRecord } from '@tender-gill/contract'
import { atHour, SERVICE_HOUR } from '@tender-gill/core'
import { useEffect, useMemo, useState } from 'react'
import { useColdPlacesQuery, useColdReadingsQuery, useKitchenQuery, useLotsQuery, useServingsQuery } from '../../api/api.ts'
import { nameQuestion, useAnswer, useSheet } from '../../engine/index.ts'
import { useUnread } from '../../outbox/index.ts'
import { layLots } from './layLots.ts'

const NO_LOTS: readonly LotRecord[] = []
const NO_PLACES: readonly ColdPlaceRecord[] = []
const NO_READINGS: readonly ColdReading[] = []
const MINUTE_MS = 60_000

/** The moment, as it is told: it moves on once a minute. */
function useMinute(): number {
  const [nowMs, setNow] = useState(() => Date.now())
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), MINUTE_MS)
    return () => clearInterval(timer)
  }, [])
  return nowMs
}

/** Everything in the house by how much it presses, and how each place keeps its warmth; worked out here, so that it goes on without reception. */
export function useHouse() {
  const { data: kitchen } = useKitchenQuery()
  const { data: kept } = useLotsQuery()
  const { data: places = NO_PLACES } = useColdPlacesQuery()
  const { data: readings = NO_READINGS } = useColdReadingsQuery({})
  const { data: records } = useServingsQuery()
  const waiting = useUnread()
  const nowMs = useMinute()
  const lots = useMemo(() => layLots(kept ?? NO_LOTS, waiting), [kept, waiting])
  const servings = useMemo(
    () =>
      (records ?? []).map(({ id, brief: { dish, date } }) => ({
        ...{ id, dish },
        eatenMs: date === undefined || !kitchen ? null : atHour(date, SERVICE_HOUR, kitchen.zone),
      })),
    [records, kitchen],
  )
  const here = lots.filter(({ lot }) => lot.state === 'here')
  const house = { lots: here, places, readings, servings, nowMs }
  const key = nameQuestion({
    lots: here.map(({ id, revision, lot }) => [id, revision, lot]),
    places,
    last: readings.at(-1),
    n: readings.length,
    servings,
    nowMs,
  })
  const plan = useAnswer(useSheet(), kept && records ? key : null, (desk) => desk.useFirst(house))?.value
  return { kitchen, plan, lots, places, readings, records, nowMs }
}
export type House = ReturnType<typeof useHouse>
