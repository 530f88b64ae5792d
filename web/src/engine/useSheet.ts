import { useMemo } from 'react'
import { useKitchenQuery, useSheetNameQuery } from '../api/api.ts'
import { createSheetRef, type SheetRef } from './sheetRef.ts'

/**
 * Names the offers of a day, today where none is said; changes when the kitchen, the day or anything the kitchen lays over the book does.
 * Undefined until the name is known, and where nothing is to be asked.
 */
export function useSheet(date?: string, { skip = false }: { readonly skip?: boolean } = {}): SheetRef | undefined {
  const { data: kitchen } = useKitchenQuery()
  const day = date ?? kitchen?.today
  const { currentData: named } = useSheetNameQuery({ ...(day === undefined ? {} : { date: day }) }, { skip: skip || day === undefined })
  const snapshot = named?.snapshot
  return useMemo(
    () => (kitchen && day !== undefined && snapshot !== undefined && !skip ? createSheetRef(kitchen, day, snapshot) : undefined),
    [kitchen, day, snapshot, skip],
  )
}
