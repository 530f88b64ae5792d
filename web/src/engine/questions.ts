import type {
  Amounts,
  AmountsRequest,
  Brief,
  FishFirst,
  LineUp,
  PortionCost,
  PotPlan,
  ResolvedOffer,
  ServingRecord,
  StandIns,
  TakenFish,
} from '@tender-gill/contract'
import type { AskedPrice, FoodCost, PotOptions } from '@tender-gill/core'
import type { SheetRef } from './sheetRef.ts'

/** Whether only what can be bought answers: as said, or where nothing was said, wherever the kitchen has prices. */
export type OnlyOffered = boolean | 'where-there-are-lists'

export interface Leader {
  readonly common: string
  readonly fit: number
  readonly offerId: string
  readonly count: number
}
/** A price typed in before it is kept, for a kilogram. */
export interface TypedPrice {
  readonly perKg: number
  readonly currency: string
}
export interface AmountRequest {
  readonly brief: Brief
  readonly species: string
  readonly offerId: string
  readonly form: ResolvedOffer['forms'][number]['form']
  readonly typed: TypedPrice | null
  /** How it is sold, the chance that is taken, and what is there already. */
  readonly how: Pick<AmountsRequest, 'shortChance' | 'grade' | 'stepG' | 'packG' | 'haveG'>
}
export interface ShownAmount {
  /** The fish as a share of the menu price; null where that is not set, or no price is known. */
  readonly foodCost: FoodCost | null
  readonly amounts: Amounts
  readonly portionCost: PortionCost | null
}

/** What is asked for a fish at the counter, and what would be bought instead. */
export interface AskedAtCounter extends Omit<AskedPrice, 'rung' | 'portionKg'> {
  readonly rung: { readonly common: string; readonly offerId: string; readonly form: TakenFish['form'] } | null
}

/** Fish first, with the dishes that were asked for it and those whose brief has a mistake. */
export interface FishFirstShown {
  readonly answer: FishFirst
  readonly records: readonly ServingRecord[]
  readonly mistaken: readonly ServingRecord[]
}

export interface LineUpRequest {
  readonly shares: boolean
  readonly leftOut: boolean
  /** How many rows to send. */
  readonly rows: number
  /** Whether only what can be bought answers; all of the book does where nothing is said. */
  readonly only?: OnlyOffered
}
/** Fish that would do the dish better than the leader of what can be bought, and that nobody offers. */
export interface Unoffered {
  readonly count: number
  /** The best of them. */
  readonly best: string
}
export interface ShownLineUp {
  readonly lineUp: LineUp
  /** How many fish can do the dish, sent or not. */
  readonly able: number
  /** The draws were left before their end: there are no shares. */
  readonly left: boolean
  /** Only what can be bought answered. */
  readonly onlyOffered: boolean
  /** Species that can be bought. */
  readonly offered: number
  /** Told with what was left out; null where nobody is fitter. */
  readonly unoffered: Unoffered | null
}

export interface FishFirstOptions {
  readonly only?: OnlyOffered
  /** The offers of the days on which dishes are served; a dish of no such day is answered from the sheet of the question. */
  readonly ofDays?: ReadonlyMap<string, SheetRef>
}

/** Stand-ins, and of what they are chosen. */
export interface ShownStandIns {
  readonly standIns: StandIns
  readonly onlyOffered: boolean
  /** Species that can be bought. */
  readonly offered: number
}

/** How many fish go into a pot, and which of them a hand put in or took out. */
export type PotPlaces = Omit<PotOptions, 'today'>

export interface ShownPot {
  readonly plan: PotPlan
  readonly onlyOffered: boolean
  /** Species that can be bought. */
  readonly offered: number
}
