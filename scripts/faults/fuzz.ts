/**
 * Requests that nobody means well by: every operation, with bodies that fit their shape, nearly fit it, or do not at all. None may bring an
 * answer of the server's own failing, an answer that is not problem details where it is a refusal, silence, or harm to what is kept.
 */
import fc from 'fast-check'
import { operations, schemas, type Operation, type ShapeName } from '@tender-gill/contract'
import { KITCHEN, startStack } from './stack.ts'

const REQUESTS = Number(process.argv[2] ?? 5000)
const SEED = Number(process.argv[3] ?? 20_261_127)
const AT_ONCE = 8
const PATIENCE_MS = 60_000

const stack = await startStack()
// The stream of changes never ends, which is its purpose.
const all = (Object.entries(operations) as [string, Operation][]).filter(([name]) => name !== 'changes')
/** Ids and names that there are: of everything of which the kitchen keeps a list. */
const ids: string[] = ['Gadus morhua', 'nobody', '00000000-0000-0000-0000-000000000000', '2026-06-13']
for (const [, { method, path, scope, many }] of all)
  if (method === 'GET' && many && scope !== 'everyone' && !path.includes('{')) {
    const response = await fetch(`${stack.address}${KITCHEN}${path}`)
    const records = (await response.json()) as readonly { readonly id?: unknown }[]
    ids.push(...records.flatMap(({ id }) => (typeof id === 'string' ? [id] : [])).slice(0, 6))
  }

interface Schema {
  readonly type?: string
  readonly const?: unknown
  readonly enum?: readonly unknown[]
  readonly anyOf?: readonly Schema[]
  readonly properties?: Readonly<Record<string, Schema>>
  readonly patternProperties?: Readonly<Record<string, Schema>>
  readonly required?: readonly string[]
  readonly items?: Schema | readonly Schema[]
  readonly minItems?: number
  readonly maxItems?: number
  readonly minimum?: number
  readonly maximum?: number
  readonly minLength?: number
  readonly maxLength?: number
  readonly format?: string
  readonly pattern?: string
}

/** Text that has broken something somewhere. */
const NASTY = [
  ...['', ' ', '\0', '\ud800', '\u202eabc', 'é'.normalize('NFD'), '__proto__', 'constructor', 'null', 'NaN', '-0', '1e999', '%00', '%ff'],
  ...[
    "'; drop table kitchens; --",
    '<script>alert(1)</script>',
    '=1+1',
    '{{7*7}}',
    '../../../etc/passwd',
    '2026-02-30',
    '0000-00-00',
    '9999-12-31',
  ],
  ...['Gadus morhua', 'grill', 'x'.repeat(70_000), '🐟'.repeat(500), '"', '\\', '\r\nSet-Cookie: a=b'],
]
const nasty = fc.constantFrom(...NASTY)
const anything: fc.Arbitrary<unknown> = fc.oneof(
  nasty,
  fc.constantFrom(null, true, false, 0, -1, 1e308, -1e308, 0.1, 2 ** 53, [], {}, [[]], [null]),
  fc.jsonValue({ maxDepth: 3 }),
)
const KNOWN_TEXT: Readonly<Record<string, fc.Arbitrary<string>>> = {
  date: fc
    .date({ min: new Date('2020-01-01'), max: new Date('2030-01-01'), noInvalidDate: true })
    .map((date) => date.toISOString().slice(0, 10)),
  'date-time': fc.constant('2026-06-13T12:00:00Z'),
}

