/** One run a data folder: a lock file that names its process, taken over when that process is gone. */
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'

/**
 * When a process began, in clock ticks since boot: tells a live owner from another process that got its number. Undefined for one that is
 * gone, or killed and not yet reaped by its parent.
 */
function beganAt(pid) {
  try {
    const fields = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1].split(' ')
    return fields[0] === 'Z' ? undefined : fields[19]
  } catch {
    return undefined
  }
}

/** Takes the lock or throws with who holds it. @returns how to give it back */
export function takeLock(dataFolder) {
  mkdirSync(dataFolder, { recursive: true })
  const file = join(dataFolder, 'lock')
  const mine = `${process.pid} ${beganAt(process.pid)}`
  for (let attempt = 0; attempt < 2; attempt += 1) {
    try {
      writeFileSync(file, mine, { flag: 'wx' })
      return () => rmSync(file, { force: true })
    } catch (error) {
      if (error.code !== 'EEXIST') throw error
      const [pid, began] = readFileSync(file, 'utf8').split(' ')
      if (began !== undefined && beganAt(pid) === began)
        throw new Error(`Tender Gill already runs on this data folder (process ${pid}).`, { cause: error })
      rmSync(file, { force: true })
    }
  }
  throw new Error('the data folder is locked')
}
