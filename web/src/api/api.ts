import { createApi, fetchBaseQuery, retry } from '@reduxjs/toolkit/query/react'
import type {
  Absence,
  AbsenceInput,
  AbsencePlan,
  AbsencePlanRequest,
  AbsenceUndo,
  BriefInput,
  BriefRecord,
  CoverCard,
  Decision,
  DecisionAlert,
  DecisionDetail,
  DecisionInput,
  DecisionRerun,
  FeedState,
  HouseSpeciesInput,
  HouseSpeciesRecord,
  Kitchen,
  LeaningsInput,
  LeaningsRecord,
  MarketFile,
  MarketFileReport,
  MarketFileUndo,
  MerchantInput,
  MerchantRecord,
  PriceHistory,
  PriceInput,
  PriceList,
  PriceListDetail,
  PriceListInput,
  PriceListReport,
  PriceRecord,
  ProblemDetails,
  RateInput,
  RateRecord,
  SeasonInput,
  SeasonRecord,
  SettledName,
  Slab,
  SourceSpecies,
  SpeciesImport,
  SpeciesImportReport,
  StockInput,
  StockRecord,
} from '@tender-gill/contract'

/** Reads are tried again for a while when the server or its database is away; writes never are, so that nothing is kept twice. */
const baseQuery = retry(fetchBaseQuery({ baseUrl: '/api' }), {
  retryCondition: (error, { type }, { attempt }) => {
    const status = (error as { status?: number | string }).status
    return type === 'query' && attempt < 4 && (status === 'FETCH_ERROR' || status === 503)
  },
})

interface Change<Input> {
  readonly id: string
  readonly revision: number
  readonly input: Input
}
const ifMatch = (revision: number) => ({ 'If-Match': `"${revision}"` })

/** One species as it is written: in the shipped book, and in the house's hand. */
export interface SpeciesSource {
  readonly shipped: SourceSpecies | null
  readonly house: HouseSpeciesRecord | null
}

/** Tag of the list of dishes, beside the tags of each dish. */
const LIST = 'list'

