/**
 * Writes validators as plain code: dist/browserValidators.js for pages, whose content policy forbids making code at run time, and
 * dist/compiledValidators.js for programs that should start at once.
 */
import { AmountsRequest } from '../src/amounts.ts'
import { CookRequest } from '../src/cook.ts'
import { LearnRequest } from '../src/learn.ts'
import { ConductRequest } from '../src/conduct.ts'
import { ColdRequest } from '../src/cold.ts'
import { FreshnessRequest } from '../src/freshness.ts'
import { mkdirSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import type { TSchema } from '@sinclair/typebox'
import { Ajv } from 'ajv'
import formats from 'ajv-formats'
import standaloneCode from 'ajv/dist/standalone/index.js'
import { build } from 'esbuild'
import { Brief, StandInsRequest } from '../src/brief.ts'
import { FindRequest, FishFirstRequest, PotRequest, TurningRequest } from '../src/studies.ts'

const here = (path: string) => fileURLToPath(new URL(path, import.meta.url))
const plain = <T>(module: T | { default: T }) => (typeof module === 'function' ? module : (module as { default: T }).default)

/** The code of one validator; a compiler of its own, since schemas hold each other with their ids. */
function compile(schema: TSchema): string {
  const ajv = new Ajv({ allErrors: true, strictTypes: false, allowUnionTypes: true, code: { source: true, esm: true } })
  ;(plain(formats) as unknown as (ajv: Ajv) => void)(ajv)
  ajv.addSchema(schema, 'schema')
  return (plain(standaloneCode) as unknown as (ajv: Ajv, refs: object) => string)(ajv, { validate: 'schema' })
}

async function write(file: string, parsers: Readonly<Record<string, TSchema>>): Promise<void> {
  const names = Object.keys(parsers)
  const entry = [
    `import { toProblems } from '../src/validators/toProblems.ts'`,
    ...names.map((name) => `import { validate as ${name}Validate } from 'schema:${name}'`),
    `const parser = (validate) => (input) => validate(input) ? { ok: true, value: input } : { ok: false, error: toProblems(validate.errors) }`,
    ...names.map((name) => `export const ${name} = parser(${name}Validate)`),
  ].join('\n')
  await build({
    stdin: { contents: entry, resolveDir: here('../dist'), loader: 'js' },
    bundle: true,
    format: 'esm',
    platform: 'neutral',
    mainFields: ['module', 'main'],
    outfile: here(`../dist/${file}`),
    plugins: [
      {
        name: 'schemas',
        setup: ({ onResolve, onLoad }) => {
          onResolve({ filter: /^schema:/ }, ({ path }) => ({ path: path.slice('schema:'.length), namespace: 'schema' }))
          onLoad({ filter: /.*/, namespace: 'schema' }, ({ path }) => ({
            contents: compile(parsers[path] as TSchema),
            resolveDir: here('..'),
            loader: 'js',
          }))
        },
      },
    ],
  })
}

mkdirSync(here('../dist'), { recursive: true })
await write('browserValidators.js', { parseBrief: Brief })
await write('compiledValidators.js', {
  parseBrief: Brief,
  parseStandInsRequest: StandInsRequest,
})
await write('compiledStudies.js', {
  parseTurningRequest: TurningRequest,
  parsePotRequest: PotRequest,
  parseFishFirstRequest: FishFirstRequest,
  parseFindRequest: FindRequest,
  parseAmountsRequest: AmountsRequest,
  parseCookRequest: CookRequest,
  parseLearnRequest: LearnRequest,
  parseColdRequest: ColdRequest,
  parseConductRequest: ConductRequest,
  parseFreshnessRequest: FreshnessRequest,
})
