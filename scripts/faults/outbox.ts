/**
 * The server is killed while a phone sends what it wrote down with no reception: the phone's own outbox, against the real server. Afterwards
 * everything is there, once, and in the order in which it was written.
 */
import type { LookInput } from '../../contract/src/index.ts'
import { startStack, wait } from './stack.ts'

const RUNS = Number(process.argv[2] ?? 20)
const NOTES = 12
const KITCHEN_ID = 'lantern-house'

const stack = await startStack()
const kept = new Map<string, string>()
const storage = {
  getItem: (key: string) => kept.get(key) ?? null,
  setItem: (key: string, value: string) => void kept.set(key, value),
  removeItem: (key: string) => void kept.delete(key),
}
const Plain = globalThis.Request
// Pages ask by addresses without a host: here they are the server's.
globalThis.Request = class extends Plain {
  constructor(url: string | URL, init?: RequestInit) {
    super(new URL(String(url), stack.address), { ...init, signal: null })
  }
} as typeof Request
interface Store {
  readonly dispatch: (action: unknown) => void
  readonly getState: () => { readonly outbox: readonly unknown[] }
}
// The pages' own code, which is typed with the pages.
const { commandGiven } = (await import('../../web/src/outbox/outboxSlice.ts' as string)) as { commandGiven: (given: object) => unknown }
const { createStore } = (await import('../../web/src/state/store.ts' as string)) as { createStore: (options: object) => Store }

const look = (note: string): LookInput => ({
  id: crypto.randomUUID(),
  look: {
    ...{
      at: new Date().toISOString(),
      line: null,
      servings: [],
      merchant: null,
      species: 'Gadus morhua',
      offerId: 'gadus-morhua.wild.fresh.body',
    },
    ...{
      form: 'fillet-skin-on',
      view: 'fillet',
      signs: {},
      circumstances: [],
      refused: false,
      outcome: 'buy',
      iceDays: null,
      asked: null,
      note,
    },
  },
})

let faults = 0
for (let run = 0; run < RUNS; run += 1) {
  const store = createStore({ kitchenId: KITCHEN_ID, client: `phone ${run}`, storage, outboxPauseMs: 50 })
  const notes = Array.from({ length: NOTES }, (_, i) => `run ${run}, note ${String(i).padStart(2, '0')}`)
  for (const note of notes)
    store.dispatch(
      commandGiven({
        ...{ id: crypto.randomUUID(), command: 'createLook', arg: look(note), about: note, words: note, at: new Date().toISOString() },
        ...{ state: 'waiting', problem: null, current: null },
      }),
    )
  await wait(10 + ((run * 7919) % 120))
  await stack.killServer()
  for (let tries = 0; store.getState().outbox.length > 0 && tries < 600; tries += 1) await wait(100)
  // Versions of the kitchen rise with every change: the order in which it was told is the order in which it was done.
  const told = stack.cluster.ask(
    `select string_agg(l.look->>'note', '|' order by c.version) from looks l join changes c on c.kitchen_id = l.kitchen_id and c.entity = 'look' and c.entity_id = l.id where l.look->>'note' like 'run ${run},%'`,
  )
  const found = told.trim() === '' ? [] : told.trim().split('|')
  if (store.getState().outbox.length > 0 || JSON.stringify(found) !== JSON.stringify(notes)) {
    faults += 1
    console.log(`run ${run}: ${store.getState().outbox.length} still wait; kept ${found.join('; ')}`)
  }
}
await stack.destroy()
console.log(`${RUNS} kills while ${NOTES} notes were sent: ${faults} runs in which something was lost, doubled or out of order (goal 0)`)
process.exit(faults === 0 ? 0 : 1)
