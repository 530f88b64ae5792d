/** Runs work that is done in steps to its end. */
export function finish<T>(work: Generator<number, T>): T {
  for (;;) {
    const { done, value } = work.next()
    if (done) return value
  }
}
