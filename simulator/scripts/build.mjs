/** Bundles the merchants' simulator: its own code and wares in, packages from the registry left outside. */
import { fileURLToPath } from 'node:url'
import { build } from 'esbuild'

const here = (path) => fileURLToPath(new URL(path, import.meta.url))
await build({
  entryPoints: [here('../src/main.ts'), here('../src/thermometersMain.ts')],
  outdir: here('../dist'),
  bundle: true,
  packages: 'external',
  platform: 'node',
  format: 'esm',
  target: 'node20',
})
