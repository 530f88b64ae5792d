import type { Entry, EntryLine, Purchase } from '@tender-gill/contract'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { entryActs } from '../database/schema/index.ts'
import { startTestServer, type TestServer } from '../testing/testServer.ts'

let server: TestServer
let call: TestServer['call']
const KITCHEN = '/api/kitchens/larch-cottage'
beforeAll(async () => {
  server = await startTestServer()
  call = server.call
})
afterAll(() => server.close())

const COD = { species: 'Gadus morhua', offerId: 'gadus-morhua.wild.fresh.body', form: 'fillet-skin-on' as const }
type Served = Extract<Entry, { kind: 'served' }>
const about = {
  ...{ at: '2026-06-12T20:00:00Z', day: '2026-06-12', servingId: null, dish: 'Cod in milk', method: 'poach' as const },
  ...{ ...COD, merchant: null, words: null },
}
const served = (notes: Served['notes'], patch: Partial<Served> = {}): Entry => ({
  ...{ kind: 'served', ...about, covers: 4, notes, bones: null, again: null, photo: null },
  ...patch,
})
const swapped = (worked: boolean): Entry => ({
  ...{
    kind: 'swapped',
    ...about,
    species: 'Molva molva',
    offerId: null,
    form: null,
    missing: 'Gadus morhua',
    standIn: 'Molva molva',
    worked,
  },
})
const post = (path: string, body: unknown) => call(`${KITCHEN}${path}`, { method: 'POST', body })
const get = async (path: string) => (await call(`${KITCHEN}${path}`)).body
const write = async (...entries: readonly Entry[]): Promise<readonly EntryLine[]> => {
  const answer = await post('/house-book', { entries: entries.map((entry) => ({ entry })) })
  expect(answer.status).toBe(200)
  return answer.body
}
const cod = async () => {
  const { offers } = await get('/offers?date=2026-06-13')
  return (offers as { id: string; traits: Record<string, object> }[]).find(({ id }) => id === COD.offerId)
}
const setAside = (id: string, aside: boolean) => post('/house-book/set-aside', { about: id, aside })

