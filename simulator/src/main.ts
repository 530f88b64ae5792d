import type { AddressInfo } from 'node:net'
import { createSimulator, TROUBLES } from './createSimulator.ts'

/** Any free port, unless one is named. */
const port = Number(process.env.SIMULATOR_PORT ?? 0)
const fixed = process.env.SIMULATOR_TODAY
const today = () => fixed ?? new Date().toISOString().slice(0, 10)
const { app, publish, setTrouble, close } = createSimulator({ seed: process.env.SIMULATOR_SEED ?? 'demo', today })
setTrouble(TROUBLES.find((one) => one === process.env.SIMULATOR_TROUBLE) ?? 'none')
const server = app.listen(port, '127.0.0.1', (error) => {
  if (error) {
    process.stderr.write(`the merchants cannot listen on port ${port}: ${error.message}\n`)
    process.exit(1)
  }
  process.stdout.write(`merchants on ${(server.address() as AddressInfo).port}\n`)
})

/** A new list each morning. */
let last = today()
const morning = setInterval(() => {
  if (today() === last) return
  last = today()
  publish(last)
}, 60_000)

const stop = () => {
  clearInterval(morning)
  close()
  server.close(() => process.exit(0))
  server.closeAllConnections()
}
process.on('SIGINT', stop)
process.on('SIGTERM', stop)
// A parent that is killed cannot tell us to stop, but the pipe it held to us closes.
if (process.env.STOP_WITH_PARENT) process.stdin.resume().on('end', stop)
