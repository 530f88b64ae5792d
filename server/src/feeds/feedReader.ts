import { setTimeout as wait } from 'node:timers/promises'
import { EventSource } from 'eventsource'
import type { FeedState } from '@tender-gill/contract'
import type { FeedConfig } from './feedConfig.ts'
import { FeedFailure, fetchList, type FetchedList, type FetchOptions } from './fetchList.ts'

const MINUTE_MS = 60_000
/** A list is looked for this often while all is well. */
export const EVERY_MS = 30 * MINUTE_MS
const FIRST_RETRY_MS = MINUTE_MS
const LAST_RETRY_MS = 60 * MINUTE_MS

/** Waiting time after a number of failures in a row: a minute, doubled each time, an hour at most. */
export const backOffMs = (failures: number): number => Math.min(LAST_RETRY_MS, FIRST_RETRY_MS * 2 ** Math.max(0, failures - 1))

export interface FeedReaderOptions {
  readonly feeds: readonly FeedConfig[]
  readonly now: () => Date
  /** Day that the feed's merchants call today. */
  readonly today: () => string
  /** Keeps a list for everyone who buys there. @returns rows that could be read; 0 is a failure of the feed */
  readonly keep: (key: string, list: FetchedList) => Promise<number>
  readonly onProblem: (key: string, problem: string, error: unknown) => void
  readonly fetchOptions?: FetchOptions
  /** However often a person, or a stream, asks: a feed is looked at no sooner than this after the last look; who asks before waits for it. */
  readonly leastPauseMs?: { readonly person: number; readonly stream: number }
}

interface Track {
  readonly config: FeedConfig
  state: FeedState
  dueAt: number
  /** The look that is under way, and the one that waits for its time. */
  looking: Promise<void> | null
  waiting: Promise<void> | null
  /** When it was last looked at, by a clock that only measures. */
  lookedAt: number
}

/**
 * Reads feeds as outside services: each on its own, tried again with growing pauses, never twice at once; what was kept before stays. It
 * moves only when it is told the time has come.
 */
export function createFeedReader({
  feeds,
  now,
  today,
  keep,
  onProblem,
  fetchOptions,
  leastPauseMs = { person: 1_000, stream: 20_000 },
}: FeedReaderOptions) {
  const tracks = feeds.map((config): Track => ({
    config,
    state: {
      key: config.key,
      state: 'never',
      ...{ lastGoodAt: null, lastListDate: null, lastTriedAt: null, nextTryAt: null, failures: 0, problem: null, news: null },
    },
    dueAt: 0,
    looking: null,
    waiting: null,
    lookedAt: -Infinity,
  }))
  const at = (ms: number) => new Date(ms).toISOString()
  const read = async (track: Track): Promise<void> => {
    const triedAt = now().getTime()
    // Measured, not told by the clock: that may stand still or go back.
    track.lookedAt = performance.now()
    const { key, url } = track.config
    try {
      const list = await fetchList(url, today(), fetchOptions)
      if ((await keep(key, list)) === 0) throw new FeedFailure('nothing on its list could be read')
      track.dueAt = triedAt + EVERY_MS
      track.state = {
        ...{ key, state: 'fresh', lastGoodAt: at(triedAt), lastListDate: list.date, lastTriedAt: at(triedAt) },
        ...{ nextTryAt: at(track.dueAt), failures: 0, problem: null, news: list.news },
      }
    } catch (error) {
      const failures = track.state.failures + 1
      const problem = error instanceof FeedFailure ? error.message : 'its list could not be kept'
      onProblem(key, problem, error)
      track.dueAt = triedAt + backOffMs(failures)
      const state = track.state.lastGoodAt === null ? 'never' : 'silent'
      track.state = { ...track.state, state, lastTriedAt: at(triedAt), nextTryAt: at(track.dueAt), failures, problem }
    }
  }
  const look = (track: Track): Promise<void> =>
    (track.looking ??= read(track).finally(() => {
      track.looking = null
    }))
  const lookSoon = (track: Track, pauseMs: number): Promise<void> => {
    const leftMs = track.lookedAt + pauseMs - performance.now()
    if (leftMs <= 0) return look(track)
    return (track.waiting ??= wait(leftMs, undefined, { ref: false }).then(() => {
      track.waiting = null
      return look(track)
    }))
  }
  const named = (key?: string) => tracks.filter(({ config }) => key === undefined || config.key === key)
  return {
    keys: feeds.map(({ key }) => key),
    states: (): readonly FeedState[] => tracks.map(({ state }) => state),
    /** Reads every feed whose time has come. */
    tick: async (): Promise<void> => {
      await Promise.all(tracks.filter(({ dueAt }) => dueAt <= now().getTime()).map(look))
    },
    /** Reads feeds as soon as may be, whatever their time: all, or one. */
    readNow: async (key?: string, asked: 'person' | 'stream' = 'person'): Promise<void> => {
      await Promise.all(named(key).map((track) => lookSoon(track, leastPauseMs[asked])))
    },
  }
}
export type FeedReader = ReturnType<typeof createFeedReader>

/** Lets a reader run: it looks at its feeds every so often, and at once when a stream says a list is out. @returns how to stop it */
export function runFeedReader(reader: FeedReader, feeds: readonly FeedConfig[], everyMs = 15_000): () => void {
  void reader.tick()
  const timer = setInterval(() => void reader.tick(), everyMs)
  const streams = new Map<string, string[]>()
  for (const { key, stream } of feeds) if (stream) streams.set(stream, [...(streams.get(stream) ?? []), key])
  const sources = [...streams].map(([stream, keys]) => {
    const source = new EventSource(stream, { fetch: (url, init) => fetch(url, { ...init, redirect: 'error' }) })
    source.addEventListener('list', () => keys.forEach((key) => void reader.readNow(key, 'stream')))
    return source
  })
  return () => {
    clearInterval(timer)
    for (const source of sources) source.close()
  }
}
