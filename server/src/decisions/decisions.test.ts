import { parseDecisionDetail, parseDecisionRerun } from '@tender-gill/contract/validators'
import { eq } from 'drizzle-orm'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { DAY_MS } from '@tender-gill/core'
import { blobs, decisions } from '../database/schema/index.ts'
import { NOW, startTestServer, type TestServer } from '../testing/testServer.ts'
import { packContents } from './contents.ts'
import { createDecisionRepository, SHEET_DAYS } from './decisionRepository.ts'

let server: TestServer
let call: TestServer['call']
beforeAll(async () => {
  server = await startTestServer()
  call = server.call
})
afterAll(() => server.close())

const brief = { dish: 'Decided', method: 'stew', format: 'chunk', covers: 4, draws: 200, date: '2026-06-13' }
const makeDish = async (date = brief.date) =>
  (await call('/api/servings', { method: 'POST', body: { brief: { ...brief, date } } })).body.id as string
const choose = (servingId: string, species = 'Lophius piscatorius', patch: object = {}) =>
  call('/api/decisions', {
    method: 'POST',
    body: { servingId, species, offerId: `${species.toLowerCase().replace(' ', '-')}.wild.fresh.body`, form: 'fillet-skinless', ...patch },
  })

describe('decisions', () => {
  it('keep the whole line-up that stood behind them, and are reopened as they were', async () => {
    const servingId = await makeDish()
    const lineUp = (await call('/api/line-up', { method: 'POST', body: brief })).body
    const made = await choose(servingId, 'Lophius piscatorius', { note: 'for the regulars' })
    expect(made).toMatchObject({
      status: 201,
      body: { revision: 1, dish: 'Decided', common: 'Anglerfish (monkfish)', note: 'for the regulars' },
    })
    const opened = (await call(`/api/decisions/${made.body.id}`)).body
    expect(opened).toMatchObject({ decision: made.body, brief })
    expect(opened.output).toEqual(lineUp)
    expect(parseDecisionDetail(opened).ok).toBe(true)
    const place = lineUp.ranked.findIndex((row: { species: string }) => row.species === 'Lophius piscatorius') + 1
    expect(made.body.place).toBe(place)
  })

  it('take all fish of a pot in one step, name each, and refuse one that is not in the book at its place', async () => {
    const servingId = await makeDish()
    const conger = { species: 'Conger conger', offerId: 'conger-conger.wild.fresh.body', form: 'steak' }
    const cod = { species: 'Gadus morhua', offerId: 'gadus-morhua.wild.fresh.body', form: 'fillet-skinless' }
    const made = await choose(servingId, 'Lophius piscatorius', { beside: [conger, cod] })
    expect(made).toMatchObject({ status: 201, body: { common: 'Anglerfish (monkfish)', beside: ['European conger', 'Atlantic cod'] } })
    expect((await call(`/api/servings/${servingId}`)).body.choice).toMatchObject({ species: 'Lophius piscatorius', beside: [conger, cod] })
    const wrong = await choose(servingId, 'Lophius piscatorius', { beside: [{ ...conger, offerId: 'no-fish' }] })
    expect(wrong).toMatchObject({ status: 400, body: { problems: [{ path: '/beside/0/offerId' }] } })
    const alone = await choose(servingId)
    expect(alone.body.beside).toBeNull()
    expect((await call(`/api/servings/${servingId}`)).body.choice.beside).toBeUndefined()
  })

  it('are followed by another when one’s mind is changed, never written over', async () => {
    const servingId = await makeDish()
    const { body: first } = await choose(servingId)
    const { body: second } = await choose(servingId, 'Conger conger', { form: 'steak' })
    expect(second.revision).toBe(2)
    expect((await call(`/api/decisions?serving=${servingId}`)).body).toEqual([second, first])
    expect((await call(`/api/decisions/${first.id}`)).body.decision).toEqual(first)
  })

  it('share what they rest on: the same inputs are kept once', async () => {
    const servingId = await makeDish()
    const { body: first } = await choose(servingId)
    const before = (await server.db.select().from(blobs)).length
    const { body: second } = await choose(servingId, 'Conger conger', { form: 'steak' })
    expect(second.inputsHash).toBe(first.inputsHash)
    expect(second.outputHash).toBe(first.outputHash)
    expect((await server.db.select().from(blobs)).length).toBe(before)
  })

  it('run again the same on the same inputs, and apart from that on today’s', async () => {
    const servingId = await makeDish()
    const { body: decision } = await choose(servingId)
    const quiet = (await call(`/api/decisions/${decision.id}/rerun`, { method: 'POST' })).body
    expect(parseDecisionRerun(quiet).ok).toBe(true)
    expect(quiet).toMatchObject({ sameInputs: { identical: true }, todaysInputs: { identical: true } })
    await call(`/api/servings/${servingId}`, {
      method: 'PUT',
      body: { brief: { ...brief, unavailable: ['Lophius piscatorius'] } },
      headers: { 'If-Match': '"2"' },
    })
    const moved = (await call(`/api/decisions/${decision.id}/rerun`, { method: 'POST' })).body
    expect(moved).toMatchObject({
      sameInputs: { identical: true },
      todaysInputs: { identical: false, chosen: { placeThen: decision.place, placeNow: null } },
    })
    expect((await call(`/api/decisions/${decision.id}`)).body.decision).toEqual(decision)
  })

  it('rest on the line-up of what can be bought where that was seen, and run again on it', async () => {
    const price = { species: 'Conger conger', form: 'steak', price: 14, currency: 'EUR', unit: 'kg' }
    const kept = await call('/api/prices', { method: 'POST', body: { price } })
    expect(kept.status).toBe(201)
    const servingId = await makeDish()
    const made = await choose(servingId, 'Conger conger', { form: 'steak', onlyOffered: true })
    const { output } = (await call(`/api/decisions/${made.body.id}`)).body
    const species = output.ranked.map((row: { species: string }) => row.species)
    expect(made.body.place).toBe(species.indexOf('Conger conger') + 1)
    for (const row of output.ranked) expect([row.species, row.portionCost]).not.toEqual([row.species, null])
    const whole = (await call('/api/line-up', { method: 'POST', body: brief })).body.ranked
    expect(species.length).toBeGreaterThan(0)
    expect(species.length).toBeLessThan(whole.length)
    const again = (await call(`/api/decisions/${made.body.id}/rerun`, { method: 'POST' })).body
    expect(again.sameInputs).toMatchObject({ identical: true })
    expect(again.todaysInputs).toMatchObject({ identical: true })
    // Of a fish that nobody offers the whole book is what was seen.
    const unoffered = whole.find((row: { species: string }) => !species.includes(row.species))
    const other = await choose(servingId, unoffered.species, { offerId: unoffered.offerId, form: unoffered.form, onlyOffered: true })
    expect((await call(`/api/decisions/${other.body.id}`)).body.output.ranked).toHaveLength(whole.length)
    await call(`/api/prices/${kept.body.id}`, { method: 'DELETE', headers: { 'If-Match': `"${kept.body.revision}"` } })
  })

  it('still run on their own inputs after the house changed the fish', async () => {
    const servingId = await makeDish()
    const { body: decision } = await choose(servingId)
    const { shipped } = (await call('/api/species/Lophius%20piscatorius/source')).body
    const { body: hand } = await call('/api/house-species', {
      method: 'POST',
      body: { source: { ...shipped, flesh: { ...shipped.flesh, cohesion: [4, 5, 6] } } },
    })
    const rerun = (await call(`/api/decisions/${decision.id}/rerun`, { method: 'POST' })).body
    expect(rerun.sameInputs.identical).toBe(true)
    expect(rerun.todaysInputs.chosen.fitNow).toBeLessThan(rerun.todaysInputs.chosen.fitThen)
    await call(`/api/house-species/${hand.id}`, { method: 'DELETE', headers: { 'If-Match': '"1"' } })
  })

  it('change the dish’s own choice in the same step, with the dish as it was typed, or nothing at all', async () => {
    const servingId = await makeDish()
    const typed = { ...brief, covers: 9 }
    const { status, body } = await choose(servingId, 'Lophius piscatorius', { brief: typed, revision: 1 })
    expect(status).toBe(201)
    const kept = (await call(`/api/servings/${servingId}`)).body
    expect(kept).toMatchObject({ revision: 2, brief: { covers: 9 }, choice: { offerId: body.offerId } })
    expect((await call(`/api/decisions/${body.id}`)).body.brief).toEqual(typed)
    const late = await choose(servingId, 'Conger conger', { revision: 1 })
    expect(late).toMatchObject({ status: 409, body: { current: { revision: 2 } } })
    expect((await call(`/api/servings/${servingId}`)).body).toEqual(kept)
    expect((await call(`/api/decisions?serving=${servingId}`)).body).toHaveLength(1)
  })

  it('made at the same moment are numbered one after the other, and none is refused for the other', async () => {
    const servingId = await makeDish()
    const made = await Promise.all(Array.from({ length: 5 }, () => choose(servingId)))
    const told = made.filter(({ status }) => status === 201)
    // Whoever read the dish before another's choice was kept hears of the conflict, and of nothing else.
    expect(made.every(({ status }) => status === 201 || status === 409)).toBe(true)
    expect(told.length).toBeGreaterThanOrEqual(1)
    const revisions = (await call(`/api/decisions?serving=${servingId}`)).body.map(({ revision }: { revision: number }) => revision)
    expect(revisions).toEqual(told.map((_, i) => told.length - i))
  })

  it('refuse a dish or a fish that is not there, and keep nothing', async () => {
    const servingId = await makeDish()
    expect(await choose('nothing-here')).toMatchObject({ status: 400, body: { problems: [{ path: '/servingId' }] } })
    expect(await choose(servingId, 'Lophius piscatorius', { offerId: 'nemo.wild.fresh.body' })).toMatchObject({
      status: 400,
      body: { problems: [{ path: '/offerId' }] },
    })
    expect((await call(`/api/decisions?serving=${servingId}`)).body).toEqual([])
  })

  it('are not seen, reopened or run again from another kitchen', async () => {
    const { body: decision } = await choose(await makeDish())
    const kitchen = 'larch-cottage'
    expect((await call('/api/decisions', { kitchen })).body).toEqual([])
    expect((await call(`/api/decisions/${decision.id}`, { kitchen })).status).toBe(404)
    expect((await call(`/api/decisions/${decision.id}/rerun`, { method: 'POST', kitchen })).status).toBe(404)
  })

  it('are named by their contents, whatever the order of fields, and say when contents were tampered with', async () => {
    const named = async (value: unknown) => (await packContents(value)).hash
    expect(await named({ b: 1, a: [2, { d: 3, c: 4 }] })).toBe(await named({ a: [2, { c: 4, d: 3 }], b: 1 }))
    const { body: decision } = await choose(await makeDish())
    await server.db.update(blobs).set({ body: '{"forged":true}', packed: null }).where(eq(blobs.hash, decision.outputHash))
    expect((await call(`/api/decisions/${decision.id}`)).status).toBe(500)
  })
})

