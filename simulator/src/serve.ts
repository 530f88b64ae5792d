import type { Express } from 'express'
import type { AddressInfo } from 'node:net'

interface Service {
  /** What it is called when it says on which port it is. */
  readonly name: string
  readonly app: Express
  /** Any free port where it is 0. */
  readonly port: number
  readonly onStop: () => void
}

/** Serves one of the simulator's programs on loopback, says on which port, and stops with whoever started it. */
export function serve({ name, app, port, onStop }: Service): void {
  const server = app.listen(port, '127.0.0.1', (error) => {
    if (error) {
      process.stderr.write(`the ${name} cannot listen on port ${port}: ${error.message}\n`)
      process.exit(1)
    }
    process.stdout.write(`${name} on ${(server.address() as AddressInfo).port}\n`)
  })
  const stop = () => {
    onStop()
    server.close(() => process.exit(0))
    server.closeAllConnections()
  }
  process.on('SIGINT', stop)
  process.on('SIGTERM', stop)
  // A parent that is killed cannot tell us to stop, but the pipe it held to us closes.
  if (process.env.STOP_WITH_PARENT) process.stdin.resume().on('end', stop)
}
