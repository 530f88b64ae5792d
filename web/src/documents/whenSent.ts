import type { AppStore } from '../state/store.ts'

/** How long something on its way is waited for, ms: then it is asked for all the same, and a clash is told. */
const PATIENCE_MS = 15_000

/** Waits while a document is on its way to the server: what is done to it next must not meet it there. @param key as `nameDocument` gives it */
export function whenSent(store: Pick<AppStore, 'getState' | 'subscribe'>, key: string): Promise<void> {
  const underWay = () => store.getState().documents[key]?.sending === true
  if (!underWay()) return Promise.resolve()
  return new Promise((resolve) => {
    const end = () => {
      clearTimeout(timer)
      leave()
      resolve()
    }
    const timer = setTimeout(end, PATIENCE_MS)
    const leave = store.subscribe(() => {
      if (!underWay()) end()
    })
  })
}
