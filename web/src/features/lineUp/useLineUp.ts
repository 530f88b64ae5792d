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
      /** The rows are of this brief on the offers of now; else those before stand there until they are. */
      readonly current: boolean
      /** Who is left out, and what the house's leanings did, are of this brief and no longer of the one before. */
      readonly whole: boolean
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
  /** Who stands where with what fit is enough: nothing is drawn, nobody is told why he is left out. */
  readonly fitAlone?: boolean
}

/**
 * The line-up of a brief, of what can be bought where the kitchen's switch says so: exact fit at once, shares 150 ms after the last change, and
 * then who is left out.
 */
export function useLineUp(brief: Brief, { held = false, rows = Infinity, fitAlone = false }: LineUpOptions = {}): LineUpState {
  const [only] = useOnlyOffered()
  const sheet = useSheet(brief.date)
  const engine = useEngine()
  const key = sheet ? `${sheet.name}|${only}|${nameQuestion(brief)}` : null
  const exactKey = key && `${rows}|${key}`
  const exact = useAnswer(
    sheet,
    exactKey,
    async (desk) => await desk.lineUp(brief, { shares: false, leftOut: false, rows: held ? rows : Infinity, only }),
  )
  const [progress, setProgress] = useState<{ readonly key: string | null; readonly share: number } | null>(null)
  const drawn = useAnswer(
    sheet,
    held || fitAlone ? null : key,
    async (desk) => {
      const watch = proxy((share: number) => setProgress({ key, share }))
      return await desk.lineUp(brief, { shares: true, leftOut: false, rows: Infinity, only }, watch)
    },
    SHARES_AFTER_MS,
  )
  const complete = drawn !== undefined && drawn.key === key
  const rest = useAnswer(
    sheet,
    complete && !held ? key : null,
    async (desk) => await desk.lineUp(brief, { shares: false, leftOut: true, rows: 1, only }),
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
  const answer = complete ? drawn.value : (exact ?? drawn)?.value
  const now = answer?.ok ? answer.value : undefined
  // Who is left out changes little while a band moves: the last list stands until the new one is there.
  const beside = rest?.value.ok ? rest.value.value : undefined
  const lineUp = useMemo(
    () => now && (beside ? { ...now.lineUp, leftOut: beside.lineUp.leftOut, houseLeaning: beside.lineUp.houseLeaning } : now.lineUp),
    [now, beside],
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
    unoffered: beside?.unoffered ?? null,
    sharesReady: complete && !left,
    current: complete || exact?.key === exactKey,
    whole: complete && rest?.key === key,
    progress: underWay,
    left,
    leave,
  }
}
