import { createOfferSheet, listSpecies } from '@tender-gill/catalogue'
import type {
  Absence,
  AbsenceInput,
  AbsencePlanRequest,
  Brief,
  BriefRecord,
  Decision,
  DecisionInput,
  FeedState,
  HouseLeanings,
  Kitchen,
  LineUp,
  Merchant,
  MerchantRecord,
  OfferSheet,
  Price,
  PriceList,
  PriceListInput,
  PriceListReport,
  PriceRecord,
  Season,
  SeasonRecord,
  Slab,
  Stock,
  StockRecord,
} from '@tender-gill/contract'
import { createFishSearch } from '@tender-gill/names'
import { readPriceList, toSettled } from '../../../server/src/priceLists/readPriceList.ts'
import {
  applyMarket,
  compareLineUps,
  createFindSpecies,
  createPriceBook,
  markAbsent,
  planAbsence,
  rankLineUp,
  stepSlab,
  writeCoverCard,
} from '@tender-gill/core'

export const TODAY = '2026-06-13'
/** A few fish of every kind: a page tested on all of them would only be slower. */
const KEPT: ReadonlySet<string> = new Set([
  'Gadus morhua',
  'Melanogrammus aeglefinus',
  'Merlangius merlangus',
  'Pollachius virens',
  'Lophius piscatorius',
  'Conger conger',
  'Anguilla anguilla',
  'Dicentrarchus labrax',
  'Argyrosomus regius',
  'Salmo salar',
  'Scomber scombrus',
  'Clupea harengus',
  'Scophthalmus maximus',
  'Thunnus albacares',
  'Oreochromis niloticus',
  'Octopus vulgaris',
])

export interface FakeKitchen {
  readonly dishes: readonly { readonly id: string; readonly brief: Brief; readonly choice?: BriefRecord['choice'] }[]
  readonly prices?: readonly Price[]
  readonly seasons?: readonly Season[]
  readonly stocks?: readonly Stock[]
  readonly merchants?: readonly Merchant[]
  readonly feeds?: readonly FeedState[]
}

const json = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } })
const refuse = (status: number, detail: string, more: object = {}) => json({ status, title: detail, detail, problems: [], ...more }, status)

/**
 * The server as the pages see it, kept in memory: dishes, prices and leanings with their revisions, the offers of a small book, decisions.
 * The real one is tested on a real database; this one stands in for it where a page is tested alone.
 */
