import { EventEmitter } from 'node:events'
import pg from 'pg'
import type { Request, Response } from 'express'
import type { Entity } from '@tender-gill/contract'
import { CHANGES_CHANNEL } from '../commands/index.ts'
import type { KitchenRepository } from '../kitchens/kitchenRepository.ts'
import { notFound } from '../http/errors.ts'

/** A change that was kept: of which kitchen, at which version, by whom, and what it touched. */
export interface KeptChange {
  readonly kitchenId: string
  readonly version: number
  readonly actor: string | null
  readonly touched: readonly (readonly [Entity, string])[]
}

/** Changes as they are kept, from whichever process keeps them. */
export interface ChangeFeed {
  /** @param resumed called when listening begins anew: what was changed meanwhile was not heard   @returns how to stop */
  readonly listen: (hear: (change: KeptChange) => void, resumed: () => void) => () => void
  readonly close: () => Promise<void>
}

const FIRST_PAUSE_MS = 500
const LAST_PAUSE_MS = 15_000

/** Listens to the database on a connection of its own, and opens another with growing pauses when that breaks. */
export function openChangeFeed({ url, onBroken }: { readonly url: string; readonly onBroken: (error: Error) => void }): ChangeFeed {
  const heard = new EventEmitter().setMaxListeners(0)
  let closed = false
  let client: pg.Client | undefined
  let pauseMs = FIRST_PAUSE_MS
  let timer: NodeJS.Timeout | undefined
  const again = (error: Error): void => {
    if (closed || timer) return
    onBroken(error)
    client?.removeAllListeners('notification')
    void client?.end().catch(() => undefined)
    timer = setTimeout(() => {
      timer = undefined
      void connect()
    }, pauseMs)
    pauseMs = Math.min(LAST_PAUSE_MS, pauseMs * 2)
  }
  async function connect(): Promise<void> {
    const next = new pg.Client({ connectionString: url, connectionTimeoutMillis: 3000 })
    client = next
    next.on('error', again)
    next.on('end', () => again(new Error('the connection that listens for changes ended')))
    next.on('notification', ({ payload }) => heard.emit('change', JSON.parse(payload ?? 'null')))
    try {
      await next.connect()
      await next.query(`listen ${CHANGES_CHANNEL}`)
      pauseMs = FIRST_PAUSE_MS
      heard.emit('resumed')
    } catch (error) {
      again(error as Error)
    }
  }
  void connect()
  return {
    listen: (hear, resumed) => {
      heard.on('change', hear).on('resumed', resumed)
      return () => heard.off('change', hear).off('resumed', resumed)
    },
    close: async () => {
      closed = true
      clearTimeout(timer)
      await client?.end().catch(() => undefined)
    },
  }
}

/** A stream says something at least this often, so that what stands between knows that it lives. */
const BEAT_MS = 20_000

/** Changes of one kitchen as an event stream: its version at once, then each change with what it touched. */
export function createChangeStream(feed: ChangeFeed, kitchens: Pick<KitchenRepository, 'find' | 'readVersion'>) {
  return async (req: Request, res: Response): Promise<void> => {
    const kitchenId = String(req.params.kitchen)
    if (!(await kitchens.find(kitchenId))) throw notFound(`No kitchen "${kitchenId}"`)
    const say = (event: string, data: unknown): void => void res.write(`event: ${event}\ndata: ${JSON.stringify(data)}\n\n`)
    res.status(200).set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store', 'X-Accel-Buffering': 'no' })
    const sayVersion = async (): Promise<void> => say('version', { version: await kitchens.readVersion(kitchenId) })
    const stop = feed.listen(
      (change) => {
        if (change.kitchenId === kitchenId) say('change', { version: change.version, actor: change.actor, touched: change.touched })
      },
      // A database that is away again ends the stream, and the page opens another.
      () => void sayVersion().catch(() => res.end()),
    )
    await sayVersion()
    const beat = setInterval(() => res.write(': \n\n'), BEAT_MS)
    res.on('close', () => {
      clearInterval(beat)
      stop()
    })
  }
}
