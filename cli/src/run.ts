import type { Problem } from '@tender-gill/contract'
import { answerSpecies, createVerbs, type Verb } from './verbs.ts'

/** What the command line is given and where it speaks. */
export interface Terminal {
  readonly args: readonly string[]
  readonly read: (file: string | undefined) => string
  readonly write: (text: string) => void
  readonly say: (text: string) => void
  /** The calendar day, ISO date. */
  readonly today: string
}

export const USAGE = `tender-gill <verb> [file] [--lines]
  line-up    ranks fish for a brief
  stand-ins  finds stand-ins for a missing fish
  year       a dish over the year, month by month
  swap-map   which fish stand in for which in a dish
  turning    what would change a line-up, or set a fish first
  pot        several fish for one pot
  amounts    how much of a fish to buy for a dish
  freshness  how old a fish is by its looks, and whether to buy it
  cold       how long a fish will keep after how it was kept
  conduct    heat in one body of constant properties
  fish-first dishes and methods for fish that were seen
  find       a fish by any name it is sold under
  species    every species of the book, or: species "<scientific name>"
One JSON document is read from the file or standard input and one is written.
With --lines: one document a line in, one a line out, in order; a failing line gives {"error":{"problems":[...]}}.`

const EXIT = { ok: 0, failure: 1, refused: 2 } as const

function parseJson(text: string): { value: unknown } | { problem: Problem } {
  try {
    return { value: JSON.parse(text) }
  } catch (error) {
    return { problem: { path: '', message: `is not JSON: ${error instanceof Error ? error.message : String(error)}` } }
  }
}

function answer(verb: Verb, text: string): { value: unknown } | { problems: readonly Problem[] } {
  const parsed = parseJson(text)
  if ('problem' in parsed) return { problems: [parsed.problem] }
  const result = verb(parsed.value)
  return result.ok ? { value: result.value } : { problems: result.error }
}

const refuse = (problems: readonly Problem[], say: Terminal['say']): number => {
  for (const { path, message } of problems) say(`${path}: ${message}`)
  return EXIT.refused
}

function runLines(verb: Verb, text: string, write: Terminal['write']): number {
  for (const line of text.split('\n')) {
    if (line.trim() === '') continue
    const result = answer(verb, line)
    write(JSON.stringify('value' in result ? result.value : { error: { problems: result.problems } }))
  }
  return EXIT.ok
}

/** Runs one command. @returns the exit code: 0, 2 for refused input, 1 for a failure of its own */
export async function run({ args, read, write, say, today }: Terminal): Promise<number> {
  const lines = args.includes('--lines')
  const unknown = args.find((arg) => arg.startsWith('--') && arg !== '--lines' && arg !== '--help')
  const [name, operand, ...rest] = args.filter((arg) => !arg.startsWith('--'))
  if (args.includes('--help')) {
    write(USAGE)
    return EXIT.ok
  }
  if (name === 'species') {
    const found = answerSpecies([operand, ...rest].filter((word) => word !== undefined).join(' ') || undefined)
    if (!found.ok) return refuse(found.error, say)
    write(JSON.stringify(found.value))
    return EXIT.ok
  }
  const load = createVerbs(today)[name ?? '']
  if (!load || unknown || rest.length > 0) {
    say(unknown ? `unknown option ${unknown}\n${USAGE}` : name && !load ? `unknown verb ${name}\n${USAGE}` : USAGE)
    return EXIT.refused
  }
  let text: string
  try {
    text = read(operand)
  } catch (error) {
    say(`cannot read ${operand ?? 'standard input'}: ${error instanceof Error ? error.message : String(error)}`)
    return EXIT.refused
  }
  const verb = await load()
  if (lines) return runLines(verb, text, write)
  const result = answer(verb, text)
  if ('problems' in result) return refuse(result.problems, say)
  write(JSON.stringify(result.value))
  return EXIT.ok
}
