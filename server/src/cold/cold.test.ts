import type { Look, Lot } from '@tender-gill/contract'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startTestServer, type TestServer } from '../testing/testServer.ts'

let server: TestServer
let call: TestServer['call']
beforeAll(async () => {
  server = await startTestServer()
  call = server.call
})
afterAll(() => server.close())

const COD = { species: 'Gadus morhua', offerId: 'gadus-morhua.wild.fresh.body', form: 'fillet-skin-on' as const }
const look = (patch: Partial<Look> = {}): Look => ({
  ...{
    at: '2026-06-13T09:00:00Z',
    line: null,
    servings: [],
    merchant: null,
    ...COD,
    view: 'fillet',
    signs: { smell: 1 },
    circumstances: [],
  },
  ...{ refused: false, outcome: 'buy', iceDays: { low: 1, typical: 2, high: 4 }, asked: null, ...patch },
})
const stay = { from: '2026-06-13T09:00:00Z', place: null, celsius: 4, iced: false }
const lot = (patch: Partial<Lot> = {}): Lot => ({
  ...{ ...COD, g: 900, merchant: null, boughtAt: '2026-06-13T09:00:00Z', use: 'cooked', ageIceDays: null, servings: [], line: null },
  ...{ journey: null, stays: [stay], state: 'here', freezing: null, ...patch },
})
const post = (path: string, body: unknown) => call(path, { method: 'POST', body })
const place = { name: 'The low fridge', kind: 'fridge', usualC: 3, thermometer: 'low-fridge' }

describe('the verbs of the counter and of the cold', () => {
  it('answer over HTTP as on the command line, and refuse at their place', async () => {
    const seen = await post('/api/freshness', { fish: 'Gadus morhua', view: 'whole', signs: { eyes: 3 } })
    expect(seen).toMatchObject({ status: 200, body: { species: 'Gadus morhua', sentence: expect.any(String) } })
    const kept = await post('/api/cold', { fish: 'Scomber scombrus', history: [{ hours: 5, celsius: 24 }] })
    expect(kept).toMatchObject({ status: 200, body: { histamine: { former: true, stop: true }, sentence: 'Throw it away.' } })
    expect(await post('/api/freshness', { fish: 'Gadus morhua', view: 'whole', signs: { drip: 1 } })).toMatchObject({
      status: 400,
      body: { problems: [{ path: '/signs/drip' }] },
    })
  })
})

describe('a look and a lot', () => {
  it('are kept under the id that the phone gave them, once', async () => {
    const id = '6f1f2a52-3c3a-4f7c-9a63-0f6c5b9a1c11'
    expect(await post('/api/looks', { id, look: look() })).toMatchObject({ status: 201, body: { id, look: { outcome: 'buy' } } })
    expect((await post('/api/looks', { id, look: look() })).status).toBe(409)
    expect((await post('/api/lots', { id, lot: lot() })).status).toBe(201)
    expect((await call('/api/lots')).body.filter((one: { id: string }) => one.id === id)).toHaveLength(1)
  })

  it.each([
    ['/api/looks', { look: look({ offerId: 'cod.of.the.moon' }) }, '/look/offerId'],
    ['/api/looks', { look: look({ species: 'Salmo trutta' }) }, '/look/species'],
    ['/api/looks', { look: look({ view: 'whole', signs: { drip: 1 } }) }, '/look/signs/drip'],
    ['/api/looks', { look: look({ view: 'shellfish', signs: {} }) }, '/look/view'],
    ['/api/looks', { id: 'me', look: look() }, '/id'],
    ['/api/lots', { lot: lot({ stays: [{ ...stay, place: 'the cellar' }] }) }, '/lot/stays/0/place'],
    ['/api/lots', { lot: lot({ stays: [stay, { ...stay, from: '2026-06-12T09:00:00Z' }] }) }, '/lot/stays/1/from'],
    ['/api/lots', { lot: lot({ ageIceDays: { low: 3, typical: 2, high: 4 } }) }, '/lot/ageIceDays'],
    ['/api/lots', { lot: lot({ stays: [] }) }, '/lot/stays'],
  ])('%s refuses %j at its place', async (path, body, at) => {
    const { status, body: told } = await post(path, body)
    expect([status, told.problems[0].path]).toEqual([400, at])
  })
})

describe('readings of a place', () => {
  it('are kept once, told since a day, and go with no other kitchen', async () => {
    const made = await post('/api/cold-places', { place })
    const { id } = made.body
    const readings = [
      { at: '2026-06-13T08:00:00Z', celsius: 3.1 },
      { at: '2026-06-13T08:10:00Z', celsius: 3.8 },
    ]
    expect(await post(`/api/cold-places/${id}/readings`, { readings })).toMatchObject({ status: 200, body: { changed: 2 } })
    expect(
      (await post(`/api/cold-places/${id}/readings`, { readings: [...readings, { at: '2026-06-13T08:20:00Z', celsius: 9 }] })).body,
    ).toEqual({
      changed: 1,
    })
    expect((await call('/api/cold-readings')).body.map((one: { celsius: number }) => one.celsius)).toEqual([3.1, 3.8, 9])
    expect((await call('/api/cold-readings?since=2026-06-14')).body).toEqual([])
    expect((await call('/api/cold-readings', { kitchen: 'larch-cottage' })).body).toEqual([])
    expect((await call(`/api/cold-places/${id}/readings`, { method: 'POST', body: { readings }, kitchen: 'larch-cottage' })).status).toBe(
      404,
    )
    // A warm hour of a lot that is still here is never forgotten, however long ago it was.
    const old = lot({ boughtAt: '2026-04-01T09:00:00Z', stays: [{ ...stay, from: '2026-04-01T09:00:00Z', place: id }] })
    const kept = (await post('/api/lots', { lot: old })).body
    await post(`/api/cold-places/${id}/readings`, { readings: [{ at: '2026-04-01T10:00:00Z', celsius: 14 }] })
    expect((await call('/api/cold-readings')).body.map((one: { celsius: number }) => one.celsius)).toContain(14)
    await call(`/api/lots/${kept.id}`, { method: 'DELETE', headers: { 'If-Match': '"1"' } })
    expect((await call('/api/cold-readings')).body.map((one: { celsius: number }) => one.celsius)).not.toContain(14)
    const late = { readings: [...readings, { at: '2026-06-14T08:00:00Z', celsius: 3 }] }
    expect(await post(`/api/cold-places/${id}/readings`, late)).toMatchObject({
      status: 400,
      body: { problems: [{ path: '/readings/2/at' }] },
    })
    await call(`/api/cold-places/${id}`, { method: 'DELETE', headers: { 'If-Match': '"1"' } })
    expect((await post(`/api/cold-places/${id}/readings`, { readings })).status).toBe(404)
  })
})
