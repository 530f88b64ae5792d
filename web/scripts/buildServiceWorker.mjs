/** Bundles the service worker beside the pages, with the names of every asset of this build. */
import { readdirSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { build } from 'esbuild'

const here = (path) => fileURLToPath(new URL(path, import.meta.url))
const assets = readdirSync(here('../dist/assets'))
  .filter((name) => /\.(js|css|woff2|svg)$/.test(name))
  .map((name) => `/assets/${name}`)
await build({
  entryPoints: [here('../src/offline/serviceWorker.ts')],
  outfile: here('../dist/service-worker.js'),
  bundle: true,
  minify: true,
  format: 'iife',
  target: 'es2022',
  define: { __ASSETS__: JSON.stringify(assets), 'process.env.NODE_ENV': '"production"' },
})
