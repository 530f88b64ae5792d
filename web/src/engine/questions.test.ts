import { createOfferSheet, listSpecies } from '@tender-gill/catalogue'
import type { Brief, OfferSheet, ResolvedOffer, ServingRecord } from '@tender-gill/contract'
import { TEXTURE_KEYS } from '@tender-gill/contract/vocabulary'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { BOOK_TRAITS } from './bookRows.ts'
import { createEngine, type Engine } from './createEngine.ts'
import { createSheetRef, type SheetRef } from './sheetRef.ts'
import { EMPTY_SHELF } from './sheetShelf.ts'

const TODAY = '2026-06-13'
const KITCHEN = { id: 'a-kitchen', today: TODAY }
/** Fish that somebody offers here: the other three are in the book alone. */
const OFFERED = ['Gadus morhua', 'Pollachius virens', 'Scomber scombrus']
const POOL = [...OFFERED, 'Lophius piscatorius', 'Thunnus thynnus', 'Salmo salar']

const price = (perKg: number): ResolvedOffer['prices'] => [
  {
    ...{ form: 'whole', perKg: { low: perKg, typical: perKg, high: perKg }, currency: 'EUR', quotes: 3, latestDate: TODAY },
    ...{ quoteId: null, merchant: 'quay', glaze: 0 },
  },
]
const whole = createOfferSheet(TODAY)
const SHEET: OfferSheet = {
  ...whole,
  snapshot: 'today',
  offers: whole.offers
    .filter(({ species }) => POOL.includes(species))
    .map((offer) => (OFFERED.includes(offer.species) ? { ...offer, prices: price(12) } : offer)),
}
const REF = createSheetRef(KITCHEN, TODAY, 'today')
const brief = (patch: Partial<Brief> = {}): Brief => ({
  dish: 'Skewers',
  method: 'grill',
  format: 'chunk',
  covers: 4,
  draws: 100,
  ...patch,
})
const serving = (id: string, patch: Partial<Brief> = {}): ServingRecord =>
  ({ id, dishId: id, revision: 1, brief: brief({ dish: id, ...patch }), choice: null }) as unknown as ServingRecord
const EXACT = { shares: false, leftOut: false, rows: Infinity } as const

let asked: string[]
let away: Set<string>
let engine: Engine
/** A server that has the sheet of today and its book. */
function answer(path: string): Response {
  asked.push(path)
  if ([...away].some((part) => path.includes(part))) return new Response('{}', { status: 503 })
  const json = (body: unknown) => new Response(JSON.stringify(body))
  if (path.endsWith(`/sheets/${TODAY}/today`)) return json(SHEET)
  if (path.endsWith('/species')) return json(listSpecies().filter(({ species }) => POOL.includes(species)))
  const name = decodeURIComponent(path.split('/species/')[1] ?? '')
  const found = listSpecies().find(({ species }) => species === name)
  return found ? json(found) : new Response('{}', { status: 404 })
}
beforeEach(() => {
  asked = []
  away = new Set()
  vi.stubGlobal('fetch', async (path: string) => answer(path))
  engine = createEngine(EMPTY_SHELF)
})
afterEach(() => vi.unstubAllGlobals())

const good = <T>(result: { ok: true; value: T } | { ok: false; error: unknown }): T => {
  if (!result.ok) throw new Error(JSON.stringify(result.error))
  return result.value
}

describe('a sheet', () => {
  it('is fetched once, however many questions are put to it at once', async () => {
    await Promise.all([engine.lay(REF), engine.offersOf(REF, 'Gadus morhua'), engine.lineUp(REF, brief(), EXACT)])
    expect(asked).toEqual([`/api/kitchens/a-kitchen/sheets/${TODAY}/today`])
  })

  it('that could not be had is asked for again by the next question', async () => {
    away.add('/sheets/')
    await expect(engine.lay(REF)).rejects.toMatchObject({ name: 'SheetAway' })
    away.clear()
    await expect(engine.lay(REF)).resolves.toBeUndefined()
    expect(asked).toHaveLength(2)
  })

  it('that is called otherwise by now is told from one that is away', async () => {
    const gone = createSheetRef(KITCHEN, TODAY, 'of yesterday')
    await expect(engine.lay(gone)).rejects.toMatchObject({ name: 'SheetGone' })
  })

  it('gives its fish by name, each once, in the order of the names', async () => {
    const names = await engine.fishNames(REF)
    expect(names.map(({ species }) => species).sort()).toEqual([...POOL].sort())
    expect(names.map(({ common }) => common)).toEqual(names.map(({ common }) => common).sort((a, b) => a.localeCompare(b, 'en')))
  })
})

