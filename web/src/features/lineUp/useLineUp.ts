import { proxy } from 'comlink'
import { useCallback, useEffect, useMemo, useState } from 'react'
import type { Brief, LineUp, Problem } from '@tender-gill/contract'
import { nameQuestion, useAnswer, useEngine, useSheet, type Unoffered } from '../../engine/index.ts'
import { useOnlyOffered } from '../../state/useOnlyOffered.ts'

export type LineUpState =
  | { readonly status: 'waiting' }
  | { readonly status: 'refused'; readonly problems: readonly Problem[] }
  | {
      readonly status: 'ready'
      readonly lineUp: LineUp
      /** How many can do the dish; while a band is held fewer rows than that may be there. */
      readonly able: number
      /** Only what can be bought answered; how many species that are, and who nobody offers would be fitter. */
      readonly onlyOffered: boolean
      readonly offered: number
      readonly unoffered: Unoffered | null
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

/** The line-up of a brief, of what can be bought where the kitchen's switch says so: exact fit at once, shares and the left-out 150 ms after the last change. */
export function useLineUp(brief: Brief, { held = false, rows = Infinity }: LineUpOptions = {}): LineUpState {
  const [only] = useOnlyOffered()
  const sheet = useSheet(brief.date)
  const engine = useEngine()
  const key = sheet ? `${sheet.name}|${only}|${nameQuestion(brief)}` : null
  const exact = useAnswer(
    sheet,
    key && `${rows}|${key}`,
    async (desk) => await desk.lineUp(brief, { shares: false, leftOut: false, rows: held ? rows : Infinity, only }),
  )
  const [progress, setProgress] = useState<{ readonly key: string | null; readonly share: number } | null>(null)
  const full = useAnswer(
    sheet,
    held ? null : key,
    async (desk) => {
      const watch = proxy((share: number) => setProgress({ key, share }))
      return await desk.lineUp(brief, { shares: true, leftOut: true, rows: Infinity, only }, watch)
    },
    SHARES_AFTER_MS,
  )
  const [leftKey, setLeftKey] = useState<string | null>(null)
  // A study nobody waits for any more is ended, so that the next can begin.
  useEffect(
    () => () => {
      setLeftKey(null)
      void engine.leaveStudy()
    },
    [engine, key],
  )
  // Left is left, even where the last draw was done while the word was on its way.
  const leave = useCallback(() => {
    setLeftKey(key)
    void engine.leaveStudy()
  }, [engine, key])
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
    onlyOffered: now.onlyOffered,
    offered: now.offered,
    unoffered: (complete ? now : before)?.unoffered ?? null,
    sharesReady: complete && !left,
    progress: underWay,
    left,
    leave,
  }
}
