import express, { type Express, type Response } from 'express'

/** How one place is: what it is set to, how it wavers, and what goes wrong with it. */
interface Play {
  readonly name: string
  readonly setC: number
  readonly waverC: number
  /** Hours back from now at which its compressor fails, and for how long; it warms towards the room meanwhile. */
  readonly fails?: { readonly hoursAgo: number; readonly hours: number }
}

/** The thermometers of the demo: a fridge that holds, one that failed for a night, a freezer. */
export const PLAYS: readonly Play[] = [
  { name: 'low-fridge', setC: 2.6, waverC: 0.5 },
  { name: 'walk-in', setC: 3.2, waverC: 0.6, fails: { hoursAgo: 14, hours: 6 } },
  { name: 'freezer', setC: -19, waverC: 0.8 },
]

const ROOM_C = 17
/** A shut door: half of the way to the room in so many hours. */
const HALVING_HOURS = 5
export const EVERY_MINUTES = 10
const STEP_MS = EVERY_MINUTES * 60_000
const HOUR_MS = 3_600_000
/** Days of readings that a thermometer remembers. */
const DAYS = 3

export interface Reading {
  readonly at: string
  readonly celsius: number
}

/** The same wavering at the same moment, whoever asks: a sum of two slow waves and the door that opens at the hours of work. */
function waver({ waverC }: Play, atMs: number): number {
  const hours = atMs / HOUR_MS
  const hourOfDay = hours % 24
  const door = hourOfDay > 9 && hourOfDay < 21 && Math.floor(hours * 2) % 3 === 0 ? 0.8 : 0
  return waverC * (0.6 * Math.sin(hours * 1.7) + 0.4 * Math.sin(hours * 4.1)) + waverC * door
}

/** How warm a place is at a moment. @param begunMs when the play began: failures are told from there */
export function playWarmth(play: Play, atMs: number, begunMs: number): number {
  const plain = play.setC + waver(play, atMs)
  if (!play.fails) return Math.round(plain * 10) / 10
  const fromMs = begunMs - play.fails.hoursAgo * HOUR_MS
  const toMs = fromMs + play.fails.hours * HOUR_MS
  if (atMs < fromMs) return Math.round(plain * 10) / 10
  const warmed = ROOM_C - (ROOM_C - play.setC) * 0.5 ** ((Math.min(atMs, toMs) - fromMs) / HOUR_MS / HALVING_HOURS)
  if (atMs <= toMs) return Math.round(warmed * 10) / 10
  // Mended: it cools down again within an hour or two.
  const over = (warmed - play.setC) * 0.5 ** ((atMs - toMs) / HOUR_MS / 0.6)
  return Math.round((plain + over) * 10) / 10
}

export interface Thermometers {
  readonly app: Express
  /** Tells whoever listens how warm it is now. */
  readonly tick: () => void
  readonly close: () => void
}

interface Options {
  readonly now: () => Date
}

/** Thermometers as an outside device: what they remember, asked for by name, and a stream of what they read from now on. */
export function createThermometers({ now }: Options): Thermometers {
  const app = express()
  const begunMs = now().getTime()
  const listeners = new Set<Response>()
  app.disable('x-powered-by')
  app.get('/thermometers', (_req, res) => {
    res.json(PLAYS.map(({ name }) => ({ name, everyMinutes: EVERY_MINUTES })))
  })
  app.get('/thermometers/:name/readings', (req, res) => {
    const play = PLAYS.find(({ name }) => name === req.params.name)
    if (!play) {
      res.status(404).json({ message: 'no such thermometer' })
      return
    }
    const nowMs = now().getTime()
    const since = Math.max(nowMs - DAYS * 24 * HOUR_MS, Date.parse(String(req.query.since ?? '')) || 0)
    const readings: Reading[] = []
    for (let at = Math.ceil((since + 1) / STEP_MS) * STEP_MS; at <= nowMs; at += STEP_MS)
      readings.push({ at: new Date(at).toISOString(), celsius: playWarmth(play, at, begunMs) })
    res.json(readings)
  })
  app.get('/stream', (_req, res) => {
    res.set({ 'Content-Type': 'text/event-stream', 'Cache-Control': 'no-store' }).flushHeaders()
    res.write(': listening\n\n')
    listeners.add(res)
    res.on('close', () => listeners.delete(res))
  })
  return {
    app,
    tick: () => {
      const at = now()
      for (const play of PLAYS) {
        const data = JSON.stringify({ name: play.name, at: at.toISOString(), celsius: playWarmth(play, at.getTime(), begunMs) })
        for (const listener of listeners) listener.write(`event: reading\ndata: ${data}\n\n`)
      }
    },
    close: () => {
      for (const listener of listeners) listener.end()
    },
  }
}
