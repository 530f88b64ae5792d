import type { ColdPlaceRecord, LookRecord, LotRecord } from '@tender-gill/contract'
import { addDays } from '@tender-gill/core'
import { useMemo } from 'react'
import { useBuySheetQuery, useColdPlacesQuery, useKitchenQuery, useLooksQuery, useLotsQuery } from '../../api/api.ts'
import { useKeptOffline } from '../../offline/index.ts'
import { useUnread } from '../../outbox/index.ts'
import { layLots } from '../cold/index.ts'
import { layCounterLines } from './counterLines.ts'

const DAYS = 7
const NO_LOTS: readonly LotRecord[] = []
const NO_LOOKS: readonly LookRecord[] = []
const NO_PLACES: readonly ColdPlaceRecord[] = []

/** The buy sheet of the days to come as somebody at the counter has it. @param day the day of one serving, where only that is asked for */
export function useCounter(day?: string) {
  useKeptOffline()
  const { data: kitchen } = useKitchenQuery()
  const today = kitchen?.today ?? ''
  const from = day ?? today
  const query = { from, to: day ?? (today && addDays(today, DAYS - 1)), ...(day === undefined ? { undated: 'yes' as const } : {}) }
  const { data: sheet, isError } = useBuySheetQuery(query, { skip: today === '' })
  const { data: looks = NO_LOOKS } = useLooksQuery()
  const { data: places = NO_PLACES } = useColdPlacesQuery()
  const waiting = useUnread()
  const { data: lots = NO_LOTS } = useLotsQuery()
  const standing = useMemo(() => layLots(lots, waiting), [lots, waiting])
  const counter = useMemo(() => (sheet ? layCounterLines(sheet, looks, waiting) : undefined), [sheet, looks, waiting])
  return { kitchen, sheet, counter, places, lots: standing, isError }
}
