import type * as Told from '@tender-gill/contract'
import type { Untold } from '@tender-gill/contract'

/* What the engine answers and reads back: the shapes of the contract, with facts in the place of sentences. */

export type AbsenceDish = Untold<Told.AbsenceDish>
export type AbsencePlan = Untold<Told.AbsencePlan>
export type Cook = Untold<Told.Cook>
export type PrepareWindow = Untold<Told.PrepareWindow>
export type Cold = Untold<Told.Cold>
export type Freshness = Untold<Told.Freshness>
export type Caution = Untold<Told.Caution>
export type Change = Untold<Told.Change>
export type BuyLine = Untold<Told.BuyLine>
export type BuyOrder = Untold<Told.BuyOrder>
export type BuySheet = Untold<Told.BuySheet>
export type PurchaseRecord = Untold<Told.PurchaseRecord>
export type CoverCard = Untold<Told.CoverCard>
export type CoverHang = Untold<Told.CoverHang>
export type CoverRow = Untold<Told.CoverRow>
export type DecisionAlert = Untold<Told.DecisionAlert>
export type DishForSeen = Untold<Told.DishForSeen>
export type FishFirst = Untold<Told.FishFirst>
export type LeftOutFish = Untold<Told.LeftOutFish>
export type LineUp = Untold<Told.LineUp>
export type MethodForSeen = Untold<Told.MethodForSeen>
export type NormalisedAsk = Untold<Told.NormalisedAsk>
export type NormalisedAsks = Untold<Told.NormalisedAsks>
export type NormalisedBrief = Untold<Told.NormalisedBrief>
export type PointsLost = Untold<Told.PointsLost>
export type FormCompared = Untold<Told.FormCompared>
export type PartCompared = Untold<Told.PartCompared>
export type PartsCompared = Untold<Told.PartsCompared>
export type Amounts = Untold<Told.Amounts>
export type Pot = Untold<Told.Pot>
export type PotPlace = Untold<Told.PotPlace>
export type PotPlan = Untold<Told.PotPlan>
export type Problem = Untold<Told.Problem>
export type RankedFish = Untold<Told.RankedFish>
export type Rung = Untold<Told.Rung>
export type SeenRow = Untold<Told.SeenRow>
export type Slab = Untold<Told.Slab>
export type SlabFish = Untold<Told.SlabFish>
export type StandIn = Untold<Told.StandIn>
export type StandIns = Untold<Told.StandIns>
export type SwapFish = Untold<Told.SwapFish>
export type SwapMap = Untold<Told.SwapMap>
export type Tempting = Untold<Told.Tempting>
export type TurningPoint = Untold<Told.TurningPoint>
export type TurningPoints = Untold<Told.TurningPoints>