describe('the house book', () => {
  it('lays what is learnt over the offers of the day with the book’s value beside it, and a line set aside is as if never written', async () => {
    const before = await cod()
    const [line] = await write(served({ firmness: -2 }))
    const softer = await cod()
    expect(softer?.traits.firmness).toMatchObject({ basis: 'house', learnt: { n: 1, book: { typical: expect.any(Number) } } })
    const { typical, learnt } = softer?.traits.firmness as { typical: number; learnt: { book: { typical: number } } }
    expect(typical).toBeLessThan(learnt.book.typical)
    await setAside(line?.id ?? '', true)
    expect(await cod()).toEqual(before)
    await setAside(line?.id ?? '', false)
    expect(await cod()).toEqual(softer)
    // The learnt value itself is put back.
    const key = `trait:${COD.offerId}:firmness`
    expect((await get('/house-book/learnt')).traits).toMatchObject([{ key, n: 1, setAside: false, common: expect.any(String) }])
    await setAside(key, true)
    expect(await cod()).toEqual(before)
    expect((await get('/house-book/learnt')).traits).toMatchObject([{ key, setAside: true }])
    await setAside(key, false)
    await post('/house-book', { entries: [{ id: line?.id, entry: null }] })
    expect(await cod()).toEqual(before)
  })

  it('is corrected by further acts and keeps every one of them', async () => {
    const [line] = await write(served({ flake: 1 }))
    const id = line?.id ?? ''
    const [corrected] = (await post('/house-book', { entries: [{ id, entry: served({ flake: 2 }, { words: 'Larger than last week' }) }] }))
      .body as readonly EntryLine[]
    expect(corrected).toMatchObject({ id, written: 2, entry: { notes: { flake: 2 } } })
    await post('/house-book', { entries: [{ id, entry: null }] })
    const { acts } = await get(`/house-book/lines/${id}`)
    expect(acts.map(({ act }: { act: string }) => act)).toEqual(['write', 'write', 'withdraw'])
    expect((await get('/house-book?text=larger')).total).toBe(0)
    expect((await call(`${KITCHEN}/house-book/lines/nobody`)).status).toBe(404)
  })

  it('is written by what is bought, without anybody typing it again, and corrected when that changes', async () => {
    const purchase: Purchase = {
      ...{ line: 'cod', state: 'ordered', merchant: 'Hessle Quay Fish', date: '2026-06-12', paidOn: null, ...COD, orderedG: 900 },
      ...{ g: null, perKg: null, currency: null, servings: [] },
    }
    const made = await post('/purchases', { purchase })
    const id = made.body.id as string
    const lines = async () => (await get('/house-book?kinds=bought')).lines as readonly EntryLine[]
    expect(await lines()).toEqual([])
    const put = (patch: Partial<Purchase>, revision: number) =>
      call(`${KITCHEN}/purchases/${id}`, {
        ...{ method: 'PUT', body: { purchase: { ...purchase, ...patch } }, headers: { 'If-Match': `"${revision}"` } },
      })
    await put({ state: 'short', paidOn: '2026-06-13', g: 500, perKg: 20, currency: 'EUR', expectedPerKg: 18 }, 1)
    expect(await lines()).toMatchObject([{ id: `purchase:${id}`, entry: { kind: 'bought', state: 'short', day: '2026-06-13', perKg: 20 } }])
    await put({ state: 'bought', paidOn: '2026-06-13', g: 900, perKg: 20, currency: 'EUR', expectedPerKg: 18 }, 2)
    expect(await lines()).toMatchObject([{ written: 2, entry: { state: 'bought', g: 900 } }])
    // Said again, it is no act.
    await put({ state: 'bought', paidOn: '2026-06-13', g: 900, perKg: 20, currency: 'EUR', expectedPerKg: 18 }, 3)
    expect((await get(`/house-book/lines/purchase:${id}`)).acts).toHaveLength(2)
    expect((await get('/house-book/learnt')).merchants).toMatchObject([{ merchant: 'Hessle Quay Fish', n: 1, failChance: 1 / 21 }])
    expect((await get('/house-book/look-back?from=2026-06-01&to=2026-06-30')).prices).toMatchObject([{ perKg: 20, expectedPerKg: 18 }])
    await call(`${KITCHEN}/purchases/${id}`, { method: 'DELETE', headers: { 'If-Match': '"4"' } })
    expect(await lines()).toEqual([])
    await post(`/purchases/${id}/restore`, {})
    expect(await lines()).toHaveLength(1)
    // What another room wrote is changed there.
    expect((await post('/house-book', { entries: [{ id: `purchase:${id}`, entry: null }] })).status).toBe(400)
  })

  it('makes a swap that failed stand lower, and says how often it worked', async () => {
    const ask = { dish: 'Cod in milk', method: 'poach', format: 'portion', missing: 'Gadus morhua', draws: 100 }
    const ling = async () =>
      ((await post('/stand-ins', ask)).body.order as { species: string; alike: number; standIn: number; learnt?: object }[]).find(
        ({ species }) => species === 'Molva molva',
      )
    const before = await ling()
    const lines = await write(swapped(false), swapped(false), swapped(true))
    const after = await ling()
    expect(after?.learnt).toMatchObject({ worked: 1, n: 3, alikeWas: before?.alike })
    expect(after?.alike).toBeCloseTo((100 * ((6 * (before?.alike ?? 0)) / 100 + 1)) / 9, 0)
    expect(after?.standIn).toBeLessThan(before?.standIn ?? 0)
    // Another group of methods knows nothing of it.
    const fried = (await post('/stand-ins', { ...ask, method: 'grill', format: 'chunk' })).body.order as { learnt?: object }[]
    expect(fried.filter(({ learnt }) => learnt)).toEqual([])
    await post('/house-book', { entries: lines.map(({ id }) => ({ id, entry: null })) })
  })

  it('is searched by fish, dish, outcome, season and words, and tells its lessons, the most telling first', async () => {
    await write(
      served({ firmness: 1 }, { again: true, words: 'Good with the leeks' }),
      served({}, { again: false, bones: 'many', day: '2025-11-02', at: '2025-11-02T20:00:00Z' }),
      { kind: 'lesson', ...about, words: 'Take it off two minutes early', at: '2026-06-12T21:00:00Z' },
    )
    const total = async (query: string) => (await get(`/house-book?${query}`)).total as number
    const served_ = `dish=${encodeURIComponent('Cod in milk')}`
    expect(await total(`${served_}&kinds=served,lesson`)).toBe(3)
    expect(await total('outcome=bad')).toBe(1)
    expect(await total(`species=${encodeURIComponent('Gadus morhua')}&months=11`)).toBe(1)
    expect(await total('text=LEEKS%20good')).toBe(1)
    expect((await call(`${KITCHEN}/house-book?kinds=dreamt`)).status).toBe(400)
    expect((await call(`${KITCHEN}/house-book?months=13`)).status).toBe(400)
    const lessons = (await get(`/house-book/lessons?${served_}`)) as readonly EntryLine[]
    expect(lessons[0]?.entry).toMatchObject({ kind: 'lesson', words: 'Take it off two minutes early' })
    expect(lessons.map(({ entry }) => entry.day)).toContain('2025-11-02')
  })

  it('keeps names of lines apart from those of records, learnt values and files', async () => {
    const lesson = { kind: 'lesson', ...about, words: 'x' }
    for (const id of ['purchase:1', 'lot:1', 'trait:a:fat', 'import:1'])
      expect(await post('/house-book', { entries: [{ id, entry: lesson }] })).toMatchObject({ status: 400 })
    expect((await setAside('nobody', true)).status).toBe(400)
    expect((await setAside('import:1', true)).status).toBe(400)
    expect((await setAside('merchant:Quay', true)).status).toBe(200)
    await setAside('merchant:Quay', false)
  })

  it('learns nothing of a trait that somebody set by hand, and says so by leaving it out', async () => {
    const { shipped } = await get('/species/Gadus%20morhua/source')
    const [line] = await write(served({ firmness: 2, flake: 1 }))
    const source = { ...shipped, flesh: { ...shipped.flesh, firmness: [1, 2, 3] } }
    const hand = await post('/house-species', { source })
    expect(hand.status).toBe(201)
    expect((await cod())?.traits).toMatchObject({ firmness: { typical: 2, basis: 'house' }, flake: { learnt: { n: 1 } } })
    const traits = (await get('/house-book/learnt')).traits as readonly { trait: string }[]
    expect(traits.map(({ trait }) => trait)).toEqual(['flake'])
    await call(`${KITCHEN}/house-species/${hand.body.id}`, { method: 'DELETE', headers: { 'If-Match': '"1"' } })
    await post('/house-book', { entries: [{ id: line?.id, entry: null }] })
  })

  it('asks after service of each fish of a pot by itself, and weighs only what is cut from something larger', async () => {
    const brief = { dish: 'Two in a pot', method: 'stew', format: 'chunk', covers: 6, date: '2026-06-11', draws: 100 }
    const ling = { species: 'Molva molva', offerId: 'molva-molva.wild.fresh.body', form: 'fillet-skinless' }
    const { id } = (await post('/servings', { brief, choice: { ...COD, form: 'whole', beside: [ling] } })).body
    const { dishes } = await get('/house-book/after-service?day=2026-06-11')
    expect(dishes).toMatchObject([
      { key: id, servingId: id, fish: { species: 'Gadus morhua', weighedAs: 'fillet-skinless' } },
      { key: `${id}|${ling.offerId}`, servingId: id, fish: { species: 'Molva molva', weighedAs: null } },
    ])
    await post('/house-book', { entries: [{ id: `service:${id}|${ling.offerId}:served`, entry: served({}, { servingId: id }) }] })
    const again = (await get('/house-book/after-service?day=2026-06-11')).dishes
    expect(again.map(({ lines }: { lines: unknown[] }) => lines.length)).toEqual([0, 1])
  })

  it.each([
    [{ ...about, kind: 'lesson' }, '/entries/0/entry/words'],
    [{ ...about, kind: 'weighed', form: 'fillet-skinless', boughtAs: 'whole', boughtG: 100, edibleG: 120 }, '/entries/0/entry/edibleG'],
    [{ ...about, kind: 'came-back', portions: 1, species: 'Nemo nemo' }, '/entries/0/entry/species'],
    [{ ...about, kind: 'came-back', portions: 1, offerId: 'nobody' }, '/entries/0/entry/offerId'],
  ] as const)('refuses %j at %s, and keeps nothing of what came with it', async (entry, path) => {
    const rows = async () => (await server.db.select().from(entryActs)).length
    const before = await rows()
    const answer = await post('/house-book', { entries: [{ entry }, { entry: served({ fat: 1 }) }] })
    expect(answer).toMatchObject({ status: 400 })
    expect(JSON.stringify(answer.body)).toContain(path)
    expect(await rows()).toBe(before)
  })

  it('is told of a swap by the choice itself, and forgets it where the first fish is taken after all', async () => {
    const brief = { dish: 'Swapped plate', method: 'pan-sear', format: 'portion', covers: 6, date: '2026-06-13', draws: 100 }
    const { id } = (await post('/servings', { brief })).body
    const take = (species: string, offerId: string) => post('/decisions', { servingId: id, species, offerId, form: 'fillet-skin-on' })
    const swaps = async () => (await get(`/house-book?servingId=${id}&kinds=swapped`)).lines as readonly EntryLine[]
    expect((await take('Gadus morhua', COD.offerId)).status).toBe(201)
    expect(await swaps()).toEqual([])
    await take('Merluccius merluccius', 'merluccius-merluccius.wild.fresh.body')
    expect(await swaps()).toMatchObject([{ entry: { missing: 'Gadus morhua', standIn: 'Merluccius merluccius', worked: null } }])
    const { dishes } = await get('/house-book/after-service?day=2026-06-13')
    expect(dishes.find((dish: { servingId: string }) => dish.servingId === id)).toMatchObject({ missing: { species: 'Gadus morhua' } })
    await take('Gadus morhua', COD.offerId)
    expect(await swaps()).toEqual([])
  })

  it('tells after service what is known of each dish of the day, and what was meant in its place', async () => {
    const made = await post('/servings', {
      brief: { dish: 'Friday plate', method: 'pan-sear', format: 'portion', covers: 6, date: '2026-06-12', draws: 100 },
      choice: COD,
    })
    const { dishes } = await get('/house-book/after-service?day=2026-06-12')
    expect(dishes).toMatchObject([
      { servingId: made.body.id, dish: 'Friday plate', covers: 6, fish: { offerId: COD.offerId }, missing: null },
    ])
    const entry = served({}, { servingId: made.body.id, again: true })
    await post('/house-book', { entries: [{ id: `service:${made.body.id}:served`, entry }] })
    expect((await get('/house-book/after-service?day=2026-06-12')).dishes[0].lines).toHaveLength(1)
  })
})
