import Papa from 'papaparse'
import { isDay } from '@tender-gill/core'

/** A list as a feed gave it, as text with headings whatever it came in. */
export interface FetchedList {
  readonly text: string
  readonly date: string
  readonly news: string | null
}
/** A feed that did not give a list, in words for people. */
export class FeedFailure extends Error {}

export interface FetchOptions {
  readonly timeoutMs?: number
  readonly mostBytes?: number
}

const MOST_NEWS = 300

/** Headings of the fields that JSON lists use. */
const HEADING_OF: Readonly<Record<string, string>> = {
  fish: 'Fish',
  name: 'Fish',
  cut: 'Cut',
  form: 'Cut',
  price: 'Price',
  unit: 'Unit',
  weightG: 'Weight g',
  origin: 'Origin',
  state: 'State',
  size: 'Size',
  minimumKg: 'Minimum kg',
  currency: 'Currency',
}

async function readText(response: Response, mostBytes: number): Promise<string> {
  const said = Number(response.headers.get('content-length') ?? 0)
  if (said > mostBytes) throw new FeedFailure('it sent more than 5 MB')
  const chunks: Uint8Array[] = []
  let size = 0
  for await (const chunk of response.body ?? []) {
    const bytes = chunk as Uint8Array
    size += bytes.byteLength
    if (size > mostBytes) throw new FeedFailure('it sent more than 5 MB')
    chunks.push(bytes)
  }
  return Buffer.concat(chunks).toString('utf8')
}

const toCell = (value: unknown): string => (typeof value === 'string' || typeof value === 'number' ? String(value) : '')

function fromJson(text: string, today: string): FetchedList {
  let parsed: unknown
  try {
    parsed = JSON.parse(text)
  } catch (error) {
    throw new FeedFailure('what it sent is not JSON', { cause: error })
  }
  const { rows, date, news } = (parsed ?? {}) as { rows?: unknown; date?: unknown; news?: unknown }
  if (!Array.isArray(rows)) throw new FeedFailure('what it sent is no list')
  const fields = [...new Set(Object.values(HEADING_OF))]
  const data = rows.map((row: unknown) => {
    const known = Object.entries((row ?? {}) as Record<string, unknown>).flatMap(([key, value]) => {
      const heading = HEADING_OF[key]
      return heading ? [[heading, toCell(value)] as const] : []
    })
    const cells = Object.fromEntries(known)
    return fields.map((field) => cells[field] ?? '')
  })
  return {
    text: Papa.unparse({ fields, data }),
    date: isDay(date) ? date : today,
    news: typeof news === 'string' ? news.slice(0, MOST_NEWS) : null,
  }
}

/**
 * Fetches the list of a feed as of an outside service: no redirects, 10 s and 5 MB at most, a list dated after today is refused.
 * @throws FeedFailure in words
 */
export async function fetchList(
  url: string,
  today: string,
  { timeoutMs = 10_000, mostBytes = 5_000_000 }: FetchOptions = {},
): Promise<FetchedList> {
  try {
    const response = await fetch(url, {
      redirect: 'error',
      signal: AbortSignal.timeout(timeoutMs),
      headers: { Accept: 'application/json, text/csv' },
    })
    if (!response.ok) throw new FeedFailure(`it answered ${response.status}`)
    const kind = response.headers.get('content-type') ?? ''
    if (!/json|csv|text\/plain/.test(kind)) throw new FeedFailure('what it sent is no list')
    const text = await readText(response, mostBytes)
    const named = response.headers.get('x-list-date')
    const news = response.headers.get('x-list-news')
    const list = kind.includes('json')
      ? fromJson(text, today)
      : { text, date: isDay(named) ? named : today, news: news?.slice(0, MOST_NEWS) ?? null }
    if (list.date > today) throw new FeedFailure(`its list is of ${list.date}, which is still to come`)
    return list
  } catch (error) {
    if (error instanceof FeedFailure) throw error
    const { name } = error as Error
    throw new FeedFailure(name === 'TimeoutError' ? 'it did not answer in 10 seconds' : 'it could not be reached', { cause: error })
  }
}
