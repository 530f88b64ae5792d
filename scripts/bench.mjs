/** `npm run bench`: speed as ratios in one run. Machines are noisy, so compare the ratios, not the milliseconds. */
import { buildAll, installPackages } from './lib/install.mjs'
import { must } from './lib/shell.mjs'

await installPackages()
await buildAll()
const only = process.argv[2]
for (const part of ['engine', 'growth', 'command', 'page'].filter((name) => !only || name === only)) {
  console.log(`\n== ${part}`)
  await must('npx', ['tsx', '--expose-gc', `scripts/bench/${part}.ts`])
}
