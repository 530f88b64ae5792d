import { Type, type Static } from '@sinclair/typebox'
import { Price } from './market.ts'
import { closed, Currency, IsoDate, nullable, oneOf, ScientificName, stored, Text } from './schemaParts.ts'
import { FORMS, ORIGINS, PRICE_UNITS, STATES } from './vocabulary.ts'

/** What a column of a merchant's list can say. */
export const LIST_FIELDS = ['name', 'price', 'form', 'unit', 'eachG', 'grade', 'origin', 'state', 'currency', 'minimumKg'] as const
export type ListField = (typeof LIST_FIELDS)[number]

const heading = Type.Optional(Text(80))

/** How one merchant's list is read: which heading says what, and what holds where no column says it. Remembered for each merchant. */
export const ListReading = closed({
  columns: closed({
    name: heading,
    price: heading,
    form: heading,
    unit: heading,
    eachG: heading,
    grade: heading,
    origin: heading,
    state: heading,
    currency: heading,
    minimumKg: heading,
  }),
  form: nullable(oneOf(FORMS)),
  unit: oneOf(PRICE_UNITS),
  currency: Currency,
  origin: nullable(oneOf(ORIGINS)),
  state: nullable(oneOf(STATES)),
  decimal: oneOf(['.', ',']),
})
export type ListReading = Static<typeof ListReading>

const Weekday = Type.Integer({ minimum: 1, maximum: 7, description: 'Monday is 1.' })

/** A merchant: when it delivers, until when to order, how little it will send, and how its lists are read. */
export const Merchant = closed({
  name: Text(80),
  delivers: Type.Array(Weekday, { uniqueItems: true, maxItems: 7 }),
  orderBy: Type.String({ pattern: '^([01][0-9]|2[0-3]):[0-5][0-9]$', description: 'Latest hour to order, in the kitchen’s zone.' }),
  daysAhead: Type.Integer({ minimum: 0, maximum: 14, description: 'Days between the last hour to order and the delivery.' }),
  closed: Type.Optional(Type.Array(IsoDate, { maxItems: 60, description: 'Days without delivery.' })),
  minimumOrder: nullable(closed({ amount: Type.Number({ minimum: 0, maximum: 100_000 }), currency: Currency })),
  feed: nullable(Type.String({ pattern: '^[a-z0-9-]{1,40}$', description: 'Key of a feed that is set when the server starts.' })),
  reading: Type.Optional(nullable(ListReading)),
  note: Type.Optional(Text(400)),
})
export type Merchant = Static<typeof Merchant>

export const MerchantInput = closed({ merchant: Merchant }, { $id: 'MerchantInput' })
export type MerchantInput = Static<typeof MerchantInput>
export const MerchantRecord = closed({ ...stored, merchant: Merchant }, { $id: 'MerchantRecord' })
export type MerchantRecord = Static<typeof MerchantRecord>

/** What one unit of a currency was worth in the kitchen's own, from a day on. */
export const Rate = closed({ currency: Currency, date: IsoDate, worth: Type.Number({ exclusiveMinimum: 0, maximum: 1_000_000 }) })
export type Rate = Static<typeof Rate>
export const RateInput = closed({ rate: Rate }, { $id: 'RateInput' })
export type RateInput = Static<typeof RateInput>
export const RateRecord = closed({ ...stored, rate: Rate }, { $id: 'RateRecord' })
export type RateRecord = Static<typeof RateRecord>

/** A row of a list that could not be kept: where it stands and why. */
export const BadRow = closed({ line: Type.Integer({ minimum: 1 }), column: nullable(Text(80)), message: Text(300) })
export type BadRow = Static<typeof BadRow>

/** A name that stands for several fish of the book, or for none: asked once and remembered. */
export const OpenName = closed({
  name: Text(120),
  lines: Type.Array(Type.Integer()),
  candidates: Type.Array(closed({ species: ScientificName, common: Text(80) })),
})
export type OpenName = Static<typeof OpenName>

/** What a name on a list stands for; null for what is not fish for this kitchen. */
export const SettledName = closed({ name: Text(120), species: nullable(ScientificName) })
export type SettledName = Static<typeof SettledName>

