import { wrap, type Remote } from 'comlink'
import { createContext, useContext, type ReactNode } from 'react'
import { nameReader } from '@tender-gill/words/plain'
import { reader } from '../reader/index.ts'
import type { Engine } from './createEngine.ts'
import type { SheetRef } from './sheetRef.ts'

/** Where questions go; made once for a page. */
export type EngineRemote = Remote<Engine>

/** The engine in its worker. */
export function startEngine(): EngineRemote {
  const engine = wrap<Engine>(new Worker(new URL('./engine.worker.ts', import.meta.url), { type: 'module' }))
  void engine.readAs(nameReader(reader))
  return engine
}

const Room = createContext<EngineRemote | null>(null)

export const EngineRoom = ({ engine, children }: { readonly engine: EngineRemote; readonly children: ReactNode }) => (
  <Room.Provider value={engine}>{children}</Room.Provider>
)

export function useEngine(): EngineRemote {
  const engine = useContext(Room)
  if (!engine) throw new Error('no engine: the page stands outside of its room')
  return engine
}

type Rest<F> = F extends (ref: SheetRef, ...rest: infer A) => infer R ? (...rest: A) => Promise<Awaited<R>> : never
/** The engine on one sheet: every question is answered from it. */
export type Desk = { readonly [Name in Exclude<keyof Engine, 'readAs' | 'leaveStudy'>]: Rest<Engine[Name]> }

const desks = new WeakMap<EngineRemote, Map<string, Desk>>()

/** The engine with every question put to this sheet. */
export function sitAt(engine: EngineRemote, ref: SheetRef): Desk {
  const known = desks.get(engine) ?? new Map<string, Desk>()
  desks.set(engine, known)
  const desk =
    known.get(ref.name) ??
    (new Proxy(
      {},
      {
        get:
          (_target, name) =>
          (...rest: unknown[]) =>
            (engine as unknown as Record<string | symbol, (...args: unknown[]) => unknown>)[name]?.(ref, ...rest),
      },
    ) as Desk)
  known.set(ref.name, desk)
  return desk
}