describe('what can be bought', () => {
  it('alone answers where that was asked, and says who nobody offers would be fitter', async () => {
    const all = good(await engine.lineUp(REF, brief(), { ...EXACT, leftOut: true }))
    const offered = good(await engine.lineUp(REF, brief(), { ...EXACT, leftOut: true, only: true }))
    expect(all.onlyOffered).toBe(false)
    expect(all.unoffered).toBeNull()
    expect(offered.onlyOffered).toBe(true)
    expect(offered.lineUp.ranked.every(({ species }) => OFFERED.includes(species))).toBe(true)
    expect(offered.offered).toBe(OFFERED.length)
    const best = Math.max(...offered.lineUp.ranked.map(({ fit }) => fit))
    const fitter = all.lineUp.ranked.filter(({ species, fit }) => !OFFERED.includes(species) && fit > best)
    expect(offered.unoffered?.count ?? 0).toBe(fitter.length)
    expect(offered.unoffered?.best ?? null).toBe(fitter[0]?.common ?? null)
  })

  it('is asked for where there are lists, unless the dish brings a market of its own', async () => {
    const only = 'where-there-are-lists'
    expect(good(await engine.lineUp(REF, brief(), { ...EXACT, only })).onlyOffered).toBe(true)
    const own = brief({ market: { prices: [], seasons: [], stocks: [] } })
    expect(good(await engine.lineUp(REF, own, { ...EXACT, only })).onlyOffered).toBe(false)
  })
})

describe('a line-up', () => {
  it('sends no more rows than are looked at, and says how many can do the dish', async () => {
    const all = good(await engine.lineUp(REF, brief(), EXACT))
    const some = good(await engine.lineUp(REF, brief(), { ...EXACT, rows: 2 }))
    expect(some.lineUp.ranked).toEqual(all.lineUp.ranked.slice(0, 2))
    expect(some.able).toBe(all.lineUp.ranked.length)
  })

  it('is the same with its shares drawn as without, but for the shares', async () => {
    const told: number[] = []
    const drawn = good(await engine.lineUp(REF, brief({ draws: 4_000 }), { ...EXACT, shares: true }, (share) => told.push(share)))
    const exact = good(await engine.lineUp(REF, brief({ draws: 4_000 }), EXACT))
    expect(drawn.left).toBe(false)
    expect(drawn.lineUp.ranked.map(({ species, fit }) => [species, fit])).toEqual(
      exact.lineUp.ranked.map(({ species, fit }) => [species, fit]),
    )
    const shares = drawn.lineUp.ranked.map(({ firstShare }) => firstShare)
    expect(shares.reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 6)
    expect(told).toEqual([...told].sort((a, b) => a - b))
  })

  it('whose study is left is answered without its shares', async () => {
    // However fast the machine is, each look at the clock finds it later: the study tells how far it is before its end.
    let clockMs = 0
    const clock = vi.spyOn(performance, 'now').mockImplementation(() => (clockMs += 50))
    const study = engine.lineUp(REF, brief({ draws: 20_000 }), { ...EXACT, shares: true }, () => engine.leaveStudy())
    const { left, lineUp } = good(await study)
    clock.mockRestore()
    expect(left).toBe(true)
    expect(lineUp.ranked.length).toBeGreaterThan(0)
  })

  it('refuses a brief that names a fish which is none, at its place', async () => {
    const refused = await engine.lineUp(REF, brief({ pool: ['Nemo nemo'] }), EXACT)
    expect(refused).toMatchObject({ ok: false, error: [{ path: '/pool/0' }] })
  })
})

