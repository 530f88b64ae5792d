const SLICE_MS = 30

/** The one who asked goes on without the rest of the work. */
export class WorkLeft extends Error {}

interface Between<S> {
  /** Told at the end of a slice how far it is. */
  readonly onSlice?: ((step: S) => void) | undefined
  /** Asked after whatever else was waiting. */
  readonly isLeft?: () => boolean
}

/**
 * Carries work out a slice at a time: whatever else is asked meanwhile is answered in between.
 * @throws WorkLeft where it is left before its end
 */
export async function runInSlices<S, A>(work: Generator<S, A>, { onSlice, isLeft = () => false }: Between<S> = {}): Promise<A> {
  for (let since = performance.now(); ;) {
    const step = work.next()
    if (step.done) return step.value
    if (performance.now() - since < SLICE_MS) continue
    onSlice?.(step.value)
    await new Promise((resolve) => setTimeout(resolve))
    since = performance.now()
    if (isLeft()) throw new WorkLeft('left before its end')
  }
}
