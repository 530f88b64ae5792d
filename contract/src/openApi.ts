import { YearOfDish } from './year.ts'
import { Absence, AbsenceInput, AbsencePlan, AbsencePlanRequest, AbsenceUndo } from './absences.ts'
import { CoverCard } from './coverCard.ts'
import { Brief, StandInsRequest } from './brief.ts'
import { Decision, DecisionDetail, DecisionInput, DecisionRerun } from './decisions.ts'
import { LineUp } from './lineUp.ts'
import {
  FeedState,
  MarketFile,
  MarketFileReport,
  MarketFileUndo,
  MerchantInput,
  MerchantRecord,
  PriceList,
  PriceListDetail,
  PriceListInput,
  PriceListReport,
  RateInput,
  RateRecord,
  SettledNames,
} from './merchants.ts'
import { DecisionAlert, PriceHistory, Slab } from './marketDay.ts'
import { OfferSheet } from './offer.ts'
import { ProblemDetails } from './problems.ts'
import {
  BriefInput,
  BriefRecord,
  HouseSpeciesInput,
  HouseSpeciesRecord,
  Kitchen,
  KitchenSwitch,
  LeaningsInput,
  LeaningsRecord,
  PriceInput,
  PriceRecord,
  SeasonInput,
  SeasonRecord,
  StockInput,
  StockRecord,
  SpeciesImport,
  SpeciesImportReport,
} from './records.ts'
import { SourceSpecies } from './sourceSpecies.ts'
import { SpeciesSheet } from './species.ts'
import { StandIns, SwapMap } from './standIns.ts'
import { FishFirst, FishFirstRequest, PotPlan, PotRequest, TurningPoints, TurningRequest } from './studies.ts'

type Schema = { $id?: string }
const named = {
  Brief,
  StandInsRequest,
  LineUp,
  StandIns,
  SwapMap,
  YearOfDish,
  AbsencePlanRequest,
  AbsencePlan,
  AbsenceInput,
  Absence,
  AbsenceUndo,
  CoverCard,
  TurningRequest,
  TurningPoints,
  PotRequest,
  PotPlan,
  FishFirstRequest,
  FishFirst,
  OfferSheet,
  SpeciesSheet,
  SourceSpecies,
  HouseSpeciesInput,
  HouseSpeciesRecord,
  SpeciesImport,
  SpeciesImportReport,
  Decision,
  DecisionInput,
  DecisionDetail,
  DecisionRerun,
  BriefInput,
  BriefRecord,
  PriceInput,
  PriceRecord,
  SeasonInput,
  SeasonRecord,
  StockInput,
  StockRecord,
  LeaningsInput,
  LeaningsRecord,
  MerchantInput,
  MerchantRecord,
  RateInput,
  RateRecord,
  PriceList,
  PriceListInput,
  PriceListDetail,
  PriceListReport,
  SettledNames,
  FeedState,
  MarketFile,
  MarketFileReport,
  MarketFileUndo,
  Slab,
  PriceHistory,
  DecisionAlert,
  Kitchen,
  KitchenSwitch,
  ProblemDetails,
}
const refTo = (schema: Schema) => ({ $ref: `#/components/schemas/${schema.$id ?? ''}` })
const json = (schema: object) => ({ 'application/json': { schema } })
const listOf = (schema: Schema) => ({ type: 'array', items: refTo(schema) })
const refused = { description: 'Problem details (RFC 9457)', content: { 'application/problem+json': { schema: refTo(ProblemDetails) } } }

interface Operation {
  summary: string
  body?: Schema
  answer: object
  status?: number
  parameters?: readonly object[]
}

const operation = ({ summary, body, answer, status = 200, parameters = [] }: Operation) => ({
  summary,
  ...(parameters.length > 0 ? { parameters } : {}),
  ...(body ? { requestBody: { required: true, content: json(refTo(body)) } } : {}),
  responses: { [status]: { description: 'Answer', content: json(answer) }, default: refused },
})

const id = { name: 'id', in: 'path', required: true, schema: { type: 'string' } }
const ifMatch = {
  name: 'If-Match',
  in: 'header',
  required: true,
  schema: { type: 'string' },
  description: 'The revision that was read, in quotes.',
}
const date = { name: 'date', in: 'query', required: false, schema: { type: 'string', format: 'date' } }

const choice = (name: string, values: readonly string[]) => ({
  name,
  in: 'query',
  required: false,
  schema: { type: 'string', enum: values },
})
const formatQuery = choice('format', ['json', 'csv'])
const whatQuery = choice('what', ['all', 'house'])

