import { useEffect } from 'react'
import { useServingsQuery } from '../../api/api.ts'
import { sitAt, useEngine, useSheet, useSheets } from '../../engine/index.ts'

/** Fetches what looking at a fish takes before there is no reception: the dishes, and the offers of today and of the days that are bought for. */
export function useKeepSheets(dates: readonly string[]): void {
  const engine = useEngine()
  const today = useSheet()
  const sheets = useSheets(dates)
  useServingsQuery()
  const names = [...(today ? [today.name] : []), ...[...sheets.values()].map(({ name }) => name)].join(' ')
  useEffect(() => {
    for (const ref of [...(today ? [today] : []), ...sheets.values()])
      void sitAt(engine, ref)
        .offers([])
        .catch(() => undefined)
    // The sheets are known by their names.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [engine, names])
}
