/** Starts what ends by itself again, with growing pauses. */

const FIRST_PAUSE_MS = 1_000
const LAST_PAUSE_MS = 30_000
/** After so long a run the next fall is the first again. */
const SOUND_MS = 60_000
const LOOK_MS = 2_000

const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms))

/** Pauses before each start: a second, doubled each time, half a minute at most; a second again after a sound run. */
export function createPauses(now = Date.now) {
  let pauseMs = FIRST_PAUSE_MS
  let startedAt = now()
  return {
    started: () => {
      startedAt = now()
    },
    next: () => {
      if (now() - startedAt >= SOUND_MS) pauseMs = FIRST_PAUSE_MS
      const pause = pauseMs
      pauseMs = Math.min(LAST_PAUSE_MS, pauseMs * 2)
      return pause
    },
  }
}

/**
 * Keeps a server running: whenever it ends, another is started.
 * @param start starts one and resolves once it answers   @param say tells whoever looks at the terminal
 * @returns how to stop, for good
 */
export function keepServer(start, say) {
  const pauses = createPauses()
  let stopped = false
  let running
  const run = async () => {
    while (!stopped) {
      try {
        running = await start()
        pauses.started()
        const code = await running.ended
        if (!stopped) say(`The server ended (${code}).`)
      } catch (error) {
        if (!stopped) say(error.message)
      }
      if (stopped) return
      const pause = pauses.next()
      say(`It is started again in ${Math.round(pause / 1000)} s.`)
      await wait(pause)
    }
  }
  void run()
  return async () => {
    stopped = true
    await running?.stop()
  }
}

/** Looks after a database: whenever its server does not run, it is started. @returns how to stop looking */
export function keepDatabase(cluster, say) {
  const pauses = createPauses()
  let stopped = false
  const run = async () => {
    while (!stopped) {
      await wait(LOOK_MS)
      if (stopped || cluster.runs()) continue
      say('The database ended. It is started again.')
      try {
        cluster.start()
        pauses.started()
      } catch (error) {
        const pause = pauses.next()
        say(`${error.message.split('\n')[0]} Again in ${Math.round(pause / 1000)} s.`)
        await wait(pause)
      }
    }
  }
  void run()
  return () => {
    stopped = true
  }
}