describe('the book', () => {
  it('stands before its fits are worked out, which then are those of the line-up', async () => {
    const rows = await engine.book(REF)
    expect(rows.map(({ species }) => species).sort()).toEqual([...POOL].sort())
    expect(rows.every(({ fits }) => fits === null)).toBe(true)
    for (const { traits } of rows) for (const trait of BOOK_TRAITS) expect(Number.isFinite(traits[trait])).toBe(true)
    const fits = await engine.methodFits(REF)
    expect(await engine.methodFits(REF)).toBe(fits)
    const best = good(await engine.lineUp(REF, { method: 'mince', format: 'mince', dish: 'Any', covers: 4 }, EXACT)).lineUp.ranked[0]
    expect(best && fits.get(best.species)?.mince).toBeDefined()
    for (const [, own] of fits) for (const fit of Object.values(own)) expect(fit >= 0 && fit <= 100).toBe(true)
    expect(TEXTURE_KEYS.every((key) => (BOOK_TRAITS as readonly string[]).includes(key))).toBe(true)
  })

  it('gives the entries of some names alone, in their order, without fetching all of it', async () => {
    const some = await engine.sheets(REF, ['Salmo salar', 'Nemo nemo', 'Gadus morhua'])
    expect(some.map(({ species }) => species)).toEqual(['Salmo salar', 'Gadus morhua'])
    expect(asked.filter((path) => path.endsWith('/species'))).toEqual([])
    await engine.sheets(REF, ['Gadus morhua'])
    expect(asked.filter((path) => path.endsWith('/species/Gadus%20morhua'))).toHaveLength(1)
  })

  it('gives them from the whole book where that was read already', async () => {
    await engine.book(REF)
    asked.length = 0
    const some = await engine.sheets(REF, ['Salmo salar', 'Nemo nemo', 'Gadus morhua'])
    expect(some.map(({ species }) => species)).toEqual(['Salmo salar', 'Gadus morhua'])
    expect(asked).toEqual([])
  })

  it('that could not be had is asked for again, and is another one under another name of the sheet', async () => {
    away.add('/species')
    await expect(engine.book(REF)).rejects.toMatchObject({ name: 'SheetAway' })
    await expect(engine.sheets(REF, ['Salmo salar'])).rejects.toMatchObject({ name: 'SheetAway' })
    away.clear()
    await engine.book(REF)
    await engine.book(createSheetRef(KITCHEN, TODAY, 'changed'))
    expect(asked.filter((path) => path.endsWith('/species'))).toHaveLength(3)
  })

  it('is read anew under each new name of its sheet, and under an old one that comes back: what was undone may be in it', async () => {
    const readings = () => asked.filter((path) => path.endsWith('/species')).length
    const changed = createSheetRef(KITCHEN, TODAY, 'after a change')
    for (const [ref, times] of [
      [REF, 1],
      [REF, 1],
      [changed, 2],
      [REF, 3],
      [REF, 3],
    ] as const) {
      await engine.book(ref)
      expect(readings()).toBe(times)
    }
  })
})

describe('amounts and stand-ins', () => {
  const taken = (ref: SheetRef) => async () => {
    const [leader] = good(await engine.lineUp(ref, brief(), { ...EXACT, only: true })).lineUp.ranked
    if (!leader) throw new Error('nobody leads')
    return leader
  }

  it('cost what was typed where a price was typed, else what is quoted', async () => {
    const { species, offerId } = await taken(REF)()
    const how = { shortChance: 0.1 }
    const request = { brief: brief(), species, offerId, form: 'whole' as const, how }
    const quoted = good(await engine.amount(REF, { ...request, typed: null })).portionCost?.typical ?? 0
    const typed = good(await engine.amount(REF, { ...request, typed: { perKg: 24, currency: 'EUR' } })).portionCost?.typical ?? 0
    expect(quoted).toBeGreaterThan(0)
    expect(typed / quoted).toBeCloseTo(2, 1)
  })

  it('are chosen from what can be bought where that was asked, and never the one that is missing', async () => {
    const { species } = await taken(REF)()
    const request = { ...brief(), missing: species, because: 'not-landed' as const }
    const shown = good(await engine.standIns(REF, request, true))
    expect(shown.onlyOffered).toBe(true)
    const names = shown.standIns.order.map((one) => one.species)
    expect(names).not.toContain(species)
    expect(names.every((name) => OFFERED.includes(name))).toBe(true)
  })
})

describe('fish first', () => {
  it('leaves a dish with a mistake out and names it, and answers the rest', async () => {
    const sound = serving('Skewers')
    const mistaken = serving('Stew', { pool: ['Nemo nemo'] })
    const shown = await engine.fishFirst(REF, [{ species: 'Gadus morhua' }], [mistaken, sound])
    expect(shown?.mistaken.map(({ id }) => id)).toEqual(['Stew'])
    expect(shown?.records.map(({ id }) => id)).toEqual(['Skewers'])
    expect(shown?.answer.methods.length).toBeGreaterThan(0)
  })

  it('is nothing for a fish that is none', async () => {
    expect(await engine.fishFirst(REF, [{ species: 'Nemo nemo' }], [serving('Skewers')])).toBeNull()
  })
})

describe('names', () => {
  it('are given for the fish that were asked for alone', async () => {
    expect(await engine.commonNames(REF, ['Gadus morhua', 'Nemo nemo'])).toEqual({ 'Gadus morhua': expect.stringContaining('cod') })
    expect((await engine.search(REF, 'monkfish'))[0]?.species).toBe('Lophius piscatorius')
    expect(await engine.relatives(REF, 'no such offer')).toEqual([])
  })
})
