import { createApi } from '@reduxjs/toolkit/query/react'
import { ENTITIES } from '@tender-gill/contract/operations'
import type { ProblemDetails } from '@tender-gill/contract'
import { baseQuery } from './baseQuery.ts'
import { buildEndpoints } from './endpoints.ts'

/** The server as the pages see it: every operation of the contract, in the kitchen of this tab. */
export const api = createApi({
  baseQuery,
  tagTypes: ENTITIES,
  refetchOnReconnect: true,
  endpoints: buildEndpoints,
})

/** The problem details of a failed call, when the server sent any. */
export function toProblemDetails(error: unknown): ProblemDetails | undefined {
  const data = (error as { data?: unknown } | undefined)?.data
  return typeof data === 'object' && data !== null && 'problems' in data ? (data as ProblemDetails) : undefined
}

export const {
  useAbsencePlanQuery,
  useAbsencesQuery,
  useAlertsQuery,
  useServingQuery,
  useServingsQuery,
  useBuySheetQuery,
  useBringListMutation,
  useBringSeasonsFileMutation,
  useBringStocksFileMutation,
  useCoverCardQuery,
  useCreateServingMutation,
  useCreateHouseSpeciesMutation,
  useCreateMerchantMutation,
  useCreatePriceMutation,
  useCreatePurchaseMutation,
  useCreateRateMutation,
  useCreateSeasonMutation,
  useCreateStockMutation,
  useDecideMutation,
  useDecisionQuery,
  useDecisionsQuery,
  useEndAbsenceMutation,
  useFeedsQuery,
  useHealthQuery,
  useImportSpeciesMutation,
  useKitchenQuery,
  useKitchensQuery,
  useLazyRerunDecisionQuery,
  useLazySpeciesSourceQuery,
  useLeaningsQuery,
  useMarkAbsentMutation,
  useMerchantsQuery,
  usePriceHistoryQuery,
  usePriceListQuery,
  usePriceListsQuery,
  usePricesQuery,
  usePutListBackMutation,
  useRatesQuery,
  useReadFeedsMutation,
  useRemoveServingMutation,
  useRemoveHouseSpeciesMutation,
  useRemoveMerchantMutation,
  useRemovePriceMutation,
  useRemovePurchaseMutation,
  useRemoveRateMutation,
  useRemoveSeasonMutation,
  useRemoveStockMutation,
  useRestoreServingMutation,
  useRestoreHouseSpeciesMutation,
  useRestoreMerchantMutation,
  useRestorePriceMutation,
  useRestoreRateMutation,
  useRestoreSeasonMutation,
  useRestoreStockMutation,
  useSaveHouseSpeciesMutation,
  useSaveLeaningsMutation,
  useSaveMerchantMutation,
  useSavePurchaseMutation,
  useSaveSeasonMutation,
  useSaveStockMutation,
  useSeasonsQuery,
  useSettleNamesMutation,
  useSheetNameQuery,
  useSlabQuery,
  useSpeciesSourceQuery,
  useStocksQuery,
  useTakeListBackMutation,
  useUndoAbsenceMutation,
  useUndoImportMutation,
  useUndoSeasonsFileMutation,
  useUndoStocksFileMutation,
} = api
