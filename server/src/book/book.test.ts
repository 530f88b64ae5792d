import type { SourceSpecies } from '@tender-gill/contract'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startTestServer, type TestServer } from '../testing/testServer.ts'

let server: TestServer
let call: TestServer['call']
beforeAll(async () => {
  server = await startTestServer()
  call = server.call
})
afterAll(() => server.close())

const sourceOf = async (species: string): Promise<SourceSpecies> => {
  const { house, shipped } = (await call(`/api/species/${encodeURIComponent(species)}/source`)).body
  return house?.source ?? shipped
}
const withFlake = (source: SourceSpecies, flake: [number, number, number]): SourceSpecies => ({
  ...source,
  flesh: { ...source.flesh, flake },
})
const keep = (source: SourceSpecies, patch: object = {}) => call('/api/house-species', { method: 'POST', body: { source, ...patch } })
const bring = (text: string, keepWhat: string, format = 'csv') =>
  call('/api/species-import', { method: 'POST', body: { format, text, keep: keepWhat } })
const fitOf = async (species: string) => {
  const brief = { dish: 'Pie', method: 'chowder', format: 'chunk', pool: [species], draws: 200 }
  return (await call('/api/line-up', { method: 'POST', body: brief })).body.ranked[0]?.fit
}

describe('the house’s hand', () => {
  it('moves the line-up, shows the value as the house’s, and lets go of it again', async () => {
    const before = await fitOf('Merlangius merlangus')
    const made = await keep(withFlake(await sourceOf('Merlangius merlangus'), [0.5, 1, 1.5]))
    expect(made).toMatchObject({ status: 201, body: { own: false, hidden: false } })
    const sheet = (await call('/api/species/Merlangius%20merlangus')).body
    expect(sheet).toMatchObject({
      hand: 'house-changed',
      offers: [{ traits: { flake: { typical: 1, basis: 'house' }, fat: { basis: 'compiled' } } }, {}],
    })
    expect(await fitOf('Merlangius merlangus')).toBeLessThan(before - 5)
    await call(`/api/house-species/${made.body.id}`, { method: 'DELETE', headers: { 'If-Match': '"1"' } })
    expect(await fitOf('Merlangius merlangus')).toBe(before)
    expect((await call(`/api/house-species/${made.body.id}/restore`, { method: 'POST' })).status).toBe(200)
    expect(await fitOf('Merlangius merlangus')).toBeLessThan(before - 5)
  })

  it('is one a species: a second is refused, and so is putting one back beside a newer one', async () => {
    const source = withFlake(await sourceOf('Brosme brosme'), [6, 7, 8])
    const { body: first } = await keep(source)
    expect(await keep(source)).toMatchObject({ status: 409 })
    await call(`/api/house-species/${first.id}`, { method: 'DELETE', headers: { 'If-Match': '"1"' } })
    expect((await keep(source)).status).toBe(201)
    expect((await call(`/api/house-species/${first.id}/restore`, { method: 'POST' })).status).toBe(409)
  })

  it.each([
    ['a range out of order', (s: SourceSpecies) => withFlake(s, [5, 4, 6]), '/source/flesh/flake'],
    ['a trait off its scale', (s: SourceSpecies) => withFlake(s, [5, 6, 12]), '/source/flesh/flake/2'],
    ['another’s name', (s: SourceSpecies) => ({ ...s, scientific: 'Theragra chalcogramma' }), '/source/scientific'],
    ['an unknown field', (s: SourceSpecies) => ({ ...s, taste: 'good' }), '/source/taste'],
  ])('refuses %s at its place and keeps nothing', async (_what, change, path) => {
    const before = (await call('/api/house-species')).body.length
    expect(await keep(change(await sourceOf('Molva molva')) as SourceSpecies)).toMatchObject({
      status: 400,
      body: { problems: [{ path }] },
    })
    expect((await call('/api/house-species')).body).toHaveLength(before)
  })

  it('adds a species of the house’s own, which dishes may name and other kitchens do not see', async () => {
    const own: SourceSpecies = { ...(await sourceOf('Molva molva')), scientific: 'Molva domestica', common: 'House ling', synonyms: [] }
    expect((await keep(own)).body).toMatchObject({ own: true })
    const brief = { dish: 'Own', method: 'stew', format: 'chunk', pool: ['Molva domestica'], draws: 200 }
    expect((await call('/api/servings', { method: 'POST', body: { brief } })).status).toBe(201)
    expect((await call('/api/line-up', { method: 'POST', body: brief })).body.ranked[0]).toMatchObject({ common: 'House ling' })
    const kitchen = 'larch-cottage'
    expect((await call('/api/species/Molva%20domestica', { kitchen })).status).toBe(404)
    expect((await call('/api/servings', { method: 'POST', body: { brief }, kitchen })).status).toBe(400)
    expect((await call('/api/house-species', { kitchen })).body).toEqual([])
  })

  it('hides a species from line-ups but not where a dish names it', async () => {
    const { body } = await keep(await sourceOf('Xiphias gladius'), { hidden: true })
    const brief = { dish: 'Steaks', method: 'grill', format: 'steak', draws: 200 }
    const species = async (patch: object) =>
      (await call('/api/line-up', { method: 'POST', body: { ...brief, ...patch } })).body.ranked.map(
        (row: { species: string }) => row.species,
      )
    expect(await species({})).not.toContain('Xiphias gladius')
    expect(await species({ pool: ['Xiphias gladius'] })).toEqual(['Xiphias gladius'])
    await call(`/api/house-species/${body.id}`, { method: 'DELETE', headers: { 'If-Match': '"1"' } })
    expect(await species({})).toContain('Xiphias gladius')
  })
})

