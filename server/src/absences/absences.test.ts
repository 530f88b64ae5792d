import { parseAbsencePlan } from '@tender-gill/contract/validators'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startTestServer, type TestServer } from '../testing/testServer.ts'

let server: TestServer
let call: TestServer['call']
beforeAll(async () => {
  server = await startTestServer()
  call = server.call
})
afterAll(() => server.close())

const MONKFISH = { species: 'Lophius piscatorius', offerId: 'lophius-piscatorius.wild.fresh.body', form: 'fillet-skinless' }
const post = (path: string, body?: object, kitchen?: string) => call(path, { method: 'POST', body, kitchen })
const makeDish = async (patch: object = {}, choice: object | null = MONKFISH): Promise<string> => {
  const brief = { dish: 'Skewers', method: 'grill', format: 'chunk', covers: 12, draws: 100, ...patch }
  return (await post('/api/servings', { brief, choice })).body.id
}
const days = { from: '2026-06-13', to: '2026-06-16' }
const missing = { species: MONKFISH.species, offerId: null, because: 'not-landed', ...days }
const plan = async (patch: object = {}) => (await post('/api/absences/plan', { ...missing, ...patch })).body
const movesOf = (
  dishes: { servingId: string; revision: number; move: number | null; ladder: { species: string; offerId: string; form: string }[] }[],
) =>
  dishes.flatMap(({ servingId, revision, move, ladder }) => {
    const rung = ladder[move ?? -1]
    return rung ? [{ servingId, revision, choice: { species: rung.species, offerId: rung.offerId, form: rung.form } }] : []
  })
const dish = async (id: string) => (await call(`/api/servings/${id}`)).body
const takeAway = async (id: string) =>
  call(`/api/servings/${id}`, { method: 'DELETE', headers: { 'If-Match': `"${(await dish(id)).revision}"` } })

