import { existsSync, renameSync, statSync } from 'node:fs'
import { multistream, pino, type Level, type Logger } from 'pino'

/** A log file larger than this is put aside at the next start; one such is kept. */
const MOST_BYTES = 5_000_000

/** What is said of an error: not the objects that drivers hang on theirs. */
function tellError(error: unknown): object {
  const { name, message, stack, code, cause } = error as Error & { code?: unknown }
  return { type: name, message, code, stack, ...(cause === undefined ? {} : { cause: tellError(cause) }) }
}

/**
 * The log: to the error stream, which whoever started the server sees, and into a file where one is named.
 * @param file written to at the end, in lines of JSON
 */
export function openLog(level: string, file?: string): Logger {
  if (file !== undefined && existsSync(file) && statSync(file).size > MOST_BYTES) renameSync(file, `${file}.before`)
  const streams = [{ level: level as Level, stream: pino.destination(2) }]
  if (file !== undefined) streams.push({ level: level as Level, stream: pino.destination({ dest: file, append: true, mkdir: true }) })
  return pino({ level, serializers: { err: tellError } }, multistream(streams))
}
