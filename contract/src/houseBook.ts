import { Type, type Static } from '@sinclair/typebox'
import { Grams, Learnt, LearntMerchant, Notes } from './learn.ts'
import { BadRow } from './merchants.ts'
import { PURCHASE_STATES } from './purchases.ts'
import { closed, Currency, Instant, IsoDate, nullable, oneOf, Range, ScientificName, Text } from './schemaParts.ts'
import { BONES_FOUND, DONE_LEVELS, FLESH_KEYS, FORMATS, FORMS, KEPT_ENDS, LOOK_OUTCOMES, METHODS, METHOD_GROUPS } from './vocabulary.ts'

const Minutes = Type.Number({ exclusiveMinimum: 0, maximum: 2880 })
const Warmth = Type.Number({ minimum: -60, maximum: 300 })
const PerKg = Type.Number({ exclusiveMinimum: 0, maximum: 100_000 })

/** When, and what it is about; each may be left open. */
const about = {
  at: Instant,
  /** The kitchen's day it belongs to. */
  day: IsoDate,
  servingId: nullable(Text(40)),
  dish: nullable(Text(120)),
  method: nullable(oneOf(METHODS)),
  species: nullable(ScientificName),
  offerId: nullable(Text(120)),
  form: nullable(oneOf(FORMS)),
  merchant: nullable(Text(80)),
  words: nullable(Text(400)),
}

/** One thing that happened, as it was written down. */
export const Entry = Type.Union([
  closed({
    kind: Type.Literal('bought'),
    ...about,
    state: oneOf(PURCHASE_STATES),
    orderedG: Type.Number({ minimum: 0, maximum: 10_000_000 }),
    g: nullable(Grams),
    perKg: nullable(PerKg),
    /** What it was expected to cost when it was ordered. */
    expectedPerKg: nullable(PerKg),
    currency: nullable(Currency),
  }),
  /** `iceDays`: its age on ice by its looks. */
  closed({ kind: Type.Literal('looked'), ...about, outcome: oneOf(LOOK_OUTCOMES), refused: Type.Boolean(), iceDays: nullable(Range) }),
  /** `days`: how long it was in the house. */
  closed({ kind: Type.Literal('kept'), ...about, end: oneOf(KEPT_ENDS), g: Grams, days: Type.Number({ minimum: 0, maximum: 3650 }) }),
  /** `form` is what came out. */
  closed({ kind: Type.Literal('weighed'), ...about, boughtAs: oneOf(FORMS), boughtG: Grams, edibleG: Grams }),
  closed({
    kind: Type.Literal('cooked'),
    ...about,
    done: nullable(oneOf(DONE_LEVELS)),
    minutes: nullable(Minutes),
    sheetMinutes: nullable(Range),
    pullC: nullable(Warmth),
    sheetPullC: nullable(Warmth),
  }),
  closed({
    kind: Type.Literal('served'),
    ...about,
    covers: Type.Integer({ minimum: 1, maximum: 5000 }),
    notes: Type.Unsafe<Partial<Record<(typeof FLESH_KEYS)[number], number>>>({ ...Notes, minProperties: 0 }),
    bones: nullable(oneOf(BONES_FOUND)),
    /** Whether this fish would be taken again for this dish. */
    again: nullable(Type.Boolean()),
    /** A small picture, kept apart. */
    photo: nullable(Text(40)),
  }),
  closed({ kind: Type.Literal('came-back'), ...about, portions: Type.Integer({ minimum: 1, maximum: 5000 }) }),
  closed({ kind: Type.Literal('swapped'), ...about, missing: ScientificName, standIn: ScientificName, worked: nullable(Type.Boolean()) }),
  closed({ kind: Type.Literal('lesson'), ...about }),
])
export type Entry = Static<typeof Entry>

/** What is done in the book: something is written or corrected, withdrawn, set aside as odd, counted again. */
export const ENTRY_ACTS = ['write', 'withdraw', 'set-aside', 'count'] as const
export type EntryActKind = (typeof ENTRY_ACTS)[number]