export const SettledNames = closed({ names: Type.Array(SettledName, { minItems: 1, maxItems: 2_000 }) }, { $id: 'SettledNames' })
export type SettledNames = Static<typeof SettledNames>

export const LIST_SOURCES = ['file', 'feed'] as const

/** A merchant's list of one day that is brought in as text. */
export const PriceListInput = closed(
  {
    merchantId: Text(40),
    date: IsoDate,
    text: Type.String({ maxLength: 5_000_000 }),
    fileName: Type.Optional(Text(200)),
    reading: Type.Optional(ListReading),
    names: Type.Optional(Type.Array(SettledName, { maxItems: 2_000 })),
    /** Look only; keep all or nothing; keep the good rows although others are bad. */
    keep: oneOf(['nothing', 'all', 'good']),
  },
  { $id: 'PriceListInput' },
)
export type PriceListInput = Static<typeof PriceListInput>

/** A list as it is kept, without its rows. */
export const PriceList = closed(
  {
    id: Text(40),
    merchantId: Text(40),
    merchant: Text(80),
    date: IsoDate,
    source: oneOf(LIST_SOURCES),
    fileName: nullable(Text(200)),
    keptAt: Type.String(),
    quotes: Type.Integer({ minimum: 0 }),
    bad: Type.Integer({ minimum: 0 }),
    takenBackAt: nullable(Type.String()),
  },
  { $id: 'PriceList' },
)
export type PriceList = Static<typeof PriceList>

export const PriceListDetail = closed(
  { list: PriceList, quotes: Type.Array(Price), bad: Type.Array(BadRow), open: Type.Array(OpenName) },
  { $id: 'PriceListDetail' },
)
export type PriceListDetail = Static<typeof PriceListDetail>

/** What reading a list found, and what was kept of it. */
export const PriceListReport = closed(
  {
    rows: Type.Integer({ minimum: 0 }),
    good: Type.Integer({ minimum: 0 }),
    headings: Type.Array(Type.String()),
    sample: Type.Array(Type.Array(Type.String())),
    reading: ListReading,
    open: Type.Array(OpenName),
    bad: Type.Array(BadRow),
    /** The same list was kept before: nothing changed. */
    same: Type.Boolean(),
    list: nullable(PriceList),
  },
  { $id: 'PriceListReport' },
)
export type PriceListReport = Static<typeof PriceListReport>

/** How a feed stands. */
export const FEED_STATES = ['fresh', 'silent', 'never'] as const
export const FeedState = closed(
  {
    key: Text(40),
    state: oneOf(FEED_STATES),
    /** The last list that could be read, and when. */
    lastGoodAt: nullable(Type.String()),
    lastListDate: nullable(Type.String()),
    lastTriedAt: nullable(Type.String()),
    nextTryAt: nullable(Type.String()),
    failures: Type.Integer({ minimum: 0 }),
    problem: nullable(Text(300)),
    news: nullable(Text(300)),
  },
  { $id: 'FeedState' },
)
export type FeedState = Static<typeof FeedState>

/** Years of waters, or evidence on stocks, as a CSV file that is brought in. */
export const MarketFile = closed(
  { text: Type.String({ maxLength: 5_000_000 }), keep: oneOf(['nothing', 'all', 'good']) },
  { $id: 'MarketFile' },
)
export type MarketFile = Static<typeof MarketFile>
export const MarketFileReport = closed(
  {
    rows: Type.Integer({ minimum: 0 }),
    good: Type.Integer({ minimum: 0 }),
    bad: Type.Array(BadRow),
    /** Records that came in, and those whose place they took: what taking the file back needs. */
    brought: Type.Array(Text(40)),
    replaced: Type.Array(Text(40)),
  },
  { $id: 'MarketFileReport' },
)
export type MarketFileReport = Static<typeof MarketFileReport>
export const MarketFileUndo = closed(
  { brought: Type.Array(Text(40), { maxItems: 10_000 }), replaced: Type.Array(Text(40), { maxItems: 10_000 }) },
  { $id: 'MarketFileUndo' },
)
export type MarketFileUndo = Static<typeof MarketFileUndo>