describe('the offers behind decisions', () => {
  const rerun = (id: string) => call(`/api/decisions/${id}/rerun`, { method: 'POST' })
  const onDay = (days: number) => createDecisionRepository(server.db, () => new Date(NOW.getTime() + days * DAY_MS))
  const sheets = async () => new Set((await server.db.select().from(decisions)).map(({ sheetHash }) => sheetHash)).size

  it('are kept for 400 days and let go after that: the decision is read as it was, and says why it cannot be run again', async () => {
    const servingId = await makeDish('2026-06-20')
    const { body: made } = await choose(servingId)
    const count = async () => (await server.db.select().from(blobs)).length
    const before = await count()
    await onDay(SHEET_DAYS - 0.1).purgeSheets()
    expect(await count()).toBe(before)
    expect((await rerun(made.id)).status).toBe(200)
    const gone = await sheets()
    expect(gone).toBeGreaterThan(0)
    await onDay(SHEET_DAYS + 0.1).purgeSheets()
    expect(await count()).toBe(before - gone)
    expect((await call(`/api/decisions/${made.id}`)).body.output.ranked.length).toBeGreaterThan(0)
    const again = await rerun(made.id)
    expect([again.status, again.body.detail]).toEqual([404, expect.stringContaining('kept for 400 days')])
  })

  it('stay while one decision that is not so old rests on them too', async () => {
    const servingId = await makeDish('2026-06-27')
    const { body: first } = await choose(servingId)
    const { body: second } = await choose(servingId, 'Conger conger', { form: 'steak' })
    await server.db
      .update(decisions)
      .set({ decidedAt: new Date(NOW.getTime() - 500 * DAY_MS) })
      .where(eq(decisions.id, first.id))
    await onDay(0).purgeSheets()
    expect((await rerun(first.id)).status).toBe(200)
    await server.db
      .update(decisions)
      .set({ decidedAt: new Date(NOW.getTime() - 500 * DAY_MS) })
      .where(eq(decisions.id, second.id))
    await onDay(0).purgeSheets()
    expect((await rerun(second.id)).status).toBe(404)
  })
})