/** One act. Acts are only ever added: the book is what all of them come to. `about` names a line, or a learnt value by its key. */
export const EntryAct = closed({ about: Text(200), act: oneOf(ENTRY_ACTS), entry: nullable(Entry), writtenAt: Instant })
export type EntryAct = Static<typeof EntryAct>

/** A line of the book as it reads now. */
export const EntryLine = closed(
  {
    id: Text(200),
    entry: Entry,
    setAside: Type.Boolean(),
    /** How often it was written: more than once where it was corrected. */
    written: Type.Integer({ minimum: 1 }),
    writtenAt: Instant,
  },
  { $id: 'EntryLine' },
)
export type EntryLine = Static<typeof EntryLine>

/** Entries written in one step: a new line, or, under the id of one that is there, its correction; with no entry it is withdrawn. */
export const EntriesInput = closed(
  {
    entries: Type.Array(closed({ id: Type.Optional(Text(200)), entry: nullable(Entry) }), { minItems: 1, maxItems: 60 }),
  },
  { $id: 'EntriesInput' },
)
export type EntriesInput = Static<typeof EntriesInput>

/** A line that is odd, or a learnt value that is not wanted; or either counted again. */
export const SetAsideInput = closed({ about: Text(200), aside: Type.Boolean() }, { $id: 'SetAsideInput' })
export type SetAsideInput = Static<typeof SetAsideInput>

/** Lines of the book, the newest first, a page at a time. */
export const EntryPage = closed(
  { lines: Type.Array(Type.Unsafe<EntryLine>(closed(EntryLine.properties))), total: Type.Integer({ minimum: 0 }) },
  { $id: 'EntryPage' },
)
export type EntryPage = Static<typeof EntryPage>
/** What was ever done about one line, the oldest first. */
export const EntryHistory = closed({ acts: Type.Array(EntryAct) }, { $id: 'EntryHistory' })
export type EntryHistory = Static<typeof EntryHistory>

const lines = Type.Array(Type.Unsafe<EntryLine>(closed(EntryLine.properties)))
const Named = closed({ species: ScientificName, common: Text(80) })

/** One fish of a serving after service, with what is known of it without anybody typing; a pot of several has a row for each. */
export const ServedDish = closed({
  /** Names its lines. */
  key: Text(170),
  servingId: Text(40),
  dish: Text(120),
  method: oneOf(METHODS),
  format: oneOf(FORMATS),
  covers: Type.Integer({ minimum: 1 }),
  /** What was taken, or, where nobody took any, what led the line-up. */
  fish: nullable(
    closed({
      ...Named.properties,
      offerId: Text(120),
      offer: Text(80),
      form: oneOf(FORMS),
      taken: Type.Boolean(),
      weighedAs: nullable(oneOf(FORMS)),
    }),
  ),
  /** The fish it was first meant to be, where it is another. */
  missing: nullable(Named),
  merchant: nullable(Text(80)),
  /** What came of it for this serving. */
  boughtG: nullable(Grams),
  lines,
})
export type ServedDish = Static<typeof ServedDish>
/** The dishes of a day; `others` are the days nearest to it on which something was or will be served. */
export const AfterService = closed({ day: IsoDate, dishes: Type.Array(ServedDish), others: Type.Array(IsoDate) }, { $id: 'AfterService' })
export type AfterService = Static<typeof AfterService>

