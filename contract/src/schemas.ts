import { Type, type Static } from '@sinclair/typebox'
import { YearOfDish } from './year.ts'
import { Absence, AbsenceInput, AbsencePlan, AbsencePlanRequest, AbsenceUndo } from './absences.ts'
import { BuySheet } from './buySheet.ts'
import { PurchaseInput, PurchaseRecord } from './purchases.ts'
import { PairingCode, Phones } from './phones.ts'
import { RestUseInput, RestUseRecord } from './restUses.ts'
import { Conducted, ConductRequest } from './conduct.ts'
import { Cold, ColdRequest } from './cold.ts'
import { Freshness, FreshnessRequest } from './freshness.ts'
import { LookInput, LookRecord } from './looks.ts'
import { ColdPlaceInput, ColdPlaceRecord, ColdReading, LotInput, LotRecord, ReadingsInput } from './lots.ts'
import { CoverCard } from './coverCard.ts'
import { Amounts, AmountsRequest } from './amounts.ts'
import { Cook, CookRequest } from './cook.ts'
import {
  AfterService,
  EntriesInput,
  EntryHistory,
  EntryLine,
  EntryPage,
  HouseBookFile,
  HouseBookReport,
  HouseBookUndo,
  HouseLearnt,
  LookBack,
  PhotoInput,
  SetAsideInput,
} from './houseBook.ts'
import { Learnt, LearnRequest } from './learn.ts'
import { RunCalendarRequest } from './runSheet.ts'
import { Brief, Recipe, StandInsRequest } from './brief.ts'
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
  DishInput,
  DishRecord,
  ServingInput,
  ServingRecord,
  HouseSpeciesInput,
  HouseSpeciesRecord,
  Kitchen,
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
import { FindRequest, FishFirst, FishFirstRequest, FoundNames, PotPlan, PotRequest, TurningPoints, TurningRequest } from './studies.ts'

import { closed, IsoDate, nullable, Text } from './schemaParts.ts'
import { SettledName } from './merchants.ts'

/** How many rows an undo changed. */
export const Changed = closed({ changed: Type.Integer({ minimum: 0 }) }, { $id: 'Changed' })
export type Changed = Static<typeof Changed>

/** How many waiting lists were read again. */
export const ReadAgain = closed({ lists: Type.Integer({ minimum: 0 }) }, { $id: 'ReadAgain' })
export type ReadAgain = Static<typeof ReadAgain>

/** One species as it is written: in the shipped book, and in the house's hand. */
export const SpeciesSource = closed({ shipped: nullable(SourceSpecies), house: nullable(HouseSpeciesRecord) }, { $id: 'SpeciesSource' })
export type SpeciesSource = Static<typeof SpeciesSource>

/** The name of the offers of a day: whoever has it need not fetch them again. */
export const SheetName = closed({ date: IsoDate, snapshot: Text(80) }, { $id: 'SheetName' })
export type SheetName = Static<typeof SheetName>

/** Whether application and database answer. */
export const Health = closed({ status: Text(20), engineVersion: Text(20) }, { $id: 'Health' })
export type Health = Static<typeof Health>

/** A file for people or for a spreadsheet. */
export const FileText = Type.String({ $id: 'FileText' })
export type FileText = Static<typeof FileText>

/** A JSON Schema. */
export const AnySchema = Type.Unknown({ $id: 'AnySchema' })

/** Every shape that goes over the wire, under the name it has in OpenAPI. */
export const schemas = {
  Recipe,
  DishInput,
  DishRecord,
  Absence,
  AbsenceInput,
  AbsencePlan,
  AbsencePlanRequest,
  AbsenceUndo,
  AnySchema,
  Brief,
  BuySheet,
  PairingCode,
  Phones,
  PurchaseInput,
  PurchaseRecord,
  RestUseInput,
  RestUseRecord,
  ServingInput,
  ServingRecord,
  Changed,
  CoverCard,
  Decision,
  DecisionAlert,
  DecisionDetail,
  DecisionInput,
  DecisionRerun,
  FeedState,
  FileText,
  FishFirst,
  FishFirstRequest,
  FindRequest,
  FoundNames,
  Health,
  HouseSpeciesInput,
  HouseSpeciesRecord,
  Kitchen,
  LeaningsInput,
  LeaningsRecord,
  LineUp,
  LookInput,
  LookRecord,
  LotInput,
  LotRecord,
  MarketFile,
  MarketFileReport,
  MarketFileUndo,
  MerchantInput,
  MerchantRecord,
  OfferSheet,
  PotPlan,
  PotRequest,
  Amounts,
  AmountsRequest,
  Cook,
  CookRequest,
  Learnt,
  LearnRequest,
  AfterService,
  EntriesInput,
  EntryHistory,
  EntryLine,
  EntryPage,
  HouseBookFile,
  HouseBookReport,
  HouseBookUndo,
  HouseLearnt,
  LookBack,
  PhotoInput,
  SetAsideInput,
  RunCalendarRequest,
  Cold,
  ColdPlaceInput,
  ColdPlaceRecord,
  ColdReading,
  ColdRequest,
  Conducted,
  ConductRequest,
  Freshness,
  FreshnessRequest,
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
  ReadAgain,
  ReadingsInput,
  SeasonInput,
  SeasonRecord,
  SettledName,
  SettledNames,
  SheetName,
  Slab,
  SourceSpecies,
  SpeciesImport,
  SpeciesImportReport,
  SpeciesSheet,
  SpeciesSource,
  StandIns,
  StandInsRequest,
  StockInput,
  StockRecord,
  SwapMap,
  TurningPoints,
  TurningRequest,
  YearOfDish,
}
export type Shapes = { readonly [Name in keyof typeof schemas]: Static<(typeof schemas)[Name]> }
export type ShapeName = keyof Shapes
