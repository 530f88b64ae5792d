import { setImmediate } from 'node:timers/promises'
import type { Kitchen } from '@tender-gill/contract'
import type { Desk } from './desk.ts'

/** Work in steps, so that other questions are answered in between and it can be left at any step; or the answer at once. */
export type Work<A> = Generator<unknown, A> | A

/** A question that takes a while: what it has before it, and what is asked. */
export type Study<P, A> = (desk: Desk, kitchen: Kitchen, payload: P) => Promise<Work<A>>

const SLICE_MS = 20

/** The one who asked has gone: there is nobody to answer. */
export class GoneAway extends Error {}

const isSteps = <A>(work: Work<A>): work is Generator<unknown, A> =>
  typeof work === 'object' && work !== null && typeof (work as { next?: unknown }).next === 'function'

/**
 * Runs work to its end, a slice at a time.
 * @throws GoneAway when the signal comes first
 */
export async function runInSlices<A>(work: Work<A>, signal?: AbortSignal): Promise<A> {
  if (!isSteps(work)) return work
  for (let since = performance.now(); ;) {
    const step = work.next()
    if (step.done) return step.value
    if (performance.now() - since < SLICE_MS) continue
    await setImmediate()
    if (signal?.aborted) throw new GoneAway()
    since = performance.now()
  }
}
