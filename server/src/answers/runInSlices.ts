import { setImmediate } from 'node:timers/promises'
import type { Response } from 'express'

const SLICE_MS = 25

/** The one who asked has gone: there is nobody to answer. */
export class GoneAway extends Error {}

/**
 * Runs a long study a slice at a time, so that other questions are answered in between; ends it when the one who asked goes away.
 * @throws GoneAway when the connection is closed before the end
 */
export async function runInSlices<T>(work: Generator<unknown, T>, res: Pick<Response, 'on'>): Promise<T> {
  let gone = false
  res.on('close', () => {
    gone = true
  })
  for (let since = performance.now(); ;) {
    const step = work.next()
    if (step.done) return step.value
    if (performance.now() - since < SLICE_MS) continue
    await setImmediate()
    if (gone) throw new GoneAway()
    since = performance.now()
  }
}

/** Answers with the outcome of a study, unless nobody is there any more. */
export async function answerInSlices<T>(work: Generator<unknown, T>, res: Response, tell: (outcome: T) => void): Promise<void> {
  try {
    tell(await runInSlices(work, res))
  } catch (error) {
    if (!(error instanceof GoneAway)) throw error
  }
}
