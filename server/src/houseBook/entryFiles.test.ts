import type { Entry, EntryLine, HouseBookReport } from '@tender-gill/contract'
import { readTable, writeTable } from '@tender-gill/csv'
import fc from 'fast-check'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { startTestServer, type TestServer } from '../testing/testServer.ts'
import { ENTRY_COLUMNS, fromCells, toCells } from './entryCells.ts'

const about = {
  ...{ at: '2026-05-01T20:00:00Z', day: '2026-05-01', servingId: null, dish: 'Cod in milk', method: 'poach' as const },
  ...{ species: 'Gadus morhua', offerId: 'gadus-morhua.wild.fresh.body', form: 'fillet-skinless' as const },
}
const words = fc.option(fc.constantFrom('dry it longer', '=1+1', 'a "quoted", cell'), { nil: null })
const note = fc.integer({ min: -2, max: 2 })
const entry: fc.Arbitrary<Entry> = fc.record({ words, merchant: fc.constantFrom('Quay', null) }).chain((own) =>
  fc.oneof(
    fc.record({ firmness: note, fat: note }, { requiredKeys: [] }).map((notes): Entry => ({
      ...{ kind: 'served', ...about, ...own, covers: 4, notes, bones: 'few', again: false, photo: null },
    })),
    fc.constant<Entry>({ kind: 'weighed', ...about, ...own, boughtAs: 'whole', boughtG: 1000.5, edibleG: 480 }),
    fc.constant<Entry>({
      ...{ kind: 'cooked', ...about, ...own, done: 'over', minutes: 7.5, sheetMinutes: { low: 5, typical: 6, high: 7 }, pullC: null },
      sheetPullC: 50,
    }),
    fc.constant<Entry>({ kind: 'swapped', ...about, ...own, missing: 'Molva molva', standIn: 'Gadus morhua', worked: null }),
    fc.constant<Entry>({ kind: 'looked', ...about, ...own, outcome: 'buy', refused: false, iceDays: null }),
    fc.constant<Entry>({
      ...{ kind: 'bought', ...about, ...own, state: 'short', orderedG: 900, g: 500, perKg: 12.5, expectedPerKg: null, currency: 'EUR' },
    }),
  ),
)

describe('an entry as a row', () => {
  it('reads back just as it was written, whatever its kind', () => {
    fc.assert(
      fc.property(entry, fc.boolean(), (said, setAside) => {
        const line: EntryLine = { id: 'a', entry: said, setAside, written: 1, writtenAt: '2026-05-02T00:00:00Z' }
        const { head, rows } = readTable(writeTable(ENTRY_COLUMNS, [toCells(line)]), { mostRows: 9, mostLetters: 999 })
        const cells = Object.fromEntries((head?.cells ?? []).map((heading, i) => [heading, (rows[0]?.cells[i] ?? '').trim()]))
        const wrong: string[] = []
        expect(fromCells(cells, (column, message) => wrong.push(`${column} ${message}`))).toEqual(said)
        expect(wrong).toEqual([])
        expect(cells.set_aside).toBe(setAside ? 'yes' : '')
      }),
      { numRuns: 80 },
    )
  })
})

