import { execFileSync } from 'node:child_process'
import { fileURLToPath } from 'node:url'
import { createFindSpecies, rankLineUp } from '@tender-gill/core'
import { createWords } from '@tender-gill/words'
import { parseOfferSheet, parseSpeciesSheet } from '@tender-gill/contract/validators'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { createPairPhone, createPhoneRepository } from '../lan/index.ts'
import { NOW, startTestServer, type TestServer } from '../testing/testServer.ts'

let server: TestServer
let call: TestServer['call']
beforeAll(async () => {
  server = await startTestServer()
  call = server.call
})
afterAll(() => server.close())

const brief = { dish: 'Skewers', method: 'grill', format: 'chunk', covers: 4, draws: 200 }
const keep = async (patch: object = {}) => (await call('/api/servings', { method: 'POST', body: { brief: { ...brief, ...patch } } })).body
const countBriefs = async () => (await call('/api/servings')).body.length

describe('dishes', () => {
  it('keeps a dish and reads it back by another way', async () => {
    const made = await call('/api/servings', { method: 'POST', body: { brief } })
    expect(made).toMatchObject({ status: 201, body: { revision: 1, brief, choice: null } })
    expect(made.headers.get('location')).toBe(`/api/kitchens/lantern-house/servings/${made.body.id}`)
    expect((await call(`/api/servings/${made.body.id}`)).body).toEqual(made.body)
    expect((await call('/api/servings')).body).toContainEqual(made.body)
  })

  it('changes a dish at the revision that was read, and answers both versions at any other', async () => {
    const { id } = await keep()
    const put = (revision: string, covers: number) =>
      call(`/api/servings/${id}`, { method: 'PUT', body: { brief: { ...brief, covers } }, headers: { 'If-Match': revision } })
    expect(await put('"1"', 8)).toMatchObject({ status: 200, body: { revision: 2, brief: { covers: 8 } } })
    expect(await put('"1"', 9)).toMatchObject({
      status: 409,
      body: { current: { revision: 2, brief: { covers: 8 } }, sent: { brief: { covers: 9 } } },
    })
    expect(await put('3x', 9)).toMatchObject({ status: 400 })
    expect(await call(`/api/servings/${id}`, { method: 'PUT', body: { brief } })).toMatchObject({ status: 428 })
  })

  it('lets one of two writers at the same revision win', async () => {
    const { id } = await keep()
    const writers = await Promise.all(
      [5, 6, 7, 8].map((covers) =>
        call(`/api/servings/${id}`, { method: 'PUT', body: { brief: { ...brief, covers } }, headers: { 'If-Match': '"1"' } }),
      ),
    )
    expect(writers.map(({ status }) => status).sort()).toEqual([200, 409, 409, 409])
  })

  it('takes a dish away, and puts it back as it was', async () => {
    const { id } = await keep({ dish: 'To be missed' })
    expect(await call(`/api/servings/${id}`, { method: 'DELETE', headers: { 'If-Match': '"1"' } })).toMatchObject({ status: 200 })
    expect((await call(`/api/servings/${id}`)).status).toBe(404)
    expect(await call(`/api/servings/${id}/restore`, { method: 'POST' })).toMatchObject({
      status: 200,
      body: { brief: { dish: 'To be missed' }, deletedAt: null },
    })
    expect((await call(`/api/servings/${id}`)).status).toBe(200)
  })

  it.each([
    ['an unknown method', { method: 'fry' }, '/brief/method'],
    ['a negative cover count', { covers: -2 }, '/brief/covers'],
    ['a band upside down', { asks: { fat: { from: 9, to: 3 } } }, '/brief/asks/fat/from'],
    ['an unknown species', { pool: ['Nemo nemo'] }, '/brief/pool/0'],
    ['an impossible cut', { method: 'broth', format: 'mince' }, '/brief/format'],
  ])('refuses %s at its place and stores nothing', async (_what, patch, path) => {
    const before = await countBriefs()
    expect(await call('/api/servings', { method: 'POST', body: { brief: { ...brief, ...patch } } })).toMatchObject({
      status: 400,
      body: { problems: [{ path }] },
    })
    expect(await countBriefs()).toBe(before)
  })

  it('refuses malformed JSON, a body over 1 MB, and an id that does not exist', async () => {
    const malformed = await call('/api/servings', { method: 'POST', raw: '{"brief":' })
    expect(malformed).toMatchObject({ status: 400, body: { problems: [{ path: '' }] } })
    expect(malformed.headers.get('content-type')).toContain('application/problem+json')
    expect(
      (await call('/api/servings', { method: 'POST', raw: JSON.stringify({ brief: { ...brief, dish: 'x'.repeat(1_100_000) } }) })).status,
    ).toBe(413)
    expect((await call('/api/servings/nothing-here')).status).toBe(404)
    expect((await call('/api/nothing')).status).toBe(404)
  })
})

