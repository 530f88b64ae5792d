import { createSimulator, TROUBLES } from './createSimulator.ts'
import { serve } from './serve.ts'

const fixed = process.env.SIMULATOR_TODAY
const today = () => fixed ?? new Date().toISOString().slice(0, 10)
const { app, publish, setTrouble, close } = createSimulator({ seed: process.env.SIMULATOR_SEED ?? 'demo', today })
setTrouble(TROUBLES.find((one) => one === process.env.SIMULATOR_TROUBLE) ?? 'none')

/** A new list each morning. */
let last = today()
const morning = setInterval(() => {
  if (today() === last) return
  last = today()
  publish(last)
}, 60_000)
serve({
  ...{ name: 'merchants', app, port: Number(process.env.SIMULATOR_PORT ?? 0) },
  onStop: () => {
    clearInterval(morning)
    close()
  },
})
