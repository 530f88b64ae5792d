/** Bundles the server: our own packages in, everything from the registry left outside. */
import { fileURLToPath } from 'node:url'
import { build } from 'esbuild'
import { outsidePackages } from '../../scripts/lib/outsidePackages.mjs'

const here = (path) => fileURLToPath(new URL(path, import.meta.url))
await build({
  // The computing thread stands beside the server that starts it.
  entryPoints: { main: here('../src/main.ts'), thread: here('../src/compute/thread.ts'), seedMain: here('../src/seedMain.ts') },
  outdir: here('../dist'),
  bundle: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  plugins: [outsidePackages],
})
