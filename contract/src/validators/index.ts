import type { Static, TSchema } from '@sinclair/typebox'
import { Ajv, type ValidateFunction } from 'ajv'
import formats from 'ajv-formats'
import { AbsenceInput, AbsencePlan, AbsencePlanRequest } from '../absences.ts'
import { Amounts, AmountsRequest } from '../amounts.ts'
import { Cook, CookRequest } from '../cook.ts'
import { Learnt, LearnRequest } from '../learn.ts'
import { Brief, StandInsRequest } from '../brief.ts'
import { BuySheet } from '../buySheet.ts'
import { Conducted, ConductRequest } from '../conduct.ts'
import { Cold, ColdRequest } from '../cold.ts'
import { Freshness, FreshnessRequest } from '../freshness.ts'
import { CoverCard } from '../coverCard.ts'
import { DecisionDetail, DecisionInput, DecisionRerun } from '../decisions.ts'
import { LineUp } from '../lineUp.ts'
import {
  MarketFile,
  MarketFileUndo,
  MerchantInput,
  PriceListDetail,
  PriceListInput,
  PriceListReport,
  RateInput,
  SettledNames,
} from '../merchants.ts'
import { DecisionAlert, PriceHistory, Slab } from '../marketDay.ts'
import { OfferSheet, ResolvedOffer } from '../offer.ts'
import type { Problem, Result } from '../problems.ts'
import { ServingInput, HouseSpeciesInput, LeaningsInput, PriceInput, SeasonInput, SpeciesImport, StockInput } from '../records.ts'
import { SourceSpecies } from '../sourceSpecies.ts'
import { SpeciesSheet } from '../species.ts'
import { StandIns, SwapMap } from '../standIns.ts'
import { FindRequest, FishFirst, FishFirstRequest, FoundNames, PotPlan, PotRequest, TurningPoints, TurningRequest } from '../studies.ts'
import { YearOfDish } from '../year.ts'
import { toProblems } from './toProblems.ts'

// The package is CommonJS: depending on the loader its function is the module or its default.
const addFormats = (typeof formats === 'function' ? formats : (formats as { default: unknown }).default) as (ajv: Ajv) => void

/** A compiler of its own for each schema: schemas hold each other with their ids, and one compiler would refuse an id it met before. */
function compile(schema: TSchema): ValidateFunction {
  const ajv = new Ajv({ allErrors: true, strictTypes: false, allowUnionTypes: true })
  addFormats(ajv)
  return ajv.compile(schema)
}

const compiled = new WeakMap<TSchema, ValidateFunction>()

/** The validator of a schema, compiled at first use (a command that reads one brief should not pay for every schema) and once for whoever asks. */
function findValidator(schema: TSchema): ValidateFunction {
  const validate = compiled.get(schema) ?? compile(schema)
  compiled.set(schema, validate)
  return validate
}

/** Makes a parser for a schema: unknown in, a typed value or every problem with its place out. */
export function createParser<S extends TSchema>(schema: S): (input: unknown) => Result<Static<S>, readonly Problem[]> {
  return (input) => {
    const validate = findValidator(schema)
    return validate(input) ? { ok: true, value: input as Static<S> } : { ok: false, error: toProblems(validate.errors) }
  }
}

export const parseBrief = createParser(Brief)
export const parseStandInsRequest = createParser(StandInsRequest)
export const parseTurningRequest = createParser(TurningRequest)
export const parsePotRequest = createParser(PotRequest)
export const parseAmountsRequest = createParser(AmountsRequest)
export const parseCookRequest = createParser(CookRequest)
export const parseLearnt = createParser(Learnt)
export const parseLearnRequest = createParser(LearnRequest)
export const parseCook = createParser(Cook)
export const parseConducted = createParser(Conducted)
export const parseConductRequest = createParser(ConductRequest)
export const parseCold = createParser(Cold)
export const parseColdRequest = createParser(ColdRequest)
export const parseFreshness = createParser(Freshness)
export const parseFreshnessRequest = createParser(FreshnessRequest)
export const parseAmounts = createParser(Amounts)
export const parseFishFirstRequest = createParser(FishFirstRequest)
export const parseFindRequest = createParser(FindRequest)
export const parseFoundNames = createParser(FoundNames)
export const parseTurningPoints = createParser(TurningPoints)
export const parsePotPlan = createParser(PotPlan)
export const parseFishFirst = createParser(FishFirst)
export const parseAbsencePlanRequest = createParser(AbsencePlanRequest)
export const parseAbsencePlan = createParser(AbsencePlan)
export const parseBuySheet = createParser(BuySheet)
export const parseCoverCard = createParser(CoverCard)
export const parseAbsenceInput = createParser(AbsenceInput)
export const parseYearOfDish = createParser(YearOfDish)
export const parseMerchantInput = createParser(MerchantInput)
export const parseSettledNames = createParser(SettledNames)
export const parseSlab = createParser(Slab)
export const parsePriceHistory = createParser(PriceHistory)
export const parseDecisionAlert = createParser(DecisionAlert)
export const parseMarketFile = createParser(MarketFile)
export const parseMarketFileUndo = createParser(MarketFileUndo)
export const parseRateInput = createParser(RateInput)
export const parsePriceListInput = createParser(PriceListInput)
export const parsePriceListReport = createParser(PriceListReport)
export const parsePriceListDetail = createParser(PriceListDetail)
export const parseSeasonInput = createParser(SeasonInput)
export const parseStockInput = createParser(StockInput)
export const parseServingInput = createParser(ServingInput)
export const parsePriceInput = createParser(PriceInput)
export const parseHouseSpeciesInput = createParser(HouseSpeciesInput)
export const parseSpeciesImport = createParser(SpeciesImport)
export const parseSourceSpecies = createParser(SourceSpecies)
export const parseDecisionInput = createParser(DecisionInput)
export const parseDecisionDetail = createParser(DecisionDetail)
export const parseDecisionRerun = createParser(DecisionRerun)
export const parseLeaningsInput = createParser(LeaningsInput)
export const parseResolvedOffer = createParser(ResolvedOffer)
export const parseOfferSheet = createParser(OfferSheet)
export const parseSpeciesSheet = createParser(SpeciesSheet)
export const parseLineUp = createParser(LineUp)
export const parseStandIns = createParser(StandIns)
export const parseSwapMap = createParser(SwapMap)
export { escapePointer } from '../pointer.ts'
export { toProblems }