/** A value that was learnt, beside what the book says; `key` is what it is set aside by. */
const value = { key: Text(200), setAside: Type.Boolean(), n: Type.Integer({ minimum: 1 }) }
const ofOffer = { offerId: Text(120), species: ScientificName, common: Text(80), offer: Text(80) }
/** What the house has learnt from all of its book. */
export const HouseLearnt = closed(
  {
    traits: Type.Array(closed({ ...value, ...ofOffer, trait: oneOf(FLESH_KEYS), book: Range, house: Range })),
    yields: Type.Array(closed({ ...value, ...ofOffer, form: oneOf(FORMS), book: Range, house: Range })),
    merchants: Type.Array(closed({ key: Text(200), setAside: Type.Boolean(), ...LearntMerchant.properties })),
    swaps: Type.Array(
      closed({
        ...value,
        group: oneOf(METHOD_GROUPS),
        ...{ missing: ScientificName, missingCommon: Text(80), standIn: ScientificName, standInCommon: Text(80) },
        worked: Type.Integer({ minimum: 0 }),
        alikeWas: Type.Number(),
        alike: Type.Number(),
      }),
    ),
    pulls: Learnt.properties.pulls,
    /** The choices that speak for them: what was taken for which dish, the latest first. */
    chosen: Type.Array(closed({ method: oneOf(METHODS), dish: Text(120), common: Text(80), day: IsoDate })),
    counted: Type.Integer({ minimum: 0, description: 'Entries that count.' }),
  },
  { $id: 'HouseLearnt' },
)
export type HouseLearnt = Static<typeof HouseLearnt>

/** What was expected and what came, over some time. */
export const LookBack = closed(
  {
    ...{ from: IsoDate, to: IsoDate },
    prices: Type.Array(
      closed({
        ...{ day: IsoDate, common: Text(80), merchant: nullable(Text(80)) },
        ...{ perKg: Type.Number(), expectedPerKg: Type.Number(), currency: Currency },
      }),
    ),
    yields: Type.Array(closed({ day: IsoDate, common: Text(80), form: oneOf(FORMS), share: Type.Number(), book: Range })),
    minutes: Type.Array(closed({ day: IsoDate, dish: Text(120), common: Text(80), minutes: Type.Number(), sheet: Range })),
    merchants: Type.Array(
      closed({
        ...{ merchant: Text(80), lines: Type.Integer(), failed: Type.Integer(), looks: Type.Integer() },
        iceDays: nullable(Type.Number()),
        /** Mean of what was paid over what was expected. */
        priceShare: nullable(Type.Number()),
      }),
    ),
    swaps: Type.Array(closed({ missing: Text(80), standIn: Text(80), worked: Type.Integer(), n: Type.Integer() })),
    fish: Type.Array(closed({ month: Text(7), usedG: Type.Number(), thrownG: Type.Number(), restG: Type.Number() })),
    /** What the rest of the fish that was used would have cost, by currency. */
    saved: Type.Array(closed({ currency: Currency, amount: Type.Number() })),
    services: closed({ dishes: Type.Integer(), again: Type.Integer(), notAgain: Type.Integer(), portionsBack: Type.Integer() }),
  },
  { $id: 'LookBack' },
)
export type LookBack = Static<typeof LookBack>

/** A file of entries that is brought in. */
export const HouseBookFile = closed(
  {
    format: oneOf(['csv', 'json']),
    text: Type.String({ maxLength: 20_000_000 }),
    /** Look only; keep all or nothing; keep the good rows although others are bad. */
    keep: oneOf(['nothing', 'all', 'good']),
  },
  { $id: 'HouseBookFile' },
)
export type HouseBookFile = Static<typeof HouseBookFile>
const Rows = Type.Integer({ minimum: 0 })
export const HouseBookReport = closed(
  {
    ...{ rows: Rows, good: Rows, kept: Rows },
    /** Rows that say just what is written already. */
    same: Rows,
    /** Names this file so that it can be taken back; null when nothing was kept. */
    importId: nullable(Text(40)),
    bad: Type.Array(BadRow),
  },
  { $id: 'HouseBookReport' },
)
export type HouseBookReport = Static<typeof HouseBookReport>
export const HouseBookUndo = closed({ importId: Text(40) }, { $id: 'HouseBookUndo' })
export type HouseBookUndo = Static<typeof HouseBookUndo>

/** A small picture, as JPEG in base64: about 60 kB at most. */
export const PhotoInput = closed(
  { id: Type.String({ format: 'uuid' }), jpeg: Type.String({ minLength: 100, maxLength: 84_000, pattern: '^/9j/[A-Za-z0-9+/]+={0,2}$' }) },
  { $id: 'PhotoInput' },
)
export type PhotoInput = Static<typeof PhotoInput>