describe('a fish missing for the whole kitchen', () => {
  it('moves every dish that takes it in one step, keeps the decisions, and is taken back in one step', async () => {
    const ids = [await makeDish(), await makeDish({ dish: 'Curry', method: 'curry' }), await makeDish({ dish: 'Braise', method: 'braise' })]
    const answer = await plan()
    expect(parseAbsencePlan(answer).ok).toBe(true)
    expect(answer.dishes.map(({ servingId }: { servingId: string }) => servingId).sort()).toEqual([...ids].sort())
    const moves = movesOf(answer.dishes)
    const moveOf = (id: string) => moves.find(({ servingId }) => servingId === id)?.choice
    const marked = await post('/api/absences', { ...missing, moves })
    expect(marked).toMatchObject({ status: 201, body: { common: 'Anglerfish (monkfish)', takenBackAt: null, moves: { length: 3 } } })
    for (const id of ids) {
      expect(await dish(id)).toMatchObject({ choice: moveOf(id), revision: 2 })
      expect((await call(`/api/decisions?serving=${id}`)).body[0]).toMatchObject({
        species: moveOf(id)?.species,
        note: 'Anglerfish (monkfish) is missing until 16 June',
      })
    }
    const lineUp = (await post('/api/line-up', { dish: 'Other', method: 'stew', format: 'chunk', draws: 100 })).body
    expect(lineUp.leftOut.find(({ species }: { species: string }) => species === MONKFISH.species)).toMatchObject({
      gate: 'unavailable',
      sentence: 'The kitchen does without it until 16 June.',
    })
    expect((await call('/api/absences')).body).toEqual([marked.body])

    const undone = await post(`/api/absences/${marked.body.id}/undo`)
    expect(undone).toMatchObject({ status: 200, body: { left: [] } })
    expect([...undone.body.putBack].sort()).toEqual(['Braise', 'Curry', 'Skewers'])
    for (const id of ids) {
      expect((await dish(id)).choice).toEqual(MONKFISH)
      expect((await call(`/api/decisions?serving=${id}`)).body[0]).toMatchObject({ species: MONKFISH.species, revision: 2 })
    }
    expect((await call('/api/absences')).body).toEqual([])
    expect((await post(`/api/absences/${marked.body.id}/undo`)).status).toBe(404)
    const after = (await post('/api/line-up', { dish: 'Other', method: 'stew', format: 'chunk', draws: 100 })).body
    expect(after.ranked.map(({ species }: { species: string }) => species)).toContain(MONKFISH.species)
    for (const id of ids) await takeAway(id)
  })

  it('changes the missing fish of a pot alone, and puts it back into its place', async () => {
    const conger = { species: 'Conger conger', offerId: 'conger-conger.wild.fresh.body', form: 'steak' }
    const cod = { species: 'Gadus morhua', offerId: 'gadus-morhua.wild.fresh.body', form: 'fillet-skinless' }
    const whole = await makeDish({ method: 'stew' })
    const weightOf = async (id: string) =>
      (await plan()).dishes.find(({ servingId }: { servingId: string }) => servingId === id).taken.buyG as number
    const alone = await weightOf(whole)
    await takeAway(whole)
    const pot = { ...conger, beside: [MONKFISH, cod] }
    const id = await makeDish({ method: 'stew' }, pot)
    const third = await weightOf(id)
    expect(Math.abs(third * 3 - alone)).toBeLessThanOrEqual(2)
    const moves = movesOf((await plan()).dishes)
    const marked = await post('/api/absences', { ...missing, moves })
    expect(marked.status).toBe(201)
    expect((await dish(id)).choice).toEqual({ ...conger, beside: [moves[0]?.choice, cod] })
    expect((await post(`/api/absences/${marked.body.id}/undo`)).body.putBack).toEqual(['Skewers'])
    expect((await dish(id)).choice).toEqual(pot)
    await takeAway(id)
  })

  it('moves nothing when one dish was changed since the plan, and keeps no absence', async () => {
    const ids = [await makeDish(), await makeDish({ dish: 'Curry', method: 'curry' })]
    const moves = movesOf((await plan()).dishes)
    const record = await dish(ids[1] ?? '')
    await call(`/api/servings/${record.id}`, {
      method: 'PUT',
      body: { brief: { ...record.brief, covers: 40 }, choice: record.choice },
      headers: { 'If-Match': '"1"' },
    })
    expect(await post('/api/absences', { ...missing, moves })).toMatchObject({ status: 409, body: { current: { id: record.id } } })
    expect((await dish(ids[0] ?? '')).choice).toEqual(MONKFISH)
    expect((await call('/api/absences')).body).toEqual([])
    for (const id of ids) await takeAway(id)
  })

  it('leaves a dish that was changed after the move as it is when it is taken back, and names it', async () => {
    const ids = [await makeDish(), await makeDish({ dish: 'Curry', method: 'curry' })]
    const { id } = (await post('/api/absences', { ...missing, moves: movesOf((await plan()).dishes) })).body
    const record = await dish(ids[1] ?? '')
    const cod = { species: 'Gadus morhua', offerId: 'gadus-morhua.wild.fresh.body', form: 'fillet-skin-on' }
    await call(`/api/servings/${record.id}`, {
      method: 'PUT',
      body: { brief: record.brief, choice: cod },
      headers: { 'If-Match': `"${record.revision}"` },
    })
    expect((await post(`/api/absences/${id}/undo`)).body).toMatchObject({ putBack: ['Skewers'], left: ['Curry'] })
    expect((await dish(ids[1] ?? '')).choice).toEqual(cod)
    for (const one of ids) await takeAway(one)
  })

  it('shares out a small supply, ends without moving dishes back, and holds on its own days only', async () => {
    const ids = [await makeDish({ covers: 40, dish: 'Big' }), await makeDish({ covers: 4, dish: 'Small' })]
    const big = (await plan()).dishes.find(({ servingId }: { servingId: string }) => servingId === ids[0])
    const [first] = big.ladder
    const settled = await plan({ supplies: [{ species: first.species, kg: first.buyG / 1000 }] })
    expect(Object.fromEntries(settled.dishes.map(({ dish: name, move }: { dish: string; move: number }) => [name, move]))).toEqual({
      Big: 0,
      Small: 1,
    })
    const { id } = (await post('/api/absences', { ...missing, moves: movesOf(settled.dishes) })).body
    const leftOutOn = async (date: string) =>
      (await post('/api/line-up', { dish: 'Day', method: 'stew', format: 'chunk', draws: 100, date })).body.leftOut.some(
        ({ species, gate }: { species: string; gate: string }) => species === MONKFISH.species && gate === 'unavailable',
      )
    expect([await leftOutOn('2026-06-12'), await leftOutOn('2026-06-16'), await leftOutOn('2026-06-17')]).toEqual([false, true, false])
    expect((await post(`/api/absences/${id}/end`)).body.takenBackAt).not.toBeNull()
    expect(await leftOutOn('2026-06-16')).toBe(false)
    expect((await dish(ids[0] ?? '')).choice.species).toBe(first.species)
    for (const one of ids) await takeAway(one)
  })

  it('refuses at its place: an unknown fish, days upside down, a dish that takes nothing, a fish that cannot do the dish', async () => {
    const none = await makeDish({ dish: 'Nothing taken' }, null)
    const raw = await makeDish({ dish: 'Raw', method: 'raw', format: 'slice' })
    const carp = { species: 'Cyprinus carpio', offerId: 'cyprinus-carpio.farmed.fresh.body', form: 'whole' }
    const places = async (path: string, body: object) =>
      (await post(path, body)).body.problems.map(({ path: place }: { path: string }) => place)
    expect(await places('/api/absences/plan', { ...missing, species: 'Nemo nemo' })).toEqual(['/species'])
    expect(await places('/api/absences/plan', { ...missing, holds: [{ servingId: raw, species: 'Nemo nemo' }] })).toEqual([
      '/holds/0/species',
    ])
    expect(await places('/api/absences', { ...missing, species: 'Nemo nemo', moves: [] })).toEqual(['/species'])
    expect(await places('/api/absences', { ...missing, offerId: 'nemo', moves: [] })).toEqual(['/offerId'])
    expect(await places('/api/absences', { ...missing, to: '2026-06-01', moves: [] })).toEqual(['/to'])
    expect(
      await places('/api/absences', {
        ...missing,
        moves: [
          { servingId: none, revision: 1, choice: carp },
          { servingId: 'nothing-here', revision: 1, choice: carp },
          { servingId: raw, revision: 1, choice: carp },
        ],
      }),
    ).toEqual(['/moves/0/servingId', '/moves/1/servingId', '/moves/2/choice'])
    expect((await call('/api/absences')).body).toEqual([])
    for (const one of [none, raw]) await takeAway(one)
  })

  it('is not seen, ended or taken back from another kitchen', async () => {
    const { id } = (await post('/api/absences', { ...missing, moves: [] })).body
    const kitchen = 'larch-cottage'
    expect((await call('/api/absences', { kitchen })).body).toEqual([])
    expect((await post(`/api/absences/${id}/end`, undefined, kitchen)).status).toBe(404)
    expect((await post(`/api/absences/${id}/undo`, undefined, kitchen)).status).toBe(404)
    expect((await post(`/api/absences/${id}/undo`)).status).toBe(200)
  })
})
