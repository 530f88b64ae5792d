import { useState } from 'react'
import type { ResolvedOffer } from '@tender-gill/contract'
import type { SheetRef } from './sheetRef.ts'
import { useAnswer } from './useAnswer.ts'
import { useSheet } from './useSheet.ts'

type Known = ReadonlyMap<string, ResolvedOffer>
const NONE: Known = new Map()

/** The offers behind some rows, for their drawings. Rows come and go while a band moves: what was fetched of a sheet is not fetched again. */
export function useOffers(ids: readonly string[], date: string | undefined): Known {
  const sheet: SheetRef | undefined = useSheet(date)
  const [seen, setSeen] = useState<{ readonly name: string; readonly offers: Known }>({ name: '', offers: NONE })
  const known = seen.name === sheet?.name ? seen.offers : NONE
  const wanted = ids.filter((id) => !known.has(id)).sort()
  const key = wanted.join(',')
  useAnswer(sheet, key === '' ? null : key, async (desk) => {
    const fetched = await desk.offers(wanted)
    if (sheet)
      setSeen((before) => ({
        name: sheet.name,
        offers: new Map([...(before.name === sheet.name ? before.offers : NONE), ...fetched.map((offer) => [offer.id, offer] as const)]),
      }))
    return fetched.length
  })
  return known
}