function arbitraryOf(schema: Schema): fc.Arbitrary<unknown> {
  if (schema.const !== undefined) return fc.constant(schema.const)
  if (schema.enum) return fc.constantFrom(...schema.enum)
  if (schema.anyOf) return fc.oneof(...schema.anyOf.map(arbitraryOf))
  switch (schema.type) {
    case 'null':
      return fc.constant(null)
    case 'boolean':
      return fc.boolean()
    case 'integer':
    case 'number': {
      const min = schema.minimum ?? -1000
      const max = Math.max(min, schema.maximum ?? 1000)
      return schema.type === 'integer' ? fc.integer({ min: Math.ceil(min), max: Math.floor(max) }) : fc.double({ min, max, noNaN: true })
    }
    case 'string':
      return (
        KNOWN_TEXT[schema.format ?? ''] ??
        fc.oneof(
          schema.pattern === undefined
            ? fc.string({ minLength: schema.minLength ?? 0, maxLength: Math.min(40, schema.maxLength ?? 40) })
            : fc.stringMatching(new RegExp(schema.pattern)),
          fc.constantFrom(...ids),
        )
      )
    case 'array':
      return Array.isArray(schema.items)
        ? fc.tuple(...(schema.items as readonly Schema[]).map(arbitraryOf))
        : fc.array(arbitraryOf((schema.items ?? {}) as Schema), {
            minLength: schema.minItems ?? 0,
            maxLength: Math.min(schema.maxItems ?? 4, Math.max(4, schema.minItems ?? 0)),
          })
    case 'object': {
      const properties = Object.entries(schema.properties ?? {}).map(([key, one]) => [key, arbitraryOf(one)] as const)
      return properties.length === 0
        ? fc.constant({})
        : fc.record(Object.fromEntries(properties), { requiredKeys: (schema.required ?? []) as never[] })
    }
    default:
      return anything
  }
}

/** A value with something in it put wrong: a field changed for anything, added, or taken away. */
const spoiled = (value: unknown, at: number, put: unknown): unknown => {
  if (Array.isArray(value) && value.length > 0) {
    const i = at % value.length
    return value.map((one: unknown, j) => (j === i ? spoiled(one, Math.floor(at / value.length), put) : one))
  }
  if (typeof value === 'object' && value !== null && !Array.isArray(value)) {
    const entries = Object.entries(value)
    const i = at % (entries.length + 2)
    if (i === entries.length) return { ...value, somethingElse: put }
    if (i > entries.length || entries.length === 0) return Object.fromEntries(entries.slice(1))
    return Object.fromEntries(
      entries.map(([key, one], j) => [key, j === i ? spoiled(one, Math.floor(at / (entries.length + 2)), put) : one]),
    )
  }
  return put
}

interface Request {
  readonly name: string
  readonly method: string
  readonly path: string
  readonly headers: Readonly<Record<string, string>>
  readonly body?: string
}

function requestsOf([name, operation]: [string, Operation]): fc.Arbitrary<Request> {
  const bodies = operation.input
    ? fc.oneof(
        { weight: 3, arbitrary: arbitraryOf(schemas[operation.input as ShapeName] as unknown as Schema) },
        {
          weight: 4,
          arbitrary: fc
            .tuple(arbitraryOf(schemas[operation.input as ShapeName] as unknown as Schema), fc.nat(), anything)
            .map(([value, at, put]) => spoiled(value, at, put)),
        },
        { weight: 1, arbitrary: anything },
      )
    : fc.constant(undefined)
  const scoped =
    operation.scope === 'everyone'
      ? fc.constant('/api')
      : fc.oneof({ weight: 9, arbitrary: fc.constant(KITCHEN) }, { weight: 1, arbitrary: fc.constantFrom('/api/kitchens/nobody', '/api') })
  const piece = fc.oneof({ weight: 3, arbitrary: fc.constantFrom(...ids) }, { weight: 1, arbitrary: nasty })
  const query = fc.array(fc.tuple(fc.constantFrom('date', 'serving', 'format', 'q', 'a[b]', '__proto__'), piece), { maxLength: 2 })
  return fc
    .tuple(
      scoped,
      fc.array(piece, { minLength: 4, maxLength: 4 }),
      query,
      bodies,
      fc.constantFrom('"1"', '"2"', '1', '"x"', '', '"99999999999"'),
      nasty,
      fc.nat(20),
    )
    .map(([base, pieces, asked, body, ifMatch, key, odd]) => {
      let at = 0
      const path = operation.path.replaceAll(/\{\w+\}/g, () => encodeLoosely(pieces[at++] ?? ''))
      const behind = asked.map(([one, value]) => `${encodeLoosely(one)}=${encodeLoosely(value)}`).join('&')
      const text = body === undefined ? undefined : odd === 0 ? JSON.stringify(body).slice(0, -1) : JSON.stringify(body)
      return {
        name,
        method: operation.method,
        path: `${base}${path}${behind ? `?${behind}` : ''}`,
        headers: {
          ...(text === undefined ? {} : { 'Content-Type': odd === 1 ? 'text/plain' : 'application/json' }),
          ...(operation.ifMatch || odd === 2 ? { 'If-Match': ifMatch } : {}),
          ...(odd === 3 ? { 'Idempotency-Key': key.replaceAll(/[^\x20-\x7e]/g, '?').slice(0, 300) } : {}),
        },
        ...(text === undefined ? {} : { body: text }),
      }
    })
}

