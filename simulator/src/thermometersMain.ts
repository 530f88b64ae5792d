import { serve } from './serve.ts'
import { createThermometers, EVERY_MINUTES } from './thermometers.ts'

/** Another clock where one is told. */
const fixed = process.env.SIMULATOR_CLOCK
const { app, tick, close } = createThermometers({ now: () => (fixed ? new Date(fixed) : new Date()) })
const every = setInterval(tick, EVERY_MINUTES * 60_000)
serve({
  ...{ name: 'thermometers', app, port: Number(process.env.THERMOMETERS_PORT ?? 0) },
  onStop: () => {
    clearInterval(every)
    close()
  },
})