const fromDay = { ...date, name: 'from' }
const toDay = { ...date, name: 'to' }
const briefQuery = { name: 'brief', in: 'query', required: false, schema: { type: 'string' } }

const recordPaths = (path: string, input: Schema, record: Schema, what: string) => ({
  [`/api/${path}`]: {
    get: operation({ summary: `The kitchen's ${what}s`, answer: listOf(record) }),
    post: operation({ summary: `Keep a new ${what}`, body: input, answer: refTo(record), status: 201 }),
  },
  [`/api/${path}/{id}`]: {
    get: operation({ summary: `One ${what}`, answer: refTo(record), parameters: [id] }),
    put: operation({ summary: `Change a ${what}`, body: input, answer: refTo(record), parameters: [id, ifMatch] }),
    delete: operation({ summary: `Take a ${what} away; it can be put back for 30 days`, answer: refTo(record), parameters: [id, ifMatch] }),
  },
  [`/api/${path}/{id}/restore`]: { post: operation({ summary: `Put a ${what} back`, answer: refTo(record), parameters: [id] }) },
})

/** The published OpenAPI 3.1 document, made from the same schemas that validate. */
export const buildOpenApi = (version: string) => ({
  openapi: '3.1.0',
  info: { title: 'Tender Gill', version, description: 'Which fish for this dish, and what else if it is not to be had.' },
  paths: {
    '/api/line-up': { post: operation({ summary: 'Rank fish for a dish', body: Brief, answer: refTo(LineUp) }) },
    '/api/stand-ins': { post: operation({ summary: 'Find stand-ins for a missing fish', body: StandInsRequest, answer: refTo(StandIns) }) },
    '/api/swap-map': { post: operation({ summary: 'Which fish stand in for which in a dish', body: Brief, answer: refTo(SwapMap) }) },
    '/api/year': { post: operation({ summary: 'A dish over the year, month by month', body: Brief, answer: refTo(YearOfDish) }) },
    '/api/turning-points': {
      post: operation({ summary: 'What would change a line-up', body: TurningRequest, answer: refTo(TurningPoints) }),
    },
    '/api/pot': { post: operation({ summary: 'Several fish for one pot', body: PotRequest, answer: refTo(PotPlan) }) },
    '/api/fish-first': {
      post: operation({ summary: 'Dishes and methods for fish that were seen', body: FishFirstRequest, answer: refTo(FishFirst) }),
    },
    ...recordPaths('briefs', BriefInput, BriefRecord, 'dish'),
    ...recordPaths('prices', PriceInput, PriceRecord, 'price'),
    ...recordPaths('seasons', SeasonInput, SeasonRecord, 'year of a fish in one water'),
    ...recordPaths('stocks', StockInput, StockRecord, 'evidence on a stock'),
    ...recordPaths('merchants', MerchantInput, MerchantRecord, 'merchant'),
    ...recordPaths('rates', RateInput, RateRecord, 'rate of a currency'),
    '/api/price-lists': {
      get: operation({ summary: 'Merchants’ lists that count, the newest first', answer: listOf(PriceList) }),
      post: operation({ summary: 'Look at a merchant’s list, or keep it', body: PriceListInput, answer: refTo(PriceListReport) }),
    },
    '/api/price-lists/{id}': {
      get: operation({ summary: 'A list with its rows', answer: refTo(PriceListDetail), parameters: [id] }),
    },
    '/api/price-lists/{id}/undo': { post: operation({ summary: 'Take a list back', answer: refTo(PriceList), parameters: [id] }) },
    '/api/price-lists/{id}/restore': { post: operation({ summary: 'Put a list back', answer: refTo(PriceList), parameters: [id] }) },
    '/api/price-lists-stamp': { get: operation({ summary: 'Changes whenever lists or rates do', answer: { type: 'object' } }) },
    '/api/settled-names': {
      get: operation({ summary: 'What names on lists stand for here', answer: { type: 'array' } }),
      post: operation({
        summary: 'Settle names; lists on which they wait are read again',
        body: SettledNames,
        answer: { type: 'object' },
      }),
    },
    '/api/slab': {
      get: operation({ summary: 'What is good today, with the house’s dishes for it', answer: refTo(Slab), parameters: [date] }),
    },
    '/api/price-history/{name}': {
      get: operation({
        summary: 'The price of one fish over time',
        answer: refTo(PriceHistory),
        parameters: [{ ...id, name: 'name' }, date],
      }),
    },
    '/api/alerts': {
      get: operation({ summary: 'What happened to decisions since they were taken', answer: listOf(DecisionAlert) }),
    },
    '/api/feeds/read': { post: operation({ summary: 'Look at every feed now', answer: listOf(FeedState) }) },
    '/api/feeds': { get: operation({ summary: 'How the merchants’ feeds stand', answer: listOf(FeedState) }) },
    ...Object.fromEntries(
      (['seasons', 'stocks'] as const).flatMap((what) => [
        [
          `/api/${what}-file`,
          {
            get: operation({ summary: `The kitchen’s ${what} as CSV`, answer: { type: 'string' } }),
            post: operation({ summary: `Look at a CSV of ${what}, or keep it`, body: MarketFile, answer: refTo(MarketFileReport) }),
          },
        ],
        [
          `/api/${what}-file/undo`,
          { post: operation({ summary: 'Take such a file back', body: MarketFileUndo, answer: { type: 'object' } }) },
        ],
      ]),
    ),
    '/api/decisions': {
      get: operation({ summary: 'Decisions of the kitchen, or of one dish', answer: listOf(Decision), parameters: [briefQuery] }),
      post: operation({ summary: 'Keep a decision with the line-up behind it', body: DecisionInput, answer: refTo(Decision), status: 201 }),
    },
    '/api/decisions/{id}': {
      get: operation({ summary: 'A decision as it was made', answer: refTo(DecisionDetail), parameters: [id] }),
    },
    '/api/decisions/{id}/rerun': {
      post: operation({ summary: 'A decision run again, with what is different', answer: refTo(DecisionRerun), parameters: [id] }),
    },
    '/api/species': { get: operation({ summary: 'Every species of the book', answer: listOf(SpeciesSheet) }) },
    '/api/species/{name}': {
      get: operation({ summary: 'One species by scientific name', answer: refTo(SpeciesSheet), parameters: [{ ...id, name: 'name' }] }),
    },
    '/api/species/{name}/source': {
      get: operation({
        summary: 'One species as it is written: in the shipped book, and in the house’s hand',
        answer: { type: 'object' },
        parameters: [{ ...id, name: 'name' }],
      }),
    },
    ...recordPaths('house-species', HouseSpeciesInput, HouseSpeciesRecord, 'species in the house’s hand'),
    '/api/species-schema': { get: operation({ summary: 'JSON Schema of a species file', answer: { type: 'object' } }) },
    '/api/species-export': {
      get: operation({ summary: 'Species as a file', answer: listOf(SourceSpecies), parameters: [formatQuery, whatQuery] }),
    },
    '/api/species-import': {
      post: operation({ summary: 'Bring a file of species in', body: SpeciesImport, answer: refTo(SpeciesImportReport) }),
    },
    '/api/species-import/{id}/undo': {
      post: operation({ summary: 'Take an import back', answer: { type: 'object' }, parameters: [id] }),
    },
    '/api/offers': {
      get: operation({ summary: 'The offers of a day with their snapshot', answer: refTo(OfferSheet), parameters: [date] }),
    },
    '/api/absences': {
      get: operation({ summary: 'Fish the kitchen does without, standing or not long over', answer: listOf(Absence) }),
      post: operation({
        summary: 'Mark a fish missing and move its dishes, all or none',
        body: AbsenceInput,
        answer: refTo(Absence),
        status: 201,
      }),
    },
    '/api/absences/plan': {
      post: operation({ summary: 'What each dish would take instead', body: AbsencePlanRequest, answer: refTo(AbsencePlan) }),
    },
    '/api/absences/{id}/end': {
      post: operation({ summary: 'The fish is there again; dishes stay as they are', answer: refTo(Absence), parameters: [id] }),
    },
    '/api/absences/{id}/undo': {
      post: operation({ summary: 'Take an absence back with every dish it moved', answer: refTo(AbsenceUndo), parameters: [id] }),
    },
    '/api/cover-card': {
      get: operation({
        summary: 'Dishes, fish, ladders and what the covers hang on',
        answer: refTo(CoverCard),
        parameters: [fromDay, toDay],
      }),
    },
    '/api/leanings': {
      get: operation({ summary: 'How the house leans', answer: refTo(LeaningsRecord) }),
      put: operation({ summary: 'Set how the house leans', body: LeaningsInput, answer: refTo(LeaningsRecord), parameters: [ifMatch] }),
    },
    '/api/kitchens': { get: operation({ summary: 'The kitchens kept here', answer: listOf(Kitchen) }) },
    '/api/kitchen': {
      get: operation({ summary: 'The kitchen one stands in', answer: refTo(Kitchen) }),
      put: operation({ summary: 'Walk into another kitchen', body: KitchenSwitch, answer: refTo(Kitchen) }),
    },
    '/api/health': { get: operation({ summary: 'Whether application and database answer', answer: { type: 'object' } }) },
  },
  components: { schemas: named },
})
