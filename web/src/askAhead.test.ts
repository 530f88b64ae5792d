import type { SheetRef } from './engine/index.ts'
import { describe, expect, it, vi } from 'vitest'
import { askAhead } from './askAhead.ts'
import { api } from './api/api.ts'
import { fetchPage, layPages } from './pages.ts'
import { createStore } from './state/store.ts'
import { stubRequest } from './testing/stubRequest.ts'

const KITCHEN = 'a-kitchen'
const TODAY = '2026-06-13'
const json = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } })

/** A store on a server of one kitchen with one dish, which is served on the day given. */
function open({ date, kept = true, away = [] as readonly string[] }: { date?: string; kept?: boolean; away?: readonly string[] } = {}) {
  const asked: string[] = []
  stubRequest()
  vi.stubGlobal('fetch', async (request: Request) => {
    const { pathname, searchParams } = new URL(request.url)
    const rest = pathname.replace(`/api/kitchens/${KITCHEN}`, '')
    const day = searchParams.get('date')
    asked.push(day === null ? rest : `${rest} ${day}`)
    if (away.includes(rest)) return json({ status: 503, title: 'away', problems: [] }, 503)
    if (!kept) return json({ status: 404, title: 'no such kitchen', problems: [] }, 404)
    if (rest === '') return json({ id: KITCHEN, today: TODAY, revision: 1 })
    if (rest === '/sheets') return json({ date: day ?? TODAY, snapshot: `offers of ${day ?? TODAY}` })
    if (rest === '/servings') return json([])
    return json({
      id: 'stew',
      revision: 1,
      brief: { dish: 'Stew', method: 'stew', format: 'chunk', ...(date ? { date } : {}) },
      choice: null,
    })
  })
  const store = createStore({ kitchenId: KITCHEN, client: 'tab', storage: localStorage })
  const laid: SheetRef[] = []
  const dishes: string[] = []
  const engine = {
    lay: async (ref: SheetRef, dish?: { brief: { dish: string } }) => void (laid.push(ref), dish && dishes.push(dish.brief.dish)),
  } as unknown as Parameters<typeof askAhead>[0]['engine']
  const nameOf = (day: string) => api.endpoints.sheetName.select({ date: day })(store.getState()).data
  return { asked, laid, dishes, nameOf, ask: (path: string) => askAhead({ store, engine, path }) }
}

describe('what is asked before anything is drawn', () => {
  it('is the kitchen, its servings and the offers of today, each once and none waiting for another', async () => {
    const { asked, laid, nameOf, ask } = open()
    expect(await ask('/market')).toBe(true)
    expect([...asked].sort()).toEqual(['', '/servings', '/sheets'])
    expect(nameOf(TODAY)).toEqual({ date: TODAY, snapshot: `offers of ${TODAY}` })
    expect(laid).toMatchObject([{ kitchenId: KITCHEN, date: TODAY, snapshot: `offers of ${TODAY}`, today: TODAY }])
  })

  it('is the dish of the address, and the offers of its own day', async () => {
    const { asked, laid, nameOf, ask } = open({ date: '2026-07-01' })
    await ask('/dishes/stew/line-up')
    expect([...asked].sort()).toEqual(['', '/servings/stew', '/sheets', '/sheets 2026-07-01'])
    expect(nameOf('2026-07-01')?.snapshot).toBe('offers of 2026-07-01')
    expect(laid.map(({ date, today }) => [date, today])).toEqual([['2026-07-01', TODAY]])
  })

  it('lays the dish out where its page begins with the line-up', async () => {
    for (const [room, laidOut] of [
      ['line-up', ['Stew']],
      ['amounts', ['Stew']],
      ['brief', []],
      ['pot', []],
    ] as const) {
      const { dishes, ask } = open()
      await ask(`/dishes/stew/${room}`)
      expect(dishes).toEqual(laidOut)
    }
  })

  it('asks for no day twice where the dish is of today or of no day', async () => {
    for (const of of [{}, { date: TODAY }]) {
      const { asked, laid, ask } = open(of)
      await ask('/dishes/stew/amounts')
      expect([...asked].sort()).toEqual(['', '/servings/stew', '/sheets'])
      expect(laid).toHaveLength(1)
    }
    const { asked, ask } = open()
    await ask('/dishes/new')
    expect([...asked].sort()).toEqual(['', '/servings', '/sheets'])
  })

  it('tells a kitchen that is not kept from a server that is away', async () => {
    expect(await open({ kept: false }).ask('/')).toBe(false)
    vi.useFakeTimers({ shouldAdvanceTime: true, advanceTimeDelta: 1_000 })
    const { laid, ask } = open({ away: ['', '/sheets', '/servings'] })
    expect(await ask('/')).toBeUndefined()
    expect(laid).toEqual([])
    vi.useRealTimers()
  })
})

describe('the page of an address', () => {
  it('is drawn at once where it was fetched before, and the others when they have come', async () => {
    const pageAt = (path: string) => layPages().find((one) => one.path === path)?.Page
    expect(typeof pageAt('/help')).toBe('object')
    await fetchPage('/help', 30_000)
    expect(typeof pageAt('/help')).toBe('function')
    expect(typeof pageAt('/market/standing')).toBe('object')
  })

  it('is one page at both addresses of a brief, so that nothing typed is lost when it is kept', () => {
    const pages = layPages()
    const at = (path: string) => pages.find((one) => one.path === path)?.Page
    expect(at('/dishes/new')).toBe(at('/dishes/:id/brief'))
    expect(new Set(pages.map(({ path }) => path)).size).toBe(pages.length)
  })

  it('holds nobody up where there is no such page', async () => {
    await expect(fetchPage('/nothing/here', 30_000)).resolves.toBeUndefined()
  })
})
