/** A feed as it is set when the server starts: nothing a user types decides where the server looks. */
export interface FeedConfig {
  readonly key: string
  readonly url: string
  /** Where a merchant says that a new list is out; null where it does not. */
  readonly stream: string | null
}

const isHttp = (text: unknown): text is string =>
  typeof text === 'string' && /^https?:$/.test(URL.canParse(text) ? new URL(text).protocol : '')

/**
 * Feeds out of the start configuration: a JSON list of `{ key, url, stream? }`.
 * @throws Error that names the entry when it is none
 */
export function readFeedConfig(text: string | undefined): readonly FeedConfig[] {
  if (text === undefined || text.trim() === '') return []
  let parsed: unknown
  try {
    parsed = JSON.parse(text)
  } catch (error) {
    throw new Error('FEEDS is not JSON', { cause: error })
  }
  if (!Array.isArray(parsed)) throw new Error('FEEDS must be a list')
  return parsed.map((entry: unknown, i): FeedConfig => {
    const { key, url, stream = null } = (entry ?? {}) as { key?: unknown; url?: unknown; stream?: unknown }
    if (typeof key !== 'string' || !/^[a-z0-9-]{1,40}$/.test(key)) throw new Error(`FEEDS entry ${i + 1} has no key of small letters`)
    if (!isHttp(url) || !(stream === null || isHttp(stream))) throw new Error(`FEEDS entry ${i + 1} has no http address`)
    return { key, url, stream }
  })
}
