/**
 * `npm run faults`: what the application must survive, and by what figures it does: power cuts under writes and while a phone sends, requests that nobody means well
 * by, a kitchen grown for years. Takes some minutes; not part of the tests. `npm run faults kills 200` does one part, with its number.
 */
import { buildAll, installPackages } from './lib/install.mjs'
import { show } from './lib/shell.mjs'

const [only, ...rest] = process.argv.slice(2)
await installPackages()
await buildAll()
let failed = 0
for (const part of ['kills', 'outbox', 'fuzz', 'grow'].filter((name) => !only || name === only)) {
  console.log(`\n== ${part}`)
  if ((await show('npx', ['tsx', `scripts/faults/${part}.ts`, ...rest])) !== 0) failed += 1
}
process.exit(failed === 0 ? 0 : 1)
