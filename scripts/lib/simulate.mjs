/** Starts the merchants' simulator as a process of its own and says where its feeds are. */
import { spawn } from 'node:child_process'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { ROOT } from './shell.mjs'

/** Starts one of the simulator's programs and reads from its first word on which port it is. */
async function start(program, word, env) {
  const child = spawn(process.execPath, [join(ROOT, `simulator/dist/${program}.js`)], {
    cwd: ROOT,
    stdio: ['pipe', 'pipe', 'inherit'],
    env: { ...process.env, STOP_WITH_PARENT: '1', ...env },
  })
  const ended = new Promise((resolve) => child.once('exit', () => resolve(null)))
  const said = await Promise.race([new Promise((resolve) => child.stdout.once('data', resolve)), ended])
  const port = new RegExp(`${word} on (\\d+)`).exec(String(said))?.[1]
  if (!port) throw new Error(`the ${word} of the demo did not start`)
  const stop = async () => {
    child.kill('SIGTERM')
    await ended
  }
  return { address: `http://127.0.0.1:${port}`, stop }
}

/** Starts the simulated thermometers. @returns their address and how to stop them; throws when they end before they answer */
export const startThermometers = (env = {}) => start('thermometersMain', 'thermometers', env)

/** @returns its address, its feeds as the server's start configuration wants them, and how to stop it; throws when it ends before it answers */
export async function startSimulator(env = {}) {
  const { address, stop } = await start('main', 'merchants', env)
  const { merchants } = JSON.parse(readFileSync(join(ROOT, 'demo/wares.json'), 'utf8'))
  const feeds = merchants.map(({ key }) => ({ key, url: `${address}/${key}/list`, stream: `${address}/stream` }))
  return {
    address,
    feeds: JSON.stringify(feeds),
    stop,
  }
}
