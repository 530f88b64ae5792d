import { useEffect, useMemo } from 'react'
import { shallowEqual, useDispatch, useSelector } from 'react-redux'
import { api, useKitchenQuery } from '../api/api.ts'
import type { AppDispatch, RootState } from '../state/store.ts'
import { createSheetRef, type SheetRef } from './sheetRef.ts'

const { sheetName } = api.endpoints

/** Names the offers of several days, those that are known so far; as `useSheet` does for one. */
export function useSheets(dates: readonly string[]): ReadonlyMap<string, SheetRef> {
  const { data: kitchen } = useKitchenQuery()
  const dispatch = useDispatch<AppDispatch>()
  const days = [...new Set(dates)].sort().join(' ')
  useEffect(() => {
    const asked = days.split(' ').flatMap((date) => (date === '' ? [] : [dispatch(sheetName.initiate({ date }))]))
    return () => asked.forEach((one) => one.unsubscribe())
  }, [days, dispatch])
  const snapshots = useSelector(
    (state: RootState) => days.split(' ').map((date) => sheetName.select({ date })(state).data?.snapshot),
    shallowEqual,
  )
  return useMemo(
    () =>
      new Map(
        days.split(' ').flatMap((date, i) => {
          const snapshot = snapshots[i]
          return kitchen && snapshot !== undefined ? [[date, createSheetRef(kitchen, date, snapshot)] as const] : []
        }),
      ),
    [days, kitchen, snapshots],
  )
}
