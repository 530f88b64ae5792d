import type { AskKey, Learnt, Method } from '@tender-gill/contract'
import type { Board } from '../lineUp/index.ts'
import { listRows } from '../lineUp/index.ts'
import { CHOICE_POWER, LEAST_CHOICES, LEAST_NATS, PULL_LN_SD } from '../tables/learning.ts'

/** A line-up and which of its rows was taken. */
export interface Choice {
  readonly board: Board
  readonly offerId: string
}

/** A choice as the model reads it. */
interface ReadChoice {
  /** Logarithm of how well each row does each ask. */
  readonly rows: readonly (readonly number[])[]
  readonly taken: number
  /** Pull of each ask in its own dish. */
  readonly pulls: readonly number[]
}

const readingOf = (row: ReturnType<typeof listRows>[number], key: AskKey) => row.fit.readings.find((reading) => reading.key === key)

/** Asks with a pull that every row of every choice knows. */
function sharedKeys(boards: readonly { readonly board: Board; readonly rows: ReturnType<typeof listRows> }[]): readonly AskKey[] {
  const [first] = boards
  if (!first) return []
  return (Object.keys(first.board.brief.asks) as AskKey[]).filter((key) =>
    boards.every(({ board, rows }) => (board.brief.asks[key]?.pull ?? 0) > 0 && rows.every((row) => readingOf(row, key) !== undefined)),
  )
}

/** Log posterior of pulls: choices as powers of fit among the rows, pulls about those of each dish. @param x ln of each pull over the dish's */
function logPosterior(x: readonly number[], choices: readonly ReadChoice[]): number {
  let sum = -x.reduce((all, one) => all + one * one, 0) / (2 * PULL_LN_SD * PULL_LN_SD)
  for (const { rows, taken, pulls } of choices) {
    const weights = pulls.map((pull, k) => pull * Math.exp(x[k] ?? 0))
    const total = weights.reduce((all, one) => all + one, 0)
    const values = rows.map((row) => (CHOICE_POWER * row.reduce((all, ln, k) => all + ln * (weights[k] ?? 0), 0)) / total)
    const top = Math.max(...values)
    const all = values.reduce((part, value) => part + Math.exp(value - top), 0)
    sum += (values[taken] ?? -Infinity) - top - Math.log(all)
  }
  return sum
}

const FIRST_STEP = 0.4
const LAST_STEP = 0.002
/** Less than this is no gain, nats. */
const NO_GAIN = 1e-9

/** Mode of the posterior by pattern search: axis by axis, steps halved. Few dimensions, one hill in practice. */
function findMode(dimensions: number, choices: readonly ReadChoice[]): { readonly x: readonly number[]; readonly gain: number } {
  const x = Array.from({ length: dimensions }, () => 0)
  const start = logPosterior(x, choices)
  let best = start
  for (let step = FIRST_STEP; step > LAST_STEP; step /= 2)
    for (let moved = true; moved;) {
      moved = false
      for (let k = 0; k < dimensions; k += 1)
        for (const by of [-step, step]) {
          x[k] = (x[k] ?? 0) + by
          const now = logPosterior(x, choices)
          if (now > best + NO_GAIN) {
            best = now
            moved = true
          } else x[k] = (x[k] ?? 0) - by
        }
    }
  return { x, gain: best - start }
}

function learnOfMethod(method: Method, choices: readonly Choice[]): Learnt['pulls'] {
  if (choices.length < LEAST_CHOICES) return []
  const laid = choices.map(({ board, offerId }) => ({ board, offerId, rows: listRows(board) }))
  const keys = sharedKeys(laid)
  const read = laid.flatMap(({ board, offerId, rows }): ReadChoice[] => {
    const taken = rows.findIndex(({ candidate }) => candidate.offer.id === offerId)
    if (taken < 0) return []
    return [
      {
        rows: rows.map((row) => keys.map((key) => Math.log(readingOf(row, key)?.desirability ?? 1))),
        ...{ taken, pulls: keys.map((key) => board.brief.asks[key]?.pull ?? 0) },
      },
    ]
  })
  if (keys.length === 0 || read.length < LEAST_CHOICES) return []
  const { x, gain } = findMode(keys.length, read)
  if (gain < LEAST_NATS) return []
  const asks = laid[0]?.board.brief.asks ?? {}
  return keys.map((trait, k) => {
    const was = asks[trait]?.pull ?? 0
    return { method, trait, was, is: was * Math.exp(x[k] ?? 0), choices: read.length, gainNats: gain }
  })
}

/** What a kitchen cares about, by what it took from its line-ups, method by method: only to be offered. */
export function learnPulls(choices: readonly Choice[]): Learnt['pulls'] {
  const methods = [...new Set(choices.map(({ board }) => board.brief.method))].sort()
  return methods.flatMap((method) =>
    learnOfMethod(
      method,
      choices.filter(({ board }) => board.brief.method === method),
    ),
  )
}
