import { proxy } from 'comlink'
import { useCallback, useEffect, useMemo, useState } from 'react'
import type { Brief, LineUp, Problem, ResolvedOffer } from '@tender-gill/contract'
import { getEngine } from '../../engine/engine.ts'
import { nameQuestion, useAnswer, useSheet } from '../../engine/useEngine.ts'

export type LineUpState =
  | { readonly status: 'waiting' }
  | { readonly status: 'refused'; readonly problems: readonly Problem[] }
  | {
      readonly status: 'ready'
      readonly lineUp: LineUp
      /** How many can do the dish; while a band is held fewer rows than that may be there. */
      readonly able: number
      readonly sharesReady: boolean
      /** How much of the draws is done, 0..1; null when none are under way. */
      readonly progress: number | null
      /** The draws were left before their end. */
      readonly left: boolean
      readonly leave: () => void
    }

const SHARES_AFTER_MS = 150

interface LineUpOptions {
  /** A band is being dragged: exact fit only. */
  readonly held?: boolean
  /** Rows that are looked at while it is; all when left out. */
  readonly rows?: number
}

/** The line-up of a brief: exact fit at once, shares and the left-out 150 ms after the last change. */
export function useLineUp(brief: Brief, { held = false, rows = Infinity }: LineUpOptions = {}): LineUpState {
  const snapshot = useSheet(brief.date)
  const key = snapshot ? `${snapshot}|${nameQuestion(brief)}` : null
  const exact = useAnswer(
    snapshot,
    key && `${rows}|${key}`,
    async (engine) => await engine.lineUp(brief, { shares: false, leftOut: false, rows: held ? rows : Infinity }),
  )
  const [progress, setProgress] = useState<{ readonly key: string | null; readonly share: number } | null>(null)
  const full = useAnswer(
    snapshot,
    held ? null : key,
    async (engine) => {
      const watch = proxy((share: number) => setProgress({ key, share }))
      return await engine.lineUp(brief, { shares: true, leftOut: true, rows: Infinity }, watch)
    },
    SHARES_AFTER_MS,
  )
  const [leftKey, setLeftKey] = useState<string | null>(null)
  // A study nobody waits for any more is ended, so that the next can begin.
  useEffect(
    () => () => {
      setLeftKey(null)
      void getEngine().leaveStudy()
    },
    [key],
  )
  // Left is left, even where the last draw was done while the word was on its way.
  const leave = useCallback(() => {
    setLeftKey(key)
    void getEngine().leaveStudy()
  }, [key])
  const complete = full !== undefined && full.key === key
  const answer = complete ? full.value : (exact ?? full)?.value
  const now = answer?.ok ? answer.value : undefined
  const before = full?.value.ok ? full.value.value : undefined
  // What was left out changes little while a band moves: the last complete list stands until the new one is there.
  const lineUp = useMemo(
    () => (now && before && !complete ? { ...now.lineUp, leftOut: before.lineUp.leftOut } : now?.lineUp),
    [now, before, complete],
  )
  if (!answer) return { status: 'waiting' }
  if (!answer.ok) return { status: 'refused', problems: answer.error }
  if (!lineUp || !now) return { status: 'waiting' }
  const underWay = !complete && progress?.key === key ? progress.share : null
  const left = complete && (now.left || (leftKey !== null && leftKey === key))
  return {
    status: 'ready',
    lineUp,
    able: now.able,
    sharesReady: complete && !left,
    progress: underWay,
    left,
    leave,
  }
}

/** Offers fetched from the worker so far, of one sheet: rows come and go while a band moves, and most have been seen. */
let seen: { readonly snapshot: string; readonly offers: Map<string, ResolvedOffer> } = { snapshot: '', offers: new Map() }

function offersSeen(snapshot: string): Map<string, ResolvedOffer> {
  if (seen.snapshot !== snapshot) seen = { snapshot, offers: new Map() }
  return seen.offers
}
const NONE: ReadonlyMap<string, ResolvedOffer> = new Map()

/** The offers behind some rows, for their drawings. */
export function useOffers(ids: readonly string[], date: string | undefined): ReadonlyMap<string, ResolvedOffer> {
  const snapshot = useSheet(date)
  const known = snapshot ? offersSeen(snapshot) : NONE
  const wanted = ids.filter((id) => !known.has(id)).sort()
  const key = wanted.join(',')
  useAnswer(snapshot, key === '' ? null : key, async (engine) => {
    const fetched = await engine.offers(wanted)
    if (snapshot) for (const offer of fetched) offersSeen(snapshot).set(offer.id, offer)
    return fetched.length
  })
  return known
}
