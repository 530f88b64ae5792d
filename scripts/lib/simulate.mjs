/** Starts the merchants' simulator as a process of its own and says where its feeds are. */
import { spawn } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { ROOT } from './shell.mjs'

/** @returns its address, its feeds as the server's start configuration wants them, and how to stop it; throws when it ends before it answers */
export async function startSimulator(env = {}) {
  const child = spawn(process.execPath, [join(ROOT, 'simulator/dist/main.js')], {
    cwd: ROOT,
    stdio: ['pipe', 'pipe', 'inherit'],
    env: { ...process.env, STOP_WITH_PARENT: '1', ...env },
  })
  const ended = new Promise((resolve) => child.once('exit', () => resolve(null)))
  const said = await Promise.race([new Promise((resolve) => child.stdout.once('data', resolve)), ended])
  const port = /merchants on (\d+)/.exec(String(said))?.[1]
  if (!port) throw new Error('the merchants of the demo did not start')
  const { merchants } = JSON.parse(readFileSync(join(ROOT, 'demo/wares.json'), 'utf8'))
  const address = `http://127.0.0.1:${port}`
  const feeds = merchants.map(({ key }) => ({ key, url: `${address}/${key}/list`, stream: `${address}/stream` }))
  return {
    address,
    feeds: JSON.stringify(feeds),
    stop: async () => {
      child.kill('SIGTERM')
      await ended
    },
  }
}
