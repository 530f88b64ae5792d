/** Starts the built server on a database and waits until it answers. */
import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { ROOT } from './shell.mjs'

const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms))

async function answers(port) {
  try {
    return (await fetch(`http://127.0.0.1:${port}/api/health`, { signal: AbortSignal.timeout(2000) })).ok
  } catch {
    return false
  }
}

/** @returns the server's process, its address and how to stop it; throws when it ends before it answers */
export async function startServer({ url, port, env = {} }) {
  const child = spawn(process.execPath, [join(ROOT, 'server/dist/main.js')], {
    cwd: ROOT,
    stdio: ['pipe', 'ignore', 'inherit'],
    env: {
      ...process.env,
      NODE_ENV: 'production',
      STOP_WITH_PARENT: '1',
      DATABASE_URL: url,
      PORT: String(port),
      WEB_FOLDER: join(ROOT, 'web/dist'),
      TENDER_GILL_MIGRATIONS: join(ROOT, 'server/drizzle'),
      ...env,
    },
  })
  const ended = new Promise((resolve) => child.once('exit', (code) => resolve(code ?? 1)))
  let over = false
  void ended.then(() => (over = true))
  for (let tries = 0; tries < 150 && !over; tries += 1) {
    if (await answers(port)) {
      return {
        child,
        ended,
        address: `http://127.0.0.1:${port}`,
        stop: async () => {
          child.kill('SIGTERM')
          await Promise.race([ended, wait(5000).then(() => child.kill('SIGKILL'))])
        },
      }
    }
    await wait(100)
  }
  child.kill('SIGKILL')
  throw new Error('the server did not answer')
}
