import express, { type Express, type Response } from 'express'
import Papa from 'papaparse'
import { MERCHANTS, writeList, type SimulatedMerchant, type WrittenList } from './writeList.ts'

/** Ways a service fails its readers. */
export const TROUBLES = ['none', 'silent', 'error', 'garbage', 'halfway', 'huge', 'redirect'] as const
export type Trouble = (typeof TROUBLES)[number]

export interface SimulatorOptions {
  readonly seed: string
  /** The calendar day outside, ISO date; the simulator may be told to play other days. */
  readonly today: () => string
}
export interface Simulator {
  readonly app: Express
  /** Publishes the lists of a day to whoever listens on the stream. */
  readonly publish: (date: string) => void
  readonly setTrouble: (trouble: Trouble) => void
  readonly close: () => void
}

const DAY_MS = 86_400_000
const HUGE_BYTES = 6_000_000

function sendTrouble(trouble: Trouble, res: Response): boolean {
  switch (trouble) {
    case 'none':
      return false
    case 'silent':
      return true
    case 'error':
      res.status(500).send('the scales are broken')
      return true
    case 'garbage':
      res.type('text/html').send('<html><body>Back soon</body></html>')
      return true
    case 'halfway':
      res.type('json').write('{"merchant":"Hessle Quay Fish","rows":[{"fish":"Had')
      res.destroy()
      return true
    case 'huge':
      res.type('json').send(`{"rows":"${'x'.repeat(HUGE_BYTES)}"}`)
      return true
    case 'redirect':
      res.redirect('/elsewhere')
      return true
  }
}

function sendList(res: Response, { format }: SimulatedMerchant, { truth: _truth, ...list }: WrittenList): void {
  if (format === 'json') {
    res.json(list)
    return
  }
  const fields = ['Fish', 'Cut', 'Price', 'Unit', 'Weight g', 'Origin', 'State', 'Size', 'Minimum kg']
  const data = list.rows.map((row) => Object.values(row))
  res
    .type('text/csv')
    .set('X-List-Date', list.date)
    .set('X-List-News', list.news)
    .send(Papa.unparse({ fields, data }, { delimiter: ';' }))
}

/**
 * Three invented merchants behind plain HTTP: a list each morning as JSON or CSV, a live stream that says when one is out, a clock that can
 * play a year in a minute, and troubles on demand. It knows nothing of who reads it.
 */
export function createSimulator({ seed, today }: SimulatorOptions): Simulator {
  const app = express()
  const listeners = new Set<Response>()
  let played: string | null = null
  let trouble: Trouble = 'none'
  let playing: NodeJS.Timeout | undefined
  const now = () => played ?? today()
  const publish = (date: string) => {
    for (const listener of listeners) listener.write(`event: list\ndata: ${JSON.stringify({ date })}\n\n`)
  }
  app.disable('x-powered-by')
  app.use(express.json({ limit: '10kb' }))
  app.get('/merchants', (_req, res) => {
    res.json(MERCHANTS.map(({ key, name, format }) => ({ key, name, format, list: `/${key}/list` })))
  })
  app.get('/stream', (_req, res) => {
    res.set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store', Connection: 'keep-alive' }).flushHeaders()
    res.write(`event: hello\ndata: ${JSON.stringify({ date: now() })}\n\n`)
    listeners.add(res)
    res.on('close', () => listeners.delete(res))
  })
  app.get('/:merchant/list', (req, res) => {
    const merchant = MERCHANTS.find(({ key }) => key === req.params.merchant)
    if (!merchant) {
      res.status(404).json({ detail: 'no such merchant' })
      return
    }
    if (sendTrouble(trouble, res)) return
    const asked = req.query.date
    const date = typeof asked === 'string' && /^\d{4}-\d{2}-\d{2}$/.test(asked) && !Number.isNaN(Date.parse(asked)) ? asked : now()
    sendList(res, merchant, writeList(merchant, date, seed))
  })
  app.put('/trouble', (req, res) => {
    const asked = (req.body as { trouble?: unknown } | undefined)?.trouble
    const known = TROUBLES.find((one) => one === asked)
    if (!known) {
      res.status(400).json({ detail: `trouble is one of ${TROUBLES.join(', ')}` })
      return
    }
    trouble = known
    res.json({ trouble })
  })
  app.post('/play', (req, res) => {
    const { from, days, seconds } = (req.body ?? {}) as { from?: unknown; days?: unknown; seconds?: unknown }
    const start = typeof from === 'string' ? Date.parse(from) : Number.NaN
    if (Number.isNaN(start) || typeof days !== 'number' || days < 1 || typeof seconds !== 'number' || seconds < 0) {
      res.status(400).json({ detail: 'from is an ISO date, days and seconds are numbers' })
      return
    }
    clearInterval(playing)
    let day = 0
    playing = setInterval(
      () => {
        played = new Date(start + day * DAY_MS).toISOString().slice(0, 10)
        publish(played)
        day += 1
        if (day < days) return
        clearInterval(playing)
        played = null
      },
      Math.max(1, (seconds * 1000) / days),
    )
    res.status(202).json({ from, days, seconds })
  })
  return {
    app,
    publish,
    setTrouble: (next) => {
      trouble = next
    },
    close: () => {
      clearInterval(playing)
      for (const listener of listeners) listener.end()
    },
  }
}
