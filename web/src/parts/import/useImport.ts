import { useRef, useState } from 'react'
import { toProblemDetails } from '../../api/api.ts'
import { useUndoable } from '../../notices/index.ts'

interface ImportSteps<Asked, Report, Kept> {
  /** Sends what is asked: to look it through, or to keep it. */
  readonly bring: (asked: Asked) => PromiseLike<{ readonly data?: Report; readonly error?: unknown }>
  /** What a report says was kept by it, and can be taken back; null where nothing was. */
  readonly readKept: (report: Report) => Kept | null
  readonly takeBack: (kept: Kept) => Promise<unknown>
  /** The report as it reads once what it kept is taken back; null where it says nothing any more. */
  readonly without: (report: Report) => Report | null
  readonly says: { readonly done: string; readonly undone: string; readonly failed: string }
  readonly onReport?: (report: Report) => void
}

/**
 * One way to bring something in: look it through, keep it when the person says so, take it back in one press. Answers may overtake one
 * another: only that to the newest question is shown.
 */
export function useImport<Asked, Report, Kept>({ bring, readKept, takeBack, without, says, onReport }: ImportSteps<Asked, Report, Kept>) {
  const [report, setReport] = useState<Report | null>(null)
  const [failure, setFailure] = useState<string>()
  const [waits, setWaits] = useState(0)
  const newest = useRef(0)
  const undoable = useUndoable()
  const run = async (asked: Asked) => {
    const mine = (newest.current += 1)
    setFailure(undefined)
    setWaits((n) => n + 1)
    const { data, error } = await bring(asked)
    setWaits((n) => n - 1)
    const isNewest = mine === newest.current
    if (data === undefined) {
      if (isNewest) {
        const details = toProblemDetails(error)
        setFailure(details?.problems?.[0]?.message ?? details?.detail ?? says.failed)
      }
      return
    }
    if (isNewest) {
      setReport(data)
      onReport?.(data)
    }
    const kept = readKept(data)
    if (kept !== null)
      void undoable(() => Promise.resolve(kept), {
        done: says.done,
        undone: says.undone,
        undo: async (one) => {
          await takeBack(one)
          setReport((now) => now && without(now))
        },
      })
  }
  return { report, failure, isLoading: waits > 0, run, forget: () => setReport(null) }
}