describe('prices', () => {
  it('count in the line-up of their kitchen once kept, and no longer once taken away', async () => {
    const costOf = async () =>
      (
        await call('/api/line-up', {
          method: 'POST',
          body: { ...brief, pool: ['Seriola lalandi'], budget: { perPortion: 9, currency: 'EUR' } },
        })
      ).body.ranked[0].portionCost
    expect(await costOf()).toBeNull()
    const price = { species: 'Seriola lalandi', form: 'fillet-skinless', price: 30, currency: 'EUR', unit: 'kg', date: '2026-06-12' }
    const made = await call('/api/prices', { method: 'POST', body: { price } })
    expect(made).toMatchObject({ status: 201, body: { price } })
    expect((await costOf()).typical).toBeCloseTo((30 * 0.15) / (0.94 * 0.76), 2)
    await call(`/api/prices/${made.body.id}`, { method: 'DELETE', headers: { 'If-Match': '"1"' } })
    expect(await costOf()).toBeNull()
  })

  it('are refused for a fish that is not in the book, and by the piece without a weight', async () => {
    const post = (patch: object) =>
      call('/api/prices', {
        method: 'POST',
        body: { price: { species: 'Gadus morhua', form: 'whole', price: 9, currency: 'EUR', unit: 'kg', ...patch } },
      })
    expect(await post({ species: 'Nemo nemo' })).toMatchObject({ status: 400, body: { problems: [{ path: '/price/species' }] } })
    expect(await post({ unit: 'each' })).toMatchObject({ status: 400, body: { problems: [{ path: '/price/eachG' }] } })
  })
})

