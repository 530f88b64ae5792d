/**
 * Power cuts under writes: server and database are killed in turn while several writers put dishes on the menu, change them and take them
 * away. Afterwards everything that was acknowledged must be there, once, whole, at its revision or a later one.
 */
import { KITCHEN, startStack, wait, type Stack } from './stack.ts'

const KILLS = Number(process.argv[2] ?? 40)
const WRITERS = 6
/** Time to write between two kills, ms: none is the same as another. */
const pauseBefore = (kill: number): number => 300 + ((kill * 7919) % 900)

interface Kept {
  readonly id: string
  readonly revision: number
  readonly covers: number
}
interface Tally {
  acknowledged: number
  unanswered: number
  refused: Map<number, number>
  /** What the server last said it keeps, by the name of the dish, and what was asked and never answered. */
  kept: Map<string, Kept>
}

const briefOf = (dish: string, covers: number) => ({ brief: { dish, method: 'grill', format: 'chunk', covers, draws: 400 }, choice: null })

/** One command, sent again under the same key until it is answered, as the pages do. */
async function send(stack: Stack, tally: Tally, path: string, init: RequestInit): Promise<Response | undefined> {
  const key = crypto.randomUUID()
  for (let tries = 0; tries < 60; tries += 1) {
    try {
      const headers = { 'Content-Type': 'application/json', 'Idempotency-Key': key, ...init.headers }
      const response = await fetch(`${stack.address}${KITCHEN}${path}`, { ...init, headers, signal: AbortSignal.timeout(10_000) })
      if (response.status < 500) return response
      tally.refused.set(response.status, (tally.refused.get(response.status) ?? 0) + 1)
    } catch {
      tally.unanswered += 1
    }
    await wait(100)
  }
  return undefined
}

async function write(stack: Stack, tally: Tally, name: string, isOver: () => boolean): Promise<void> {
  for (let turn = 0; !isOver(); turn += 1) {
    const dish = `${name} ${turn}`
    const made = await send(stack, tally, '/servings', { method: 'POST', body: JSON.stringify(briefOf(dish, 1)) })
    if (made?.status !== 201) throw new Error(`${dish}: ${made?.status ?? 'no answer'} ${(await made?.text()) ?? ''}`)
    const { id, revision } = (await made.json()) as Kept
    tally.kept.set(dish, { id, revision, covers: 1 })
    tally.acknowledged += 1
    const changed = await send(stack, tally, `/servings/${id}`, {
      method: 'PUT',
      headers: { 'If-Match': `"${revision}"` },
      body: JSON.stringify(briefOf(dish, 2)),
    })
    if (changed?.status !== 200) throw new Error(`${dish} changed: ${changed?.status ?? 'no answer'} ${(await changed?.text()) ?? ''}`)
    tally.kept.set(dish, { id, revision: ((await changed.json()) as Kept).revision, covers: 2 })
    tally.acknowledged += 1
  }
}

interface Read extends Kept {
  readonly brief: { readonly dish: string; readonly covers: number }
}

const stack = await startStack()
const tally: Tally = { acknowledged: 0, unanswered: 0, refused: new Map(), kept: new Map() }
let over = false
const writers = Array.from({ length: WRITERS }, (_, i) => write(stack, tally, `Writer ${i}`, () => over))
const began = Date.now()
for (let kill = 0; kill < KILLS; kill += 1) {
  await wait(pauseBefore(kill))
  await (kill % 2 === 0 ? stack.killServer() : stack.killDatabase())
  if ((kill + 1) % 10 === 0)
    console.log(`${kill + 1} kills, ${tally.acknowledged} writes acknowledged, ${((Date.now() - began) / 1000).toFixed(0)} s`)
}
over = true
await Promise.all(writers)

const read = (await (await fetch(`${stack.address}${KITCHEN}/servings`)).json()) as readonly Read[]
const written = read.filter(({ brief }) => brief.dish.startsWith('Writer '))
const wrong: string[] = []
for (const [dish, kept] of tally.kept) {
  const found = written.filter(({ brief }) => brief.dish === dish)
  if (found.length !== 1) wrong.push(`${dish}: ${found.length} times`)
  else if (found[0]?.id !== kept.id || found[0].revision !== kept.revision || found[0].brief.covers !== kept.covers)
    wrong.push(`${dish}: acknowledged ${JSON.stringify(kept)}, there is ${JSON.stringify(found[0])}`)
}
for (const { brief } of written) if (!tally.kept.has(brief.dish)) wrong.push(`${brief.dish} was never acknowledged`)
// Every row of the log of changes stands for one version of its kitchen, without gaps.
const gaps = stack.cluster.ask(
  `select count(*) from kitchens k where k.version > 0 and k.version <> (select coalesce(max(version), k.version) from changes c where c.kitchen_id = k.id)`,
)
if (gaps !== '0') wrong.push(`${gaps} kitchens whose version is not their last change’s`)
await stack.destroy()

const refusals = [...tally.refused].map(([status, times]) => `${times} answered ${status}`)
console.log(
  `${KILLS} kills of server and database in turn under ${WRITERS} writers: ${tally.acknowledged} writes acknowledged, ${tally.unanswered} attempts cut off${refusals.length > 0 ? `, ${refusals.join(', ')}` : ''}; lost, doubled or twisted: ${wrong.length}`,
)
for (const line of wrong.slice(0, 10)) console.log(`  ${line}`)
process.exit(wrong.length === 0 ? 0 : 1)
