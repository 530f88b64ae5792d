const SLICE_MS = 30
/** How far work is, is told this seldom: a page that draws it anew each time holds the work up. */
const TOLD_EVERY_MS = 120

/** Lets go for whatever else is waiting. */
const pause = () => new Promise<void>((resolve) => setTimeout(resolve))

/** The one who asked goes on without the rest of the work. */
export class WorkLeft extends Error {}

interface Between<S> {
  /** Told now and then, at the end of a slice, how far it is. */
  readonly onSlice?: ((step: S) => void) | undefined
  /** Asked after whatever else was waiting. */
  readonly isLeft?: () => boolean
}

/**
 * Carries work out a slice at a time: whatever was asked before is answered first, and whatever is asked meanwhile in between.
 * @throws WorkLeft where it is left before its end
 */
export async function runInSlices<S, A>(work: Generator<S, A>, { onSlice, isLeft = () => false }: Between<S> = {}): Promise<A> {
  await pause()
  let told = performance.now()
  for (let since = told; ;) {
    if (isLeft()) throw new WorkLeft('left before its end')
    const step = work.next()
    if (step.done) return step.value
    if (performance.now() - since < SLICE_MS) continue
    if (performance.now() - told > TOLD_EVERY_MS) {
      onSlice?.(step.value)
      told = performance.now()
    }
    await pause()
    since = performance.now()
  }
}
