import type { Kitchen } from '@tender-gill/contract'
import { dateIn, type LotAdvice } from '@tender-gill/core'
import { sayDay } from '../../parts/orderWords.ts'
import { readLocalTime } from '../../parts/readLocalTime.ts'

/** A moment as people say it in the kitchen: "14:00 today", "09:30 Monday". @param ms since 1970 */
export function sayMoment(ms: number, { zone, today }: Pick<Kitchen, 'zone' | 'today'>): string {
  return `${readLocalTime(zone, new Date(ms))} ${sayDay(dateIn(zone, ms), today)}`
}

/** What to do with a lot, and by when. @param until a moment in words; null where the clock stands */
export function sayAdvice(advice: LotAdvice, until: string | null): string {
  const by = until === null ? '' : ` by ${until}`
  switch (advice) {
    case 'throw':
      return 'Throw it away'
    case 'use-now':
      return `Cook it today${until === null ? '' : `, by ${until}`}`
    case 'freeze':
      return `Freeze it, or cook it${by}`
    case 'use-first':
      return `Use it first${until === null ? '' : `, by ${until}`}`
    case 'fine':
      return `Keeps${until === null ? '' : ` until ${until}`}`
    case 'frozen':
      return 'Frozen'
  }
}
