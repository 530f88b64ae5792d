/** Bundles the command line with the catalogue compiled in: plain JavaScript, no database, starts at once. */
import { readFile, rm } from 'node:fs/promises'
import { fileURLToPath } from 'node:url'
import { build } from 'esbuild'

const here = (path) => fileURLToPath(new URL(path, import.meta.url))
await rm(here('../dist'), { recursive: true, force: true })
await build({
  entryPoints: [here('../src/main.ts')],
  outdir: here('../dist'),
  entryNames: 'tender-gill',
  bundle: true,
  // What one verb needs alone is a file of its own, read when that verb is asked for.
  splitting: true,
  platform: 'node',
  format: 'esm',
  target: 'node20',
  minify: true,
  // A text that is parsed at the start is read faster than the same thing written as code.
  plugins: [
    {
      name: 'json-as-text',
      setup: ({ onLoad }) =>
        onLoad({ filter: /\.json$/ }, async ({ path }) => ({
          contents: `export default JSON.parse(${JSON.stringify(await readFile(path, 'utf8'))})`,
        })),
    },
  ],
  banner: { js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);" },
})