describe('a house book that comes as a file', () => {
  let server: TestServer
  beforeAll(async () => {
    server = await startTestServer()
  })
  afterAll(() => server.close())
  const at = (path: string) => `/api/kitchens/larch-cottage/house-book${path}`
  const bring = async (text: string, keep: string, format = 'csv'): Promise<HouseBookReport> =>
    (await server.call(at('/file'), { method: 'POST', body: { format, text, keep } })).body
  const total = async () => (await server.call(at(''))).body.total as number
  const PAPER = [
    'kind,day,dish,method,species,offer,form,covers,note_firmness,again,words,bought_as,bought_g,edible_g,missing,stand_in,worked',
    'served,2025-11-02,Pie,poach,Atlantic cod,"wild, fresh",fillet-skin-on,8,-1,yes,,,,,,,',
    'weighed,2025-11-02,Pie,poach,Gadus morhua,gadus-morhua.wild.fresh.body,fillet-skin-on,,,,,whole,3000,1400,,,',
    'lesson,2025-11-03,Pie,,Atlantic cod,,,,,,Off the heat sooner,,,,,,',
    'swapped,2025-11-04,Pie,poach,common ling,,,,,,,,,,Atlantic cod,Common ling,no',
  ].join('\n')

  it('brings a year of paper in, names as people write them, teaches from it, and goes back in one step', async () => {
    const looked = await bring(PAPER, 'nothing')
    expect(looked).toMatchObject({ rows: 4, good: 4, bad: [], kept: 0, importId: null })
    expect(await total()).toBe(0)
    const kept = await bring(PAPER, 'all')
    expect(kept).toMatchObject({ kept: 4, importId: expect.any(String) })
    expect(await total()).toBe(4)
    const learnt = (await server.call(at('/learnt'))).body
    expect(learnt.traits).toMatchObject([{ offerId: 'gadus-morhua.wild.fresh.body', trait: 'firmness', n: 1 }])
    expect(learnt.yields).toMatchObject([{ form: 'fillet-skin-on', n: 1 }])
    expect(learnt.swaps).toMatchObject([{ missing: 'Gadus morhua', standIn: 'Molva molva', worked: 0, n: 1 }])
    // Brought again it is there once.
    expect(await bring(PAPER, 'all')).toMatchObject({ good: 4, same: 4, kept: 0, importId: null })
    const undo = await server.call(at('/file/undo'), { method: 'POST', body: { importId: kept.importId } })
    expect(undo.status).toBe(200)
    expect(await total()).toBe(0)
    expect((await server.call(at('/learnt'))).body.traits).toEqual([])
    expect((await server.call(at('/file/undo'), { method: 'POST', body: { importId: 'nobody' } })).status).toBe(404)
  })

  it('tells bad rows by line and column, and keeps all or nothing unless the good ones are wanted', async () => {
    const bad = `${PAPER}\nweighed,2025-11-05,Pie,,Atlantic cod,"wild, fresh",fillet-skin-on,,,,,whole,100,120,,,\nserved,2025-13-05,Pie,,Atlantic cod,"wild, fresh",,4,,,,,,,,,\nserved,2025-11-05,Pie,,Nemo nemo,,,4,,,,,,,,,\nserved,2025-11-05,Pie,,Atlantic cod,,,4,,,,,,,,,\nserved,2025-11-05,Pie,,cod,,,4,,,,,,,,,\ndreamt,2025-11-05,,,,,,,,,,,,,,,`
    const told = await bring(bad, 'all')
    expect(told).toMatchObject({ rows: 10, good: 4, kept: 0, importId: null })
    expect(told.bad.map(({ line, column }) => [line, column])).toEqual([
      [6, 'edible_g'],
      [7, 'at'],
      [7, 'day'],
      [8, 'species'],
      [9, 'offer'],
      [10, 'species'],
      [11, 'kind'],
    ])
    const kept = await bring(bad, 'good')
    expect(kept.kept).toBe(4)
    await server.call(at('/file/undo'), { method: 'POST', body: { importId: kept.importId } })
    expect(await bring('', 'nothing')).toMatchObject({ rows: 0, bad: [{ line: 1 }] })
    expect(await bring('kind,mood\nlesson,good', 'nothing')).toMatchObject({ bad: [{ message: 'unknown headings: mood' }] })
    expect(await bring('{', 'nothing', 'json')).toMatchObject({ bad: [{ message: 'this is no JSON' }] })
  })

  it('goes out and comes back the same in either form, and a row under an id that is there corrects it', async () => {
    const { importId } = await bring(PAPER, 'all')
    const text = async (query: string) => (await fetch(`${server.address}${at(`/file?${query}`)}`)).text()
    expect(await bring(await text('format=csv'), 'all')).toMatchObject({ rows: 4, good: 4, same: 4 })
    const json = await text('format=json')
    expect(await bring(json, 'all', 'json')).toMatchObject({ rows: 4, good: 4, same: 4 })
    expect((await text('format=csv&kind=lesson')).trim().split('\n')).toHaveLength(2)
    const corrected = await bring(json.replace('Off the heat sooner', 'Off the heat much sooner'), 'all', 'json')
    expect(corrected).toMatchObject({ same: 3, kept: 1 })
    const lesson = async () => (await server.call(at('?kinds=lesson'))).body.lines[0].entry.words as string
    expect(await lesson()).toBe('Off the heat much sooner')
    await server.call(at('/file/undo'), { method: 'POST', body: { importId: corrected.importId } })
    expect(await lesson()).toBe('Off the heat sooner')
    await server.call(at('/file/undo'), { method: 'POST', body: { importId } })
    expect(await total()).toBe(0)
  })
})