describe('files of species', () => {
  const csv = (path: string) => call(`/api/species-export?format=csv${path}`)

  it('go out and come back with nothing to keep', async () => {
    const kitchen = 'larch-cottage'
    const { body: text, headers } = await call('/api/species-export?format=csv', { kitchen })
    expect(headers.get('content-disposition')).toContain('species.csv')
    const report = await call('/api/species-import', { method: 'POST', body: { format: 'csv', text, keep: 'all' }, kitchen })
    expect(report.body).toMatchObject({ rows: 220, good: 220, same: 220, kept: 0, bad: [] })
    expect((await call('/api/house-species', { kitchen })).body).toEqual([])
  })

  it('are only looked at until the person says so, and are kept whole or by their good rows', async () => {
    const text = 'scientific,flesh.firmness\nZeus faber,6 7 8\nSolea solea,six 7 8\n'
    const looked = await bring(text, 'nothing')
    expect(looked.body).toMatchObject({
      rows: 2,
      good: 1,
      kept: 0,
      importId: null,
      bad: [{ line: 3, species: 'Solea solea', path: 'flesh.firmness' }],
    })
    expect((await bring(text, 'all')).body).toMatchObject({ kept: 0, importId: null })
    expect((await csv('&what=house')).body).not.toContain('Zeus faber')
    expect((await bring(text, 'good')).body).toMatchObject({ kept: 1, importId: expect.any(String) })
    expect((await call('/api/species/Zeus%20faber')).body.offers[0].traits.firmness).toMatchObject({ typical: 7, basis: 'house' })
  })

  it('can be taken back: what they replaced returns', async () => {
    const mine = withFlake(await sourceOf('Lota lota'), [5, 6, 7])
    await keep(mine)
    const { body } = await bring('scientific,flesh.flake\nLota lota,1 2 3\nSander vitreus,1 2 3\n', 'all')
    const flakeOf = async (name: string) => (await call(`/api/species/${encodeURIComponent(name)}`)).body.offers[0].traits.flake.typical
    expect([await flakeOf('Lota lota'), await flakeOf('Sander vitreus')]).toEqual([2, 2])
    expect((await call(`/api/species-import/${body.importId}/undo`, { method: 'POST' })).body).toEqual({ changed: 3 })
    expect([await flakeOf('Lota lota'), await flakeOf('Sander vitreus')]).toEqual([6, 6])
    expect((await call(`/api/species-import/${body.importId}/undo`, { method: 'POST' })).status).toBe(404)
  })

  it('are not taken back from another kitchen', async () => {
    const { body } = await bring('scientific,flesh.flake\nPerca flavescens,1 2 3\n', 'all')
    const kitchen = 'larch-cottage'
    expect((await call(`/api/species-import/${body.importId}/undo`, { method: 'POST', kitchen })).status).toBe(404)
  })

  it('of 1,000 rows with 37 bad ones name the 37 and keep the rest', async () => {
    const kitchen = 'larch-cottage'
    const cod = await sourceOf('Gadus morhua')
    const letters = (i: number) => [...String(i).padStart(5, '0')].map((digit) => 'abcdefghij'[Number(digit)]).join('')
    const rows = Array.from({ length: 1_000 }, (_, i) => ({
      ...cod,
      scientific: `Gadus x${letters(i)}`,
      synonyms: [],
      ...(i % 27 === 9 && i < 999 ? { familiarity: 11 } : {}),
    }))
    const answer = await call('/api/species-import', {
      method: 'POST',
      body: { format: 'json', text: JSON.stringify(rows), keep: 'good' },
      kitchen,
    })
    expect(answer.body).toMatchObject({ rows: 1_000, good: 963, kept: 963 })
    expect(answer.body.bad).toHaveLength(37)
    expect((await call('/api/species/Gadus%20xaabcd', { kitchen })).status).toBe(200)
    await call(`/api/species-import/${answer.body.importId}/undo`, { method: 'POST', kitchen })
    expect((await call('/api/species/Gadus%20xaabcd', { kitchen })).status).toBe(404)
  })

  it('publish the schema they must keep', async () => {
    expect((await call('/api/species-schema')).body).toMatchObject({ $id: 'SourceSpecies', properties: { flesh: {}, offers: {} } })
  })
})
