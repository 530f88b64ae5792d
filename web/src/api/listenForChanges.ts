import type { Entity } from '@tender-gill/contract'
import type { AppDispatch } from '../state/store.ts'
import { api } from './api.ts'
import { ALL } from './endpoints.ts'
import { ENTITIES } from '@tender-gill/contract/operations'

interface Told {
  readonly version: number
  readonly actor: string | null
  readonly touched: readonly (readonly [Entity, string])[]
}

const toTags = (touched: Told['touched']) => touched.flatMap(([type, id]) => [{ type, id: ALL }, ...(id === '' ? [] : [{ type, id }])])

interface Options {
  readonly kitchenId: string
  /** The name under which this tab speaks: its own changes it knows already. */
  readonly client: string
  readonly dispatch: AppDispatch
  /** How a stream is opened. */
  readonly open?: (address: string) => EventSource
}

/**
 * Hears what is changed in the kitchen, by whomever, and asks anew for what that touches. When the stream comes back after it broke and
 * something happened meanwhile, everything is asked for anew. @returns how to stop
 */
export function listenForChanges({ kitchenId, client, dispatch, open = (address) => new EventSource(address) }: Options): () => void {
  let known: number | undefined
  let broken = false
  const stream = open(`/api/kitchens/${encodeURIComponent(kitchenId)}/changes`)
  stream.addEventListener('error', () => (broken = true))
  stream.addEventListener('version', ({ data }: MessageEvent<string>) => {
    const { version } = JSON.parse(data) as { version: number }
    if (broken || (known !== undefined && known !== version)) dispatch(api.util.invalidateTags([...ENTITIES]))
    known = version
    broken = false
  })
  stream.addEventListener('change', ({ data }: MessageEvent<string>) => {
    const { version, actor, touched } = JSON.parse(data) as Told
    known = version
    if (actor !== client) dispatch(api.util.invalidateTags(toTags(touched)))
  })
  return () => stream.close()
}