export const api = createApi({
  baseQuery,
  tagTypes: ['Brief', 'Price', 'Kitchen', 'House', 'Decision', 'Absence', 'Year', 'Stock', 'Merchant', 'List'],
  refetchOnReconnect: true,
  endpoints: (build) => ({
    kitchens: build.query<readonly Kitchen[], void>({ query: () => 'kitchens' }),
    kitchen: build.query<Kitchen, void>({ query: () => 'kitchen', providesTags: ['Kitchen'] }),
    switchKitchen: build.mutation<Kitchen, string>({
      query: (id) => ({ url: 'kitchen', method: 'PUT', body: { id } }),
      invalidatesTags: ['Kitchen', 'Brief', 'Price', 'House', 'Decision', 'Absence', 'Year', 'Stock', 'Merchant', 'List'],
    }),
    briefs: build.query<readonly BriefRecord[], void>({ query: () => 'briefs', providesTags: [{ type: 'Brief', id: LIST }] }),
    brief: build.query<BriefRecord, string>({
      query: (id) => `briefs/${id}`,
      providesTags: (_record, _error, id) => [{ type: 'Brief', id }],
    }),
    createBrief: build.mutation<BriefRecord, BriefInput>({
      query: (body) => ({ url: 'briefs', method: 'POST', body }),
      invalidatesTags: ['Brief'],
    }),
    saveBrief: build.mutation<BriefRecord, Change<BriefInput>>({
      query: ({ id, revision, input }) => ({ url: `briefs/${id}`, method: 'PUT', body: input, headers: ifMatch(revision) }),
      // Whoever saves puts the answer in place of the record; only the list is fetched again, unless the save was refused.
      invalidatesTags: (_record, error) => (error ? ['Brief'] : [{ type: 'Brief', id: LIST }]),
    }),
    removeBrief: build.mutation<BriefRecord, { id: string; revision: number }>({
      query: ({ id, revision }) => ({ url: `briefs/${id}`, method: 'DELETE', headers: ifMatch(revision) }),
      invalidatesTags: ['Brief'],
    }),
    restoreBrief: build.mutation<BriefRecord, string>({
      query: (id) => ({ url: `briefs/${id}/restore`, method: 'POST' }),
      invalidatesTags: ['Brief'],
    }),
    prices: build.query<readonly PriceRecord[], void>({ query: () => 'prices', providesTags: ['Price'] }),
    createPrice: build.mutation<PriceRecord, PriceInput>({
      query: (body) => ({ url: 'prices', method: 'POST', body }),
      invalidatesTags: ['Price'],
    }),
    removePrice: build.mutation<PriceRecord, { id: string; revision: number }>({
      query: ({ id, revision }) => ({ url: `prices/${id}`, method: 'DELETE', headers: ifMatch(revision) }),
      invalidatesTags: ['Price'],
    }),
    seasons: build.query<readonly SeasonRecord[], void>({ query: () => 'seasons', providesTags: ['Year'] }),
    createSeason: build.mutation<SeasonRecord, SeasonInput>({
      query: (body) => ({ url: 'seasons', method: 'POST', body }),
      invalidatesTags: ['Year'],
    }),
    saveSeason: build.mutation<SeasonRecord, Change<SeasonInput>>({
      query: ({ id, revision, input }) => ({ url: `seasons/${id}`, method: 'PUT', body: input, headers: ifMatch(revision) }),
      invalidatesTags: ['Year'],
    }),
    removeSeason: build.mutation<SeasonRecord, { id: string; revision: number }>({
      query: ({ id, revision }) => ({ url: `seasons/${id}`, method: 'DELETE', headers: ifMatch(revision) }),
      invalidatesTags: ['Year'],
    }),
    restoreSeason: build.mutation<SeasonRecord, string>({
      query: (id) => ({ url: `seasons/${id}/restore`, method: 'POST' }),
      invalidatesTags: ['Year'],
    }),
    stocks: build.query<readonly StockRecord[], void>({ query: () => 'stocks', providesTags: ['Stock'] }),
    createStock: build.mutation<StockRecord, StockInput>({
      query: (body) => ({ url: 'stocks', method: 'POST', body }),
      invalidatesTags: ['Stock'],
    }),
    saveStock: build.mutation<StockRecord, Change<StockInput>>({
      query: ({ id, revision, input }) => ({ url: `stocks/${id}`, method: 'PUT', body: input, headers: ifMatch(revision) }),
      invalidatesTags: ['Stock'],
    }),
    removeStock: build.mutation<StockRecord, { id: string; revision: number }>({
      query: ({ id, revision }) => ({ url: `stocks/${id}`, method: 'DELETE', headers: ifMatch(revision) }),
      invalidatesTags: ['Stock'],
    }),
    restoreStock: build.mutation<StockRecord, string>({
      query: (id) => ({ url: `stocks/${id}/restore`, method: 'POST' }),
      invalidatesTags: ['Stock'],
    }),
    houseSpecies: build.query<readonly HouseSpeciesRecord[], void>({ query: () => 'house-species', providesTags: ['House'] }),
    speciesSource: build.query<SpeciesSource, string>({
      query: (name) => `species/${encodeURIComponent(name)}/source`,
      providesTags: ['House'],
    }),
    createHouseSpecies: build.mutation<HouseSpeciesRecord, HouseSpeciesInput>({
      query: (body) => ({ url: 'house-species', method: 'POST', body }),
      invalidatesTags: ['House'],
    }),
    saveHouseSpecies: build.mutation<HouseSpeciesRecord, Change<HouseSpeciesInput>>({
      query: ({ id, revision, input }) => ({ url: `house-species/${id}`, method: 'PUT', body: input, headers: ifMatch(revision) }),
      invalidatesTags: ['House'],
    }),
    removeHouseSpecies: build.mutation<HouseSpeciesRecord, { id: string; revision: number }>({
      query: ({ id, revision }) => ({ url: `house-species/${id}`, method: 'DELETE', headers: ifMatch(revision) }),
      invalidatesTags: ['House'],
    }),
    restoreHouseSpecies: build.mutation<HouseSpeciesRecord, string>({
      query: (id) => ({ url: `house-species/${id}/restore`, method: 'POST' }),
      invalidatesTags: ['House'],
    }),
    importSpecies: build.mutation<SpeciesImportReport, SpeciesImport>({
      query: (body) => ({ url: 'species-import', method: 'POST', body }),
      invalidatesTags: (report) => (report?.importId ? ['House'] : []),
    }),
    undoImport: build.mutation<{ rows: number }, string>({
      query: (id) => ({ url: `species-import/${id}/undo`, method: 'POST' }),
      invalidatesTags: ['House'],
    }),
    decisions: build.query<readonly Decision[], string>({
      query: (brief) => `decisions?brief=${encodeURIComponent(brief)}`,
      providesTags: ['Decision'],
    }),
    decision: build.query<DecisionDetail, string>({ query: (id) => `decisions/${id}` }),
    decide: build.mutation<Decision, DecisionInput>({
      query: (body) => ({ url: 'decisions', method: 'POST', body }),
      invalidatesTags: ['Decision'],
    }),
    rerunDecision: build.mutation<DecisionRerun, string>({ query: (id) => ({ url: `decisions/${id}/rerun`, method: 'POST' }) }),
    leanings: build.query<LeaningsRecord, void>({ query: () => 'leanings', providesTags: ['House'] }),
    saveLeanings: build.mutation<LeaningsRecord, { revision: number; input: LeaningsInput }>({
      query: ({ revision, input }) => ({ url: 'leanings', method: 'PUT', body: input, headers: ifMatch(revision) }),
      invalidatesTags: ['House'],
    }),
    absences: build.query<readonly Absence[], void>({ query: () => 'absences', providesTags: ['Absence'] }),
    // Planning keeps nothing: it is a question, although it needs a body.
    absencePlan: build.query<AbsencePlan, AbsencePlanRequest>({
      query: (body) => ({ url: 'absences/plan', method: 'POST', body }),
      providesTags: ['Absence', 'Brief', 'Price', 'House'],
    }),
    markAbsent: build.mutation<Absence, AbsenceInput>({
      query: (body) => ({ url: 'absences', method: 'POST', body }),
      // A dish that was changed meanwhile is fetched again as well.
      invalidatesTags: ['Absence', 'Brief', 'Decision'],
    }),
    endAbsence: build.mutation<Absence, string>({
      query: (id) => ({ url: `absences/${id}/end`, method: 'POST' }),
      invalidatesTags: ['Absence'],
    }),
    undoAbsence: build.mutation<AbsenceUndo, string>({
      query: (id) => ({ url: `absences/${id}/undo`, method: 'POST' }),
      invalidatesTags: ['Absence', 'Brief', 'Decision'],
    }),
    coverCard: build.query<CoverCard, { from: string; to: string }>({
      query: ({ from, to }) => `cover-card?from=${from}&to=${to}`,
      providesTags: ['Absence', 'Brief', 'Price', 'House'],
    }),
    merchants: build.query<readonly MerchantRecord[], void>({ query: () => 'merchants', providesTags: ['Merchant'] }),
    createMerchant: build.mutation<MerchantRecord, MerchantInput>({
      query: (body) => ({ url: 'merchants', method: 'POST', body }),
      invalidatesTags: ['Merchant'],
    }),
    saveMerchant: build.mutation<MerchantRecord, Change<MerchantInput>>({
      query: ({ id, revision, input }) => ({ url: `merchants/${id}`, method: 'PUT', body: input, headers: ifMatch(revision) }),
      invalidatesTags: ['Merchant'],
    }),
    removeMerchant: build.mutation<MerchantRecord, { id: string; revision: number }>({
      query: ({ id, revision }) => ({ url: `merchants/${id}`, method: 'DELETE', headers: ifMatch(revision) }),
      invalidatesTags: ['Merchant'],
    }),
    restoreMerchant: build.mutation<MerchantRecord, string>({
      query: (id) => ({ url: `merchants/${id}/restore`, method: 'POST' }),
      invalidatesTags: ['Merchant'],
    }),
    rates: build.query<readonly RateRecord[], void>({ query: () => 'rates', providesTags: ['List'] }),
    createRate: build.mutation<RateRecord, RateInput>({
      query: (body) => ({ url: 'rates', method: 'POST', body }),
      invalidatesTags: ['List'],
    }),
    removeRate: build.mutation<RateRecord, { id: string; revision: number }>({
      query: ({ id, revision }) => ({ url: `rates/${id}`, method: 'DELETE', headers: ifMatch(revision) }),
      invalidatesTags: ['List'],
    }),
    priceLists: build.query<readonly PriceList[], void>({ query: () => 'price-lists', providesTags: ['List'] }),
    priceListsStamp: build.query<{ stamp: string }, void>({ query: () => 'price-lists-stamp', providesTags: ['List'] }),
    priceList: build.query<PriceListDetail, string>({ query: (id) => `price-lists/${id}`, providesTags: ['List'] }),
    bringList: build.mutation<PriceListReport, PriceListInput>({
      query: (body) => ({ url: 'price-lists', method: 'POST', body }),
      invalidatesTags: (report) => (report?.list ? ['List', 'Merchant'] : []),
    }),
    takeListBack: build.mutation<PriceList, string>({
      query: (id) => ({ url: `price-lists/${id}/undo`, method: 'POST' }),
      invalidatesTags: ['List'],
    }),
    putListBack: build.mutation<PriceList, string>({
      query: (id) => ({ url: `price-lists/${id}/restore`, method: 'POST' }),
      invalidatesTags: ['List'],
    }),
    settleNames: build.mutation<{ lists: number }, { names: readonly SettledName[] }>({
      query: (body) => ({ url: 'settled-names', method: 'POST', body }),
      invalidatesTags: ['List'],
    }),
    feeds: build.query<readonly FeedState[], void>({ query: () => 'feeds', providesTags: ['List'] }),
    readFeeds: build.mutation<readonly FeedState[], void>({
      query: () => ({ url: 'feeds/read', method: 'POST' }),
      invalidatesTags: ['List'],
    }),
    bringMarketFile: build.mutation<MarketFileReport, MarketFile & { what: 'seasons' | 'stocks' }>({
      query: ({ what, ...body }) => ({ url: `${what}-file`, method: 'POST', body }),
      invalidatesTags: (report) => (report && report.brought.length > 0 ? ['Year', 'Stock'] : []),
    }),
    undoMarketFile: build.mutation<{ changed: number }, MarketFileUndo & { what: 'seasons' | 'stocks' }>({
      query: ({ what, ...body }) => ({ url: `${what}-file/undo`, method: 'POST', body }),
      invalidatesTags: ['Year', 'Stock'],
    }),
    slab: build.query<Slab, void>({
      query: () => 'slab',
      providesTags: ['List', 'Price', 'Brief', 'Year', 'Stock', 'House', 'Absence', 'Merchant'],
    }),
    priceHistory: build.query<PriceHistory, string>({
      query: (species) => `price-history/${encodeURIComponent(species)}`,
      providesTags: ['List', 'Price', 'House'],
    }),
    alerts: build.query<readonly DecisionAlert[], void>({
      query: () => 'alerts',
      providesTags: ['List', 'Price', 'Brief', 'Decision', 'Year', 'Stock', 'House', 'Absence'],
    }),
    health: build.query<{ status: string }, void>({ query: () => 'health', extraOptions: { maxRetries: 0 } }),
  }),
})