describe('kitchens', () => {
  it('show each its own dishes, by the kitchen that the address names', async () => {
    const dishes = (await call('/api/servings', { kitchen: 'larch-cottage' })).body.map((record: { id: string }) => record.id)
    expect(dishes).toContain('dill-soup')
    expect(dishes).not.toContain('paprika-skewers')
    expect((await call('/api/kitchens/larch-cottage')).body).toEqual({
      ...{ id: 'larch-cottage', name: 'The kitchen at Larch Cottage', today: '2026-06-13' },
      ...{ waters: expect.any(String), zone: expect.any(String), currency: 'EUR' },
    })
    expect(await call('/api/servings', { kitchen: 'nowhere' })).toMatchObject({ status: 404 })
    expect(await call('/api/kitchens/nowhere')).toMatchObject({ status: 404 })
  })

  it('answer 404 to every route with the other kitchen’s ids, and change nothing', async () => {
    const theirs = 'larch-cottage'
    const paths = Object.entries((await call('/api/openapi.json')).body.paths as Record<string, Record<string, unknown>>)
    const withId = paths.filter(([path]) => path.includes('{id}'))
    expect(withId.length).toBeGreaterThanOrEqual(20)
    const cod = (await call('/api/species/Gadus%20morhua/source')).body.shipped
    const hand = (await call('/api/house-species', { method: 'POST', body: { source: cod, hidden: true } })).body
    const brought = (
      await call('/api/species-import', {
        method: 'POST',
        body: { format: 'csv', text: 'scientific,familiarity\nZeus faber,9\n', keep: 'all' },
      })
    ).body
    const decision = (
      await call('/api/decisions', {
        method: 'POST',
        body: { servingId: 'paprika-skewers', species: 'Conger conger', offerId: 'conger-conger.wild.fresh.body', form: 'gutted' },
      })
    ).body
    const absence = (
      await call('/api/absences', {
        method: 'POST',
        body: { species: 'Gadus morhua', offerId: null, because: 'too-dear', from: '2026-06-13', to: '2026-06-14', moves: [] },
      })
    ).body
    const { merchant } = (await call('/api/merchants/hessle-quay')).body
    const [list] = (await call('/api/price-lists')).body
    const rate = (await call('/api/rates', { method: 'POST', body: { rate: { currency: 'GBP', date: '2026-06-01', worth: 1.2 } } })).body
    const purchase = {
      ...{ line: 'Quay|2026-06-16|cod', state: 'ordered', merchant: null, date: '2026-06-16', species: 'Gadus morhua' },
      ...{
        offerId: 'gadus-morhua.wild.fresh.body',
        form: 'whole',
        paidOn: null,
        orderedG: 900,
        g: null,
        perKg: null,
        currency: null,
        servings: [],
      },
    }
    const bought = (await call('/api/purchases', { method: 'POST', body: { purchase } })).body
    const head = { servingId: 'paprika-skewers', part: 'head', to: null }
    const use = (await call('/api/rest-uses', { method: 'POST', body: { use: head } })).body
    const seen = {
      ...{ at: '2026-06-13T09:00:00Z', line: null, servings: [], merchant: null, species: 'Gadus morhua', form: 'fillet-skin-on' },
      ...{ offerId: 'gadus-morhua.wild.fresh.body', view: 'fillet', signs: {}, circumstances: [], refused: true, outcome: 'walk-away' },
      ...{ iceDays: null, asked: null },
    }
    const look = (await call('/api/looks', { method: 'POST', body: { look: seen } })).body
    const { lot } = (await call('/api/lots/lot-mackerel')).body
    const { place } = (await call('/api/cold-places/walk-in')).body
    const { code } = await createPhoneRepository(server.db, () => NOW).createCode('lantern-house')
    await createPairPhone(server.db, () => NOW)(code, 'Ours')
    const [phone] = (await call('/api/phones')).body.phones
    const [line] = (await call('/api/house-book')).body.lines
    // Larch Cottage has a price-1 too: a shared id must lead to its own row, never to ours.
    const ours: Record<string, { id: string; body: object }> = {
      servings: { id: 'paprika-skewers', body: { brief } },
      dishes: { id: 'paprika-skewers', body: { recipe: { dish: 'Theirs', method: 'grill', format: 'chunk' } } },
      prices: { id: 'price-20', body: { price: { species: 'Gadus morhua', form: 'whole', price: 1, currency: 'EUR', unit: 'kg' } } },
      seasons: {
        id: 'season-9',
        body: { season: { species: 'Gadus morhua', water: 'X', landings: [1, 1, 1, 1, 1, 1, 1, 1, 1, 1, 1, 1] } },
      },
      stocks: { id: 'stock-9', body: { stock: { species: 'Gadus morhua', gearScore: { value: 1 } } } },
      merchants: { id: 'hessle-quay', body: { merchant: { ...merchant, name: 'Theirs' } } },
      rates: { id: rate.id, body: { rate: { currency: 'GBP', date: '2026-06-01', worth: 9 } } },
      purchases: { id: bought.id, body: { purchase: { ...purchase, orderedG: 1 } } },
      looks: { id: look.id, body: { look: seen } },
      lots: { id: 'lot-mackerel', body: { lot: { ...lot, stays: [{ ...lot.stays[0], place: null }] } } },
      'cold-places': { id: 'walk-in', body: { place: { ...place, name: 'Theirs' } } },
      phones: { id: phone.id, body: {} },
      'rest-uses': { id: use.id, body: { use: { servingId: 'dill-soup', part: 'head', to: null } } },
      'price-lists': { id: list.id, body: {} },
      'house-species': { id: hand.id, body: { source: cod } },
      'species-import': { id: brought.importId, body: {} },
      decisions: { id: decision.id, body: {} },
      absences: { id: absence.id, body: {} },
      'house-book': { id: line.id, body: {} },
    }
    for (const [path, operations] of withId)
      for (const method of Object.keys(operations)) {
        const own = ours[path.split('/')[4] ?? '']
        expect(own, path).toBeDefined()
        const answer = await call(path.replace('{kitchen}', theirs).replace('{id}', own?.id ?? ''), {
          method: method.toUpperCase(),
          headers: { 'If-Match': '"1"' },
          ...(method === 'put' ? { body: own?.body } : {}),
          ...(path.endsWith('/readings') ? { body: { readings: [{ at: '2026-06-13T09:00:00Z', celsius: 3 }] } } : {}),
        })
        expect({ path, method, status: answer.status }).toEqual({ path, method, status: 404 })
      }
    expect((await call('/api/absences')).body).toEqual([absence])
    await call(`/api/absences/${absence.id}/end`, { method: 'POST' })
    expect((await call(`/api/house-species/${hand.id}`)).body).toMatchObject({ revision: 1, hidden: true })
    await call(`/api/house-species/${hand.id}`, { method: 'DELETE', headers: { 'If-Match': '"1"' } })
    expect(await call(`/api/species-import/${brought.importId}/undo`, { method: 'POST' })).toMatchObject({ status: 200 })
    expect((await call('/api/servings/paprika-skewers')).body).toMatchObject({ revision: 2, brief: { dish: 'Paprika skewers over coals' } })
    expect((await call('/api/prices/price-20')).body).toMatchObject({ revision: 1 })
    expect((await call('/api/merchants/hessle-quay')).body).toMatchObject({ revision: 1, merchant: { name: 'Hessle Quay Fish' } })
    expect((await call('/api/price-lists')).body[0]).toEqual(list)
    expect((await call(`/api/rates/${rate.id}`)).body.rate.worth).toBe(1.2)
    expect((await call('/api/purchases')).body).toMatchObject([{ purchase: { orderedG: 900 } }])
    expect((await call('/api/phones')).body.phones).toHaveLength(1)
    expect((await call('/api/lots/lot-mackerel')).body).toMatchObject({ revision: 1, lot })
    expect((await call('/api/cold-places/walk-in')).body).toMatchObject({ revision: 1, place })
    await call(`/api/purchases/${bought.id}`, { method: 'DELETE', headers: { 'If-Match': '"1"' } })
  })

  it('keep rows of the same id apart', async () => {
    const kitchen = 'larch-cottage'
    expect((await call('/api/prices/price-1')).body.price.price).not.toBe((await call('/api/prices/price-1', { kitchen })).body.price.price)
  })
})

