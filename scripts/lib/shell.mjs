/** Running other programs: with their output shown, or captured. */
import { spawn, spawnSync } from 'node:child_process'
import { fileURLToPath } from 'node:url'

export const ROOT = fileURLToPath(new URL('../..', import.meta.url)).replace(/\/$/, '')
export const isRoot = () => process.getuid?.() === 0
const QUIET_NPM = { npm_config_update_notifier: 'false' }

/** Runs a program to its end and returns its output; throws with what it said when it fails. */
export function capture(command, args, options = {}) {
  const { status, stdout, stderr, error } = spawnSync(command, args, { encoding: 'utf8', cwd: '/', ...options })
  if (error) throw error
  if (status !== 0) throw new Error(`${command} ${args.join(' ')} failed (${status}):\n${stdout ?? ''}${stderr ?? ''}`)
  return stdout
}

/** Whether a program ends well. */
export const succeeds = (command, args, options = {}) => spawnSync(command, args, { stdio: 'ignore', cwd: '/', ...options }).status === 0

/** Runs a program with its output shown; resolves with its exit code. */
export function show(command, args, options = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { stdio: 'inherit', cwd: ROOT, ...options, env: { ...process.env, ...QUIET_NPM, ...options.env } })
    child.on('error', reject)
    child.on('exit', (code, signal) => resolve(signal ? 1 : (code ?? 1)))
  })
}

/** Runs a program with its output shown and throws when it fails. */
export async function must(command, args, options) {
  const code = await show(command, args, options)
  if (code !== 0) throw new Error(`${command} ${args.join(' ')} failed (${code})`)
}
