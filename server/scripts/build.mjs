/** Bundles the server: our own packages in, everything from the registry left outside. */
import { fileURLToPath } from 'node:url'
import { build } from 'esbuild'

const here = (path) => fileURLToPath(new URL(path, import.meta.url))
const outsidePackages = {
  name: 'outside-packages',
  setup({ onResolve }) {
    onResolve({ filter: /^[^./]/ }, ({ path, kind }) =>
      kind === 'entry-point' || path.startsWith('@tender-gill/') ? undefined : { path, external: true },
    )
  },
}
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