/** As in an address, where half a letter cannot be written. */
const encodeLoosely = (text: string) => encodeURIComponent(text.slice(0, 2000).replaceAll(/\p{Surrogate}/gu, '?'))

/** What is wrong with an answer; undefined if nothing. */
async function judge(response: Response): Promise<string | undefined> {
  const text = await response.text()
  if (response.status >= 500 && response.status !== 503) return `${response.status}: ${text.slice(0, 300)}`
  if (response.status < 400) return undefined
  if (!(response.headers.get('content-type') ?? '').startsWith('application/problem+json'))
    return `${response.status} without problem details`
  const { title, status } = JSON.parse(text) as { title?: string; status?: number }
  return title && status === response.status ? undefined : `${response.status} with ${text.slice(0, 200)}`
}

const count = () => Number(stack.cluster.ask('select count(*) from kitchens'))
const kitchens = count()
const requests = fc.sample(fc.oneof(...all.map(requestsOf)), { numRuns: REQUESTS, seed: SEED })
const statuses = new Map<number, number>()
const wrong: string[] = []
let slowest = { ms: 0, name: '' }
const began = Date.now()

let next = 0
async function work(): Promise<void> {
  for (let at = next++; at < requests.length; at = next++) {
    const { name, method, path, headers, body } = requests[at] as Request
    const sent = performance.now()
    try {
      const response = await fetch(`${stack.address}${path}`, {
        method,
        headers,
        signal: AbortSignal.timeout(PATIENCE_MS),
        ...(body === undefined ? {} : { body }),
      })
      statuses.set(response.status, (statuses.get(response.status) ?? 0) + 1)
      const problem = await judge(response)
      if (problem !== undefined) wrong.push(`${name} ${method} ${path.slice(0, 120)} ${body?.slice(0, 300) ?? ''} -> ${problem}`)
    } catch (error) {
      wrong.push(`${name} ${method} ${path.slice(0, 120)} ${body?.slice(0, 300) ?? ''} -> ${String(error)}`)
    }
    const ms = performance.now() - sent
    if (ms > slowest.ms) slowest = { ms, name }
    if ((at + 1) % 1000 === 0) console.log(`${at + 1} requests, ${((Date.now() - began) / 1000).toFixed(0)} s`)
  }
}
await Promise.all(Array.from({ length: AT_ONCE }, work))

const health = await fetch(`${stack.address}/api/health`)
if (!health.ok) wrong.push(`the server answers ${health.status} afterwards`)
if (count() !== kitchens) wrong.push(`${kitchens} kitchens before, ${count()} after`)
// Whatever was kept must still be readable.
for (const [name, { method, path, scope, query }] of all)
  if (method === 'GET' && !path.includes('{') && scope !== 'everyone' && !query) {
    const response = await fetch(`${stack.address}${KITCHEN}${path}`)
    if (!response.ok) wrong.push(`${name} answers ${response.status} afterwards: ${(await response.text()).slice(0, 200)}`)
  }
await stack.destroy()

const spread = [...statuses].sort(([a], [b]) => a - b).map(([status, times]) => `${times} of ${status}`)
console.log(
  `${requests.length} requests over ${all.length} operations, seed ${SEED}: ${spread.join(', ')}; slowest ${slowest.ms.toFixed(0)} ms (${slowest.name}); wrong: ${wrong.length}`,
)
for (const line of wrong.slice(0, 20)) console.log(`  ${line}`)
process.exit(wrong.length === 0 ? 0 : 1)
