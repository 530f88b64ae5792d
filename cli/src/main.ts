import { readFileSync, writeSync } from 'node:fs'
import { run } from './run.ts'

/** Writes all of a text, however slowly the pipe behind it is read. */
function writeAll(fd: number, text: string): void {
  const bytes = Buffer.from(`${text}\n`)
  for (let at = 0; at < bytes.length;) {
    try {
      at += writeSync(fd, bytes, at)
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code !== 'EAGAIN') throw error
    }
  }
}

const pad = (n: number) => String(n).padStart(2, '0')
const now = new Date()
try {
  process.exitCode = await run({
    args: process.argv.slice(2),
    read: (file) => readFileSync(file ?? 0, 'utf8'),
    write: (text) => writeAll(1, text),
    say: (text) => writeAll(2, text),
    today: `${now.getFullYear()}-${pad(now.getMonth() + 1)}-${pad(now.getDate())}`,
  })
} catch (error) {
  if ((error as NodeJS.ErrnoException).code === 'EPIPE') process.exitCode = 0
  else {
    writeAll(2, `tender-gill failed: ${error instanceof Error ? (error.stack ?? error.message) : String(error)}`)
    process.exitCode = 1
  }
}
