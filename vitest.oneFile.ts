import { readdirSync } from 'node:fs'
import { join } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'
import { build, type Plugin as BundlePlugin } from 'esbuild'
import type { Plugin } from 'vite'

const ROOT = fileURLToPath(new URL('.', import.meta.url))
/** Beside the packages, so that it is loaded as they are. */
const BUNDLE = join(ROOT, 'node_modules/.cache/tender-gill/pure.mjs')
/** No page, clock or store is in them, and no test puts anything in the place of theirs. */
const PACKAGES = ['core', 'contract', 'words', 'names', 'csv', 'catalogue']

const listModules = (): readonly string[] =>
  PACKAGES.flatMap((name) =>
    readdirSync(join(ROOT, name, 'src'), { recursive: true, encoding: 'utf8' })
      .filter((path) => path.endsWith('.ts') && !/\.test\.ts$|\.d\.ts$|(^|\/)testing\//.test(path))
      .map((path) => join(ROOT, name, 'src', path)),
  )

/** Bundles modules, each under the name of its place in the list. @returns a module to be read for each, by its path */
async function bundle(modules: readonly string[]): Promise<ReadonlyMap<string, string>> {
  const { outsidePackages } = (await import('./scripts/lib/outsidePackages.mjs' as string)) as { outsidePackages: BundlePlugin }
  await build({
    stdin: { contents: modules.map((path, i) => `export * as m${i} from ${JSON.stringify(path)}`).join('\n'), resolveDir: ROOT },
    outfile: BUNDLE,
    ...{ bundle: true, platform: 'node', format: 'esm', target: 'node20', sourcemap: 'linked', sourcesContent: false },
    plugins: [outsidePackages],
  })
  const bundled = (await import(pathToFileURL(BUNDLE).href)) as Record<string, object>
  return new Map(
    modules.map((path, i) => [
      path,
      [
        `import { m${i} as all } from ${JSON.stringify(BUNDLE)}`,
        ...Object.keys(bundled[`m${i}`] ?? {}).map((name) => `export const ${name} = all.${name}`),
      ].join('\n'),
    ]),
  )
}

/**
 * The pure packages in one file, as they are shipped: read one by one, hundreds of modules cost each worker more than many a law, and
 * every call from one into another goes through a getter. For runs alone: who watches is shown what was just written.
 */
export function oneFile(): Plugin {
  let modules: Promise<ReadonlyMap<string, string>> | undefined
  return {
    name: 'one-file',
    enforce: 'pre',
    apply: () => process.argv.includes('run'),
    load: async (id) => (await (modules ??= bundle(listModules()))).get(id),
  }
}