/** The problem details of a failed call, when the server sent any. */
export function toProblemDetails(error: unknown): ProblemDetails | undefined {
  const data = (error as { data?: unknown } | undefined)?.data
  return typeof data === 'object' && data !== null && 'problems' in data ? (data as ProblemDetails) : undefined
}

export const {
  useKitchensQuery,
  useKitchenQuery,
  useSwitchKitchenMutation,
  useBriefsQuery,
  useBriefQuery,
  useCreateBriefMutation,
  useRemoveBriefMutation,
  useRestoreBriefMutation,
  usePricesQuery,
  useCreatePriceMutation,
  useRemovePriceMutation,
  useHouseSpeciesQuery,
  useSpeciesSourceQuery,
  useCreateHouseSpeciesMutation,
  useSaveHouseSpeciesMutation,
  useRemoveHouseSpeciesMutation,
  useRestoreHouseSpeciesMutation,
  useImportSpeciesMutation,
  useUndoImportMutation,
  useDecisionsQuery,
  useDecisionQuery,
  useDecideMutation,
  useRerunDecisionMutation,
  useLeaningsQuery,
  useSaveLeaningsMutation,
  useAbsencesQuery,
  useAbsencePlanQuery,
  useMarkAbsentMutation,
  useEndAbsenceMutation,
  useUndoAbsenceMutation,
  useCoverCardQuery,
  useSeasonsQuery,
  useCreateSeasonMutation,
  useSaveSeasonMutation,
  useRemoveSeasonMutation,
  useRestoreSeasonMutation,
  useStocksQuery,
  useCreateStockMutation,
  useSaveStockMutation,
  useRemoveStockMutation,
  useRestoreStockMutation,
  useMerchantsQuery,
  useCreateMerchantMutation,
  useSaveMerchantMutation,
  useRemoveMerchantMutation,
  useRestoreMerchantMutation,
  useRatesQuery,
  useCreateRateMutation,
  useRemoveRateMutation,
  usePriceListsQuery,
  usePriceListsStampQuery,
  usePriceListQuery,
  useBringListMutation,
  useTakeListBackMutation,
  usePutListBackMutation,
  useSettleNamesMutation,
  useFeedsQuery,
  useReadFeedsMutation,
  useBringMarketFileMutation,
  useUndoMarketFileMutation,
  useSlabQuery,
  usePriceHistoryQuery,
  useAlertsQuery,
  useHealthQuery,
} = api
