/** `npm run bench`: speed as ratios in one run. Machines are noisy, so compare the ratios, not the milliseconds. */
import { mkdtemp, rm } from 'node:fs/promises'
import { join } from 'node:path'
import { installPackages, buildAll } from './lib/install.mjs'
import { must } from './lib/shell.mjs'

await installPackages()
await buildAll()
const { build } = await import('esbuild')
const only = process.argv[2]
const wanted = (name) => !only || name === only

/** What measures the engine alone is bundled as the worker, the server and the command line are: what runs is what is shipped. */
const room = await mkdtemp(join('node_modules', '.bench-'))
try {
  for (const part of ['engine', 'houseBook', 'buySheet', 'growth', 'lists', 'prices'].filter(wanted)) {
    console.log(`\n== ${part}`)
    const outfile = join(room, `${part}.mjs`)
    await build({
      entryPoints: [`scripts/bench/${part}.ts`],
      outfile,
      bundle: true,
      platform: 'node',
      format: 'esm',
      target: 'node20',
      minify: true,
      banner: { js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);" },
    })
    await must('node', ['--expose-gc', outfile])
  }
} finally {
  await rm(room, { recursive: true, force: true })
}
for (const part of ['market', 'command', 'page'].filter(wanted)) {
  console.log(`\n== ${part}`)
  await must('npx', ['tsx', '--expose-gc', `scripts/bench/${part}.ts`])
}
