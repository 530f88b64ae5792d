/** The browser that journeys, pictures and benches drive: Debian's Chromium without a window, or the one with where that is all there is. */
import { existsSync } from 'node:fs'

/** The package, and its program: it draws no window, and takes a quarter less work than the one that hides its window. */
export const HEADLESS = { name: 'chromium-headless-shell', program: '/usr/bin/chromium-headless-shell' }
const WITH_WINDOW = '/usr/bin/chromium'

/** The program to be driven; undefined where none is installed. */
export const findChromium = () => [HEADLESS.program, WITH_WINDOW].find((program) => existsSync(program))

/** How it is started: as root too, and quiet. */
export const launchOptions = () => ({
  executablePath: findChromium(),
  headless: true,
  chromiumSandbox: false,
  args: [
    '--no-sandbox',
    '--disable-gpu',
    '--disable-quic',
    '--no-first-run',
    '--disable-background-networking',
    '--disable-component-update',
    '--disable-sync',
  ],
})
