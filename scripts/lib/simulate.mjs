/** Starts the merchants' simulator as a process of its own and says where its feeds are. */
import { spawn } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { ROOT } from './shell.mjs'

/** @returns the feeds as the server's start configuration wants them, and how to stop the process */
export async function startSimulator(port, env = {}) {
  const child = spawn(process.execPath, [join(ROOT, 'simulator/dist/main.js')], {
    cwd: ROOT,
    stdio: ['pipe', 'pipe', 'inherit'],
    env: { ...process.env, SIMULATOR_PORT: String(port), STOP_WITH_PARENT: '1', ...env },
  })
  const ended = new Promise((resolve) => child.once('exit', resolve))
  await Promise.race([new Promise((resolve) => child.stdout.once('data', resolve)), ended])
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