describe('answers', () => {
  it('are the same from the command line, over HTTP and from the engine on the offers a browser fetches', async () => {
    const full = {
      ...brief,
      date: '2026-06-13',
      diners: { children: 1 },
      budget: { perPortion: 5, currency: 'EUR' },
      market: { prices: [{ species: 'Lophius piscatorius', form: 'fillet-skinless', price: 31, currency: 'EUR', unit: 'kg' }] },
    }
    const bin = fileURLToPath(new URL('../../../node_modules/.bin/tender-gill', import.meta.url))
    const fromCommand = JSON.parse(execFileSync(bin, ['line-up'], { input: JSON.stringify(full), encoding: 'utf8' }))
    const overHttp = (await call('/api/line-up', { method: 'POST', body: full })).body
    expect(overHttp).toEqual(fromCommand)
    const kitchen = 'larch-cottage'
    const sheet = (await call('/api/offers?date=2026-06-13', { kitchen })).body
    const bare = { ...full, market: undefined }
    const inWorker = createWords().tell(rankLineUp(JSON.parse(JSON.stringify(bare)), sheet, { today: '2026-06-13' }))
    expect((await call('/api/line-up', { method: 'POST', body: bare, kitchen })).body).toEqual(
      JSON.parse(JSON.stringify(inWorker.ok ? inWorker.value : null)),
    )
  })

  it('name the stand-ins of a missing fish, and refuse an unknown one at its place', async () => {
    expect(
      (await call('/api/stand-ins', { method: 'POST', body: { ...brief, missing: 'Lophius piscatorius' } })).body.ladder.length,
    ).toBeGreaterThan(0)
    expect(await call('/api/stand-ins', { method: 'POST', body: { ...brief, missing: 'Nemo nemo' } })).toMatchObject({
      status: 400,
      body: { problems: [{ path: '/missing' }] },
    })
  })

  it('give the book by accepted name and synonym, and the offers of a day in the shape of the contract', async () => {
    const one = await call('/api/species/Theragra%20chalcogramma')
    expect(one.body).toMatchObject({ species: 'Gadus chalcogrammus', askedAs: 'Theragra chalcogramma' })
    expect(parseSpeciesSheet((await call('/api/species/Gadus%20morhua')).body)).toMatchObject({ ok: true })
    expect((await call('/api/species/Nemo')).status).toBe(404)
    const sheet = (await call('/api/offers?date=2026-06-13')).body
    expect(parseOfferSheet(sheet)).toMatchObject({ ok: true })
    expect(createFindSpecies(sheet.offers)('gadus morhua')).toBe('Gadus morhua')
    expect(await call('/api/offers?date=soon')).toMatchObject({ status: 400, body: { problems: [{ path: '/date' }] } })
  })

  it('name another sheet by another hash once a price is kept', async () => {
    const snapshot = async () => (await call('/api/offers')).body.snapshot
    const before = await snapshot()
    await call('/api/prices', {
      method: 'POST',
      body: { price: { species: 'Zeus faber', form: 'whole', price: 20, currency: 'EUR', unit: 'kg', date: '2026-06-13' } },
    })
    expect(await snapshot()).not.toBe(before)
  })
})

describe('security', () => {
  it('sends a policy without inline script and a fresh nonce for styles each time', async () => {
    const policies = await Promise.all(
      [call('/api/health'), call('/api/health')].map(async (answer) => (await answer).headers.get('content-security-policy') ?? ''),
    )
    for (const policy of policies) {
      expect(policy).toContain("default-src 'none'")
      expect(policy).toMatch(/script-src 'self';/)
      expect(policy).toContain("style-src-attr 'none'")
    }
    expect(new Set(policies.map((policy) => /'nonce-([^']+)'/.exec(policy)?.[1])).size).toBe(2)
  })

  it('refuses a write that another site made the browser send', async () => {
    expect((await call('/api/servings', { method: 'POST', body: { brief }, headers: { 'Sec-Fetch-Site': 'cross-site' } })).status).toBe(400)
  })

  it('takes a quote in a name for a name, not for a command', async () => {
    const dish = `'; drop table briefs; --`
    const { id } = await keep({ dish })
    expect((await call(`/api/servings/${id}`)).body.brief.dish).toBe(dish)
    expect((await call(`/api/servings/${encodeURIComponent("' or 1=1 --")}`)).status).toBe(404)
  })
})