export function createFakeServer({ dishes, prices = [], seasons = [], stocks = [], merchants = [], feeds = [] }: FakeKitchen) {
  const kitchen: Kitchen = {
    id: 'lantern',
    name: 'Lantern House',
    waters: 'Marrow Sound waters',
    zone: 'UTC',
    currency: 'EUR',
    today: TODAY,
  }
  const stored = { revision: 1, updatedAt: `${TODAY}T12:00:00Z`, deletedAt: null }
  const briefs = new Map<string, BriefRecord>(dishes.map(({ id, brief, choice }) => [id, { ...stored, id, brief, choice: choice ?? null }]))
  const priceRows: PriceRecord[] = prices.map((price, i) => ({ ...stored, id: `price-${i}`, price }))
  let leanings: { revision: number; leanings: HouseLeanings } = { revision: 0, leanings: {} }
  const decisions: { decision: Decision; brief: Brief; output: LineUp }[] = []
  const seasonRows = new Map<string, SeasonRecord>(seasons.map((season, i) => [`season-${i}`, { ...stored, id: `season-${i}`, season }]))
  const stockRows = new Map<string, StockRecord>(stocks.map((stock, i) => [`stock-${i}`, { ...stored, id: `stock-${i}`, stock }]))
  const merchantRows = new Map<string, MerchantRecord>(
    merchants.map((merchant, i) => [`merchant-${i}`, { ...stored, id: `merchant-${i}`, merchant }]),
  )
  const lists: PriceList[] = []
  let absences: Absence[] = []
  let touched = 0
  const asked: string[] = []
  let down = false

  const sheet = (): OfferSheet => {
    const bare = createOfferSheet(TODAY)
    const book = bare.offers.filter(({ species }) => KEPT.has(species))
    const findSpecies = createFindSpecies(book)
    const dressed = applyMarket(book, { prices: priceRows.map(({ price }) => price) }, { date: TODAY, waters: null, findSpecies })
    const plain: OfferSheet = {
      ...bare,
      snapshot: `fake-${leanings.revision}-${priceRows.length}-${absences.map(({ id }) => id).join('')}-${touched}`,
      offers: [...dressed],
      leanings: leanings.leanings,
      seasons: [...seasonRows.values()].map(({ season }) => season),
      stocks: [...stockRows.values()].map(({ stock }) => stock),
    }
    return absences.reduce(markAbsent, plain)
  }
  const keptDishes = () => ({ today: TODAY, dishes: [...briefs.values()], sheetOf: sheet })
  const slab = (): Slab => {
    const { offers } = sheet()
    const prices = createPriceBook(
      priceRows.map(({ price }) => price),
      offers,
      TODAY,
      createFindSpecies(offers),
    )
    const steps = stepSlab({
      ...{ ...keptDishes(), date: TODAY, now: { date: TODAY, time: '12:00' }, usualOf: prices.usualOf },
      merchants: [...merchantRows.values()].map(({ merchant }) => merchant),
    })
    let step = steps.next()
    while (!step.done) step = steps.next()
    return step.value
  }
  const lineUpOf = (brief: Brief): LineUp => {
    const answer = rankLineUp(brief, sheet(), { today: TODAY, shares: false })
    if (!answer.ok) throw new Error('the brief is wrong')
    return answer.value
  }
  const matches = (request: Request, revision: number) => request.headers.get('if-match') === `"${revision}"`

  async function saveBrief(request: Request, id: string): Promise<Response> {
    const before = briefs.get(id)
    if (!before) return refuse(404, 'nothing stands here')
    if (!matches(request, before.revision)) return refuse(409, 'changed elsewhere', { current: before })
    const input = (await request.json()) as Pick<BriefRecord, 'brief' | 'choice'>
    const record: BriefRecord = { ...before, ...input, choice: input.choice ?? null, revision: before.revision + 1 }
    briefs.set(id, record)
    return json(record)
  }

  async function decide(request: Request): Promise<Response> {
    const { briefId, species, offerId, form } = (await request.json()) as DecisionInput
    const record = briefs.get(briefId)
    if (!record) return refuse(404, 'nothing stands here')
    const output = lineUpOf(record.brief)
    const at = output.ranked.findIndex((row) => row.species === species)
    const row = output.ranked[at]
    const decision: Decision = {
      id: `decision-${decisions.length + 1}`,
      briefId,
      dish: record.brief.dish,
      revision: decisions.filter(({ decision: { briefId: own } }) => own === briefId).length + 1,
      decidedAt: `${TODAY}T12:00:00Z`,
      species,
      common: row?.common ?? species,
      offerId,
      form,
      place: at < 0 ? null : at + 1,
      fit: row?.fit ?? null,
      note: null,
      engineVersion: output.engineVersion,
      snapshot: output.snapshot,
      inputsHash: 'f'.repeat(64),
      outputHash: 'e'.repeat(64),
    }
    decisions.unshift({ decision, brief: record.brief, output })
    return json(decision, 201)
  }

  function rerun(id: string): Response {
    const kept = decisions.find(({ decision }) => decision.id === id)
    if (!kept) return refuse(404, 'nothing stands here')
    const { decision, brief, output } = kept
    const today = lineUpOf(briefs.get(decision.briefId)?.brief ?? brief)
    return json({
      engineThen: output.engineVersion,
      engineNow: today.engineVersion,
      sameInputs: compareLineUps(output, output, decision),
      todaysInputs: compareLineUps(output, today, decision),
    })
  }

  async function answerPlan(request: Request): Promise<Response> {
    const plan = planAbsence((await request.json()) as AbsencePlanRequest, keptDishes())
    return plan.ok ? json(plan.value) : refuse(400, 'See the places named', { problems: plan.error })
  }

  async function mark(request: Request): Promise<Response> {
    const { moves, ...input } = (await request.json()) as AbsenceInput
    const moved = moves.map(({ briefId, revision, choice }) => ({ record: briefs.get(briefId), revision, choice }))
    if (moved.some(({ record, revision }) => record?.revision !== revision))
      return refuse(409, 'A dish was changed since the plan was made.')
    const name = (offerId: string) => sheet().offers.find(({ id }) => id === offerId)?.common ?? ''
    const absence: Absence = {
      ...input,
      id: `absence-${absences.length + 1}`,
      common: sheet().offers.find(({ species }) => species === input.species)?.common ?? input.species,
      markedAt: `${TODAY}T12:00:00Z`,
      takenBackAt: null,
      moves: moved.flatMap(({ record, choice }) =>
        record?.choice
          ? [{ briefId: record.id, dish: record.brief.dish, before: record.choice, after: choice, common: name(choice.offerId) }]
          : [],
      ),
    }
    for (const { record, choice } of moved) if (record) briefs.set(record.id, { ...record, choice, revision: record.revision + 1 })
    absences = [absence, ...absences]
    return json(absence, 201)
  }

  function takeBack(id: string, putBack: boolean): Response {
    const absence = absences.find((one) => one.id === id)
    if (!absence) return refuse(404, 'nothing stands here')
    absences = absences.filter((one) => one !== absence)
    const over = { ...absence, takenBackAt: `${TODAY}T13:00:00Z` }
    if (!putBack) return json(over)
    for (const { briefId, before } of absence.moves) {
      const record = briefs.get(briefId)
      if (record) briefs.set(briefId, { ...record, choice: before, revision: record.revision + 1 })
    }
    return json({ absence: over, putBack: absence.moves.map(({ dish }) => dish), left: [] })
  }

  /** Years and stocks: kept, changed, taken away. */
  async function saveYear<R extends { id: string; revision: number }>(
    rows: Map<string, R>,
    request: Request,
    id: string,
  ): Promise<Response> {
    touched += 1
    const before = rows.get(id)
    if (request.method === 'POST') {
      const made = { ...stored, id: `made-${touched}`, ...((await request.json()) as object) } as unknown as R
      rows.set(made.id, made)
      return json(made, 201)
    }
    if (!before) return refuse(404, 'nothing stands here')
    if (!matches(request, before.revision)) return refuse(409, 'changed elsewhere', { current: before })
    if (request.method === 'DELETE') {
      rows.delete(id)
      return json(before)
    }
    const after = { ...before, ...((await request.json()) as object), revision: before.revision + 1 }
    rows.set(id, after)
    return json(after)
  }

  /** Looks at a list as the server does, and keeps its rows as prices of the kitchen. */
  async function bringList(request: Request): Promise<Response> {
    const { merchantId, date, text, reading, names = [], keep } = (await request.json()) as PriceListInput
    const merchant = merchantRows.get(merchantId)?.merchant
    if (!merchant) return refuse(400, 'no such merchant')
    const { offers } = sheet()
    const search = createFishSearch(offers)
    const commons = new Map(offers.map(({ species, common }) => [species, common]))
    const read = readPriceList(
      { text, date, merchant: merchant.name, reading },
      {
        ...{ search, settled: toSettled(names), currency: kitchen.currency },
        findExact: (name) => search.findExact(name),
        commonOf: (species) => commons.get(species) ?? species,
      },
    )
    const kept = keep !== 'nothing' && read.quotes.length > 0
    if (kept) {
      const id = `list-${lists.length + 1}`
      const counts = { quotes: read.quotes.length, bad: read.bad.length, takenBackAt: null }
      lists.push({ id, merchantId, merchant: merchant.name, date, source: 'file', fileName: null, keptAt: `${TODAY}T12:00:00Z`, ...counts })
      read.quotes.forEach((price, i) => priceRows.push({ ...stored, id: `${id}-${i}`, price }))
    }
    const { headings, sample, open, bad } = read
    const report: PriceListReport = {
      ...{ rows: read.rows, good: read.quotes.length, headings: [...headings], sample: sample.map((row) => [...row]) },
      ...{ reading: read.reading, open: [...open], bad: [...bad], same: false, list: kept ? (lists.at(-1) ?? null) : null },
    }
    return json(report, kept ? 201 : 200)
  }

  async function saveLeanings(request: Request): Promise<Response> {
    if (!matches(request, leanings.revision)) return refuse(409, 'changed elsewhere', { current: leanings })
    leanings = { revision: leanings.revision + 1, leanings: ((await request.json()) as { leanings: HouseLeanings }).leanings }
    return json(leanings)
  }

  function read(path: string, search: URLSearchParams): Response {
    const [, room = '', id] = path.replace(/^\/api/, '').split('/')
    switch (room) {
      case 'kitchens':
        return json([kitchen])
      case 'kitchen':
        return json(kitchen)
      case 'briefs': {
        const record = id === undefined ? [...briefs.values()] : briefs.get(id)
        return record ? json(record) : refuse(404, 'nothing stands here')
      }
      case 'prices':
        return json(priceRows)
      case 'house-species':
        return json([])
      case 'seasons':
        return json([...seasonRows.values()])
      case 'stocks':
        return json([...stockRows.values()])
      case 'leanings':
        return json(leanings)
      case 'absences':
        return json(absences)
      case 'price-lists-stamp':
        return json({ stamp: '' })
      case 'merchants':
        return json([...merchantRows.values()])
      case 'feeds':
        return json(feeds)
      case 'slab':
        return json(slab())
      case 'price-lists':
        return json(lists)
      case 'alerts':
      case 'rates':
        return json([])
      case 'cover-card':
        return json(writeCoverCard({ from: search.get('from') ?? TODAY, to: search.get('to') ?? TODAY }, keptDishes()))
      case 'offers':
        return json(sheet())
      case 'species':
        return json(listSpecies().filter(({ species }) => KEPT.has(species)))
      case 'decisions': {
        if (id === undefined)
          return json(decisions.map(({ decision }) => decision).filter(({ briefId }) => briefId === search.get('brief')))
        const kept = decisions.find(({ decision }) => decision.id === id)
        return kept ? json(kept) : refuse(404, 'nothing stands here')
      }
      default:
        return json({ status: 'ok' })
    }
  }

  const answer = async (input: Request | string): Promise<Response> => {
    const request = typeof input === 'string' ? new Request(new URL(input, 'http://127.0.0.1')) : input
    const { pathname, searchParams } = new URL(request.url)
    asked.push(`${request.method} ${pathname}`)
    if (down) return refuse(503, 'The database does not answer')
    if (request.method === 'GET') return read(pathname, searchParams)
    const id = pathname.split('/')[3] ?? ''
    if (pathname.startsWith('/api/briefs/') && request.method === 'PUT') return saveBrief(request, id)
    if (pathname === '/api/leanings') return saveLeanings(request)
    if (pathname === '/api/absences/plan') return answerPlan(request)
    if (pathname === '/api/absences') return mark(request)
    if (pathname.startsWith('/api/absences/')) return takeBack(id, pathname.endsWith('/undo'))
    if (pathname.startsWith('/api/seasons')) return saveYear(seasonRows, request, id)
    if (pathname === '/api/price-lists') return bringList(request)
    if (pathname.startsWith('/api/merchants')) return saveYear(merchantRows, request, id)
    if (pathname.startsWith('/api/stocks')) return saveYear(stockRows, request, id)
    if (pathname === '/api/decisions') return decide(request)
    if (pathname.endsWith('/rerun')) return rerun(id)
    return refuse(404, 'not part of this stand-in')
  }
  return {
    answer,
    asked,
    brief: (id: string): Brief | undefined => briefs.get(id)?.brief,
    prices: (): readonly Price[] => priceRows.map(({ price }) => price),
    merchants: () => [...merchantRows.values()].map(({ merchant }) => merchant),
    seasons: (): readonly Season[] => [...seasonRows.values()].map(({ season }) => season),
    stocks: (): readonly Stock[] => [...stockRows.values()].map(({ stock }) => stock),
    taken: (id: string): string | undefined => briefs.get(id)?.choice?.species,
    /** Somebody else changes a dish. */
    touch: (id: string): void => {
      const record = briefs.get(id)
      if (record) briefs.set(id, { ...record, revision: record.revision + 1 })
    },
    leanings: (): HouseLeanings => leanings.leanings,
    /** Takes the database away, or brings it back. */
    setDown: (gone: boolean): void => {
      down = gone
    },
  }
}
export type FakeServer = ReturnType<typeof createFakeServer>
