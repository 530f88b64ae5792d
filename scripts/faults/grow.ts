/**
 * One kitchen that has been in use for years: many dishes, decisions and lists of prices. What is looked at every day is then timed, so
 * that what grows with the kitchen and should not is seen.
 */
import { type PriceListInput, type ServingRecord } from '@tender-gill/contract'
import { KITCHEN, startStack, wait } from './stack.ts'

const [SERVINGS, DECISIONS, LISTS] = [400, 200, 300]
const ROWS = 40
const FIRST_DAY = Date.UTC(2025, 5, 1)
const FISH = [
  'Atlantic cod',
  'Haddock',
  'Pollack',
  'Hake',
  'Sea bass',
  'Gilthead bream',
  'Mackerel',
  'Sardine',
  'Turbot',
  'Brill',
  'Plaice',
  'Monkfish',
]
const CUTS = ['whole', 'gutted', 'fillet skin on', 'fillet skinless'] as const

const stack = await startStack()
const dayAfter = (days: number) => new Date(FIRST_DAY + days * 24 * 3600 * 1000).toISOString().slice(0, 10)

async function ask(
  path: string,
  body?: object,
): Promise<{ readonly status: number; readonly bytes: number; readonly text: string; readonly ms: number }> {
  const began = performance.now()
  const response = await fetch(`${stack.address}${KITCHEN}${path}`, {
    method: body ? 'POST' : 'GET',
    headers: { 'Content-Type': 'application/json' },
    ...(body ? { body: JSON.stringify(body) } : {}),
  })
  const text = await response.text()
  if (!response.ok) throw new Error(`${path} answers ${response.status}: ${text.slice(0, 300)}`)
  return { status: response.status, bytes: Buffer.byteLength(text), text, ms: performance.now() - began }
}

/** Questions that are asked whenever somebody opens the page. */
const QUESTIONS: readonly (readonly [what: string, path: string, body?: object])[] = [
  ['home: the menu', '/servings'],
  ['home: what has changed since a fish was taken', '/alerts'],
  ['market: what is good today', '/slab'],
  ['market: prices as they count', '/prices'],
  ['market: one fish over time', '/price-history/Gadus%20morhua'],
  ['the cover card', '/cover-card'],
  ['a line-up', '/line-up', { dish: 'Skewers', method: 'grill', format: 'chunk', draws: 400 }],
]

async function time(): Promise<ReadonlyMap<string, { readonly ms: number; readonly bytes: number }>> {
  const times = new Map<string, { ms: number; bytes: number }>()
  for (const [what, path, body] of QUESTIONS) {
    await ask(path, body)
    const runs = [await ask(path, body), await ask(path, body), await ask(path, body)].sort((a, b) => a.ms - b.ms)
    times.set(what, { ms: runs[1]?.ms ?? 0, bytes: runs[1]?.bytes ?? 0 })
  }
  return times
}

/** How long the server keeps a short question waiting while something is done: the median, and the worst of a hundred, ms. */
async function keepAsking(work: () => Promise<unknown>): Promise<string> {
  const waits: number[] = []
  let over = false
  const asking = (async () => {
    while (!over) {
      const began = performance.now()
      await (await fetch(`${stack.address}/api/health`)).text()
      waits.push(performance.now() - began)
      await wait(5)
    }
  })()
  await work()
  over = true
  await asking
  const sorted = waits.sort((a, b) => a - b)
  const at = (share: number) => (sorted[Math.floor(share * (sorted.length - 1))] ?? 0).toFixed(0)
  return `${at(0.5)} ms, one in a hundred ${at(0.99)} ms, at worst ${at(1)} ms`
}

const young = await time()
const began = Date.now()
const [merchant] = JSON.parse((await ask('/merchants')).text) as readonly { id: string }[]
if (!merchant) throw new Error('the demo has no merchant')
for (let list = 0; list < LISTS; list += 1) {
  const rows = Array.from(
    { length: ROWS },
    (_, i) => `${FISH[i % FISH.length]},${CUTS[i % CUTS.length]},${(8 + ((i * 7 + list * 3) % 130) / 10).toFixed(2)},kg`,
  )
  const input: PriceListInput = {
    merchantId: merchant.id,
    date: dayAfter(list),
    text: `Fish,Cut,Price,Unit\n${rows.join('\n')}\n`,
    keep: 'good',
  }
  await ask('/price-lists', input)
}
const servings: ServingRecord[] = []
for (let i = 0; i < SERVINGS; i += 1) {
  const date = { date: dayAfter(i) }
  const brief = { dish: `Dish ${i % 80}`, method: 'grill', format: 'chunk', covers: 2 + (i % 40), draws: 400, ...date }
  servings.push(JSON.parse((await ask('/servings', { brief, choice: null })).text) as ServingRecord)
}
const { ranked } = JSON.parse((await ask('/line-up', { dish: 'Skewers', method: 'grill', format: 'chunk', draws: 400 })).text) as {
  ranked: readonly { species: string; offerId: string; form: string }[]
}
for (let i = 0; i < DECISIONS; i += 1) {
  const fish = ranked[i % Math.min(5, ranked.length)]
  if (fish) await ask('/decisions', { servingId: servings[i]?.id, species: fish.species, offerId: fish.offerId, form: fish.form })
}
console.log(
  `${LISTS} lists of ${ROWS} rows, ${SERVINGS} servings, ${DECISIONS} decisions laid in ${((Date.now() - began) / 1000).toFixed(0)} s`,
)

let old = young
const waits = await keepAsking(async () => {
  old = await time()
})
for (const [what, now] of old) {
  const then = young.get(what) ?? now
  console.log(
    `${what}: ${then.ms.toFixed(0)} -> ${now.ms.toFixed(0)} ms, ${(now.ms / Math.max(1, then.ms)).toFixed(1)} times; ${(then.bytes / 1000).toFixed(0)} -> ${(now.bytes / 1000).toFixed(0)} kB`,
  )
}
console.log(`a short question meanwhile waits ${waits}`)
console.log(`database ${stack.cluster.ask('select pg_size_pretty(pg_database_size(current_database()))')}`)
await stack.destroy()
