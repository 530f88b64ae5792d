export {
  ABSENCE_REASONS,
  Absence,
  AbsenceDish,
  AbsenceInput,
  AbsenceMove,
  AbsencePlan,
  AbsencePlanRequest,
  AbsenceUndo,
  Hold,
  Supply,
  SupplyUse,
  type AbsenceReason,
} from './absences.ts'
export * from './vocabulary.ts'
export { Cold, ColdRequest, ColdStretch, Journey } from './cold.ts'
export { Freshness, FreshnessRequest, SeenSigns, SignRow } from './freshness.ts'
export { Conducted, ConductRequest } from './conduct.ts'
export { Look, LookInput, LookRecord } from './looks.ts'
export {
  ColdPlace,
  ColdPlaceInput,
  ColdPlaceRecord,
  ColdReading,
  Freezing,
  Lot,
  LOT_STATES,
  LotInput,
  LotRecord,
  PLACE_KINDS,
  ReadingsInput,
  Stay,
  type LotState,
  type PlaceKind,
} from './lots.ts'
export {
  AfterService,
  EntriesInput,
  Entry,
  EntryAct,
  EntryHistory,
  EntryLine,
  EntryPage,
  HouseBookFile,
  HouseBookReport,
  HouseBookUndo,
  HouseLearnt,
  LookBack,
  ServedDish,
  SetAsideInput,
  type EntryActKind,
} from './houseBook.ts'
export { LearnEvent, Learnt, LearntMerchant, LearnRequest } from './learn.ts'
export { RunCalendarRequest } from './runSheet.ts'
export { Cook, CookedStage, CookMoment, CookRequest, CookStage, PrepareWindow } from './cook.ts'
export { Amounts, AmountsRequest, FormCompared, PartCompared, PartsCompared } from './amounts.ts'
export { AskInput, Asks, Brief, Diners, HouseLeanings, OfferChoice, Recipe, StandInsRequest } from './brief.ts'
export {
  AskStanding,
  Caution,
  LeftOutFish,
  LineUp,
  NormalisedAsk,
  NormalisedBrief,
  Opening,
  PointsLost,
  PortionCost,
  RankedFish,
  type NormalisedAsks,
} from './lineUp.ts'
export { Market, Price, Season, Stock, StockStanding } from './market.ts'
export {
  BasedRange,
  HouseSwap,
  LearntFrom,
  Listing,
  OfferForm,
  OfferSheet,
  ResolvedOffer,
  ResolvedPrice,
  ResolvedSeason,
  type Range,
} from './offer.ts'
export { BuyLine, BuyOrder, BuyServing, BuySheet, BuyStandIn, ORDER_STATES, PRICE_LIMITS, type OrderState } from './buySheet.ts'
export { RestUse, RestUseInput, RestUseRecord } from './restUses.ts'
export { PairingCode, Phone, Phones } from './phones.ts'
export { Purchase, PURCHASE_STATES, PurchaseInput, PurchaseRecord, type PurchaseState } from './purchases.ts'
export { CoverCard, CoverHang, CoverRow, CoverRung } from './coverCard.ts'
export { Decision, DecisionDetail, DecisionInput, DecisionRerun, LineUpDifference, Moved } from './decisions.ts'
export { buildOpenApi, pathsOf } from './openApi.ts'
export {
  addressOf,
  ENTITIES,
  operations,
  PERMISSIONS,
  type ArgOf,
  type Entity,
  type InputOf,
  type Operation,
  type OperationName,
  type Operations,
  type OutputOf,
  type ParamsOf,
  type Permission,
  type QueryValue,
} from './operations/index.ts'
export { Changed, FileText, Health, ReadAgain, schemas, SheetName, SpeciesSource, type ShapeName, type Shapes } from './schemas.ts'
export type { Fact, FactParam, Quantity, Sentence, Term, Untold } from './facts.ts'
export { Problem, ProblemDetails, type Result } from './problems.ts'
export {
  ServingInput,
  ServingRecord,
  Beside,
  Choice,
  TakenFish,
  DishInput,
  DishRecord,
  HouseSpeciesInput,
  HouseSpeciesRecord,
  Kitchen,
  LeaningsInput,
  LeaningsRecord,
  PriceInput,
  PriceRecord,
  SeasonInput,
  SeasonRecord,
  SpeciesImport,
  SpeciesImportReport,
  StockInput,
  StockRecord,
} from './records.ts'
export {
  DishForSeen,
  FishFirst,
  FishFirstRequest,
  FindRequest,
  FoundNames,
  MethodForSeen,
  Pot,
  PotPlace,
  PotPlan,
  PotRequest,
  SeenFish,
  SeenRow,
  TurningPoint,
  TurningPoints,
  TurningRequest,
} from './studies.ts'
export { SourceOffer, SourceSpecies, type Triple } from './sourceSpecies.ts'
export { Composition, MeasuredRow, SpeciesSheet } from './species.ts'
export { Change, MissingFish, Rung, SharedCauses, StandIn, StandIns, SwapFish, SwapLink, SwapMap, Tempting } from './standIns.ts'
export {
  BadRow,
  FEED_STATES,
  FeedState,
  LIST_FIELDS,
  LIST_SOURCES,
  ListReading,
  MarketFile,
  MarketFileReport,
  MarketFileUndo,
  Merchant,
  MerchantInput,
  MerchantRecord,
  OpenName,
  PriceList,
  PriceListDetail,
  PriceListInput,
  PriceListReport,
  Rate,
  RateInput,
  RateRecord,
  SettledName,
  SettledNames,
  type ListField,
} from './merchants.ts'
export { ALERT_KINDS, DecisionAlert, OrderDay, PriceHistory, Slab, SlabDish, SlabFish, type AlertKind } from './marketDay.ts'
export { MonthOfDish, YearOfDish } from './year.ts'
