import { fileURLToPath } from 'node:url'
import { build, type Plugin } from 'esbuild'

const here = (path: string): string => fileURLToPath(new URL(path, import.meta.url))

/** Where the server under the pages lies, bundled: beside the packages, so that it is loaded as they are. */
export const SERVER_BUNDLE = here('../../../node_modules/.cache/tender-gill/realServer.mjs')

/** The real server in one file, once for a run: read module by module it would cost each file of tests more than the pages themselves. */
export async function setup(): Promise<void> {
  const { outsidePackages } = (await import('../../../scripts/lib/outsidePackages.mjs' as string)) as { outsidePackages: Plugin }
  await build({
    entryPoints: [here('./realServer.ts')],
    outfile: SERVER_BUNDLE,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    plugins: [outsidePackages],
  })
}
