import { wrap, type Remote } from 'comlink'
import type { Engine } from './createEngine.ts'

let remote: Remote<Engine> | undefined
let loaded: { key: string; done: Promise<string> } | undefined

/** The engine in its worker; made at first use. */
export function getEngine(): Remote<Engine> {
  remote ??= wrap<Engine>(new Worker(new URL('./engine.worker.ts', import.meta.url), { type: 'module' }))
  return remote
}

/** Loads the offers that a key (kitchen, day, prices) stands for, once. @returns the snapshot they are known by */
export function loadSheet(key: string, day: string): Promise<string> {
  if (loaded?.key !== key) {
    const done = getEngine().load(day)
    loaded = { key, done }
    done.catch(() => {
      loaded = undefined
    })
  }
  return loaded.done
}
