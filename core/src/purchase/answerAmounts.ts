import type { AmountsRequest, Fact, Form, ResolvedOffer, Result } from '@tender-gill/contract'
import { countPortions, creditTrimPerKg, findPrice } from '../amounts/index.ts'
import { say, type Amounts, type NormalisedBrief, type Problem } from '../facts/index.ts'
import { describeGate } from '../gates/index.ts'
import { createBoard, findEntry } from '../lineUp/index.ts'
import { keepSpecies, type ChosenSheet } from '../market/index.ts'
import { findCautions } from '../safety/index.ts'
import { ENGINE_VERSION } from '../tables/constants.ts'
import { USES_OF_PART } from '../tables/cutMap.ts'
import { chooseGrade, suits, type GradeRange } from './grades.ts'
import { listNeverEaten } from './neverEaten.ts'
import { computeKept, listFactors, type KeptShare } from './keptShare.ts'
import { splitRest } from './restOfFish.ts'
import { computeShortChance, computeWeightForRiskG, countFed, countFishToCut, countSteps, piecesOf, USUAL_STEP_G } from './risk.ts'

/** Chance of falling short where the house says none. */
export const USUAL_SHORT_CHANCE = 0.05
/** What is just enough is not rounded up for the last bit of a double. */
const HAIR = 1e-9

/** Forms that are bought by the fish. */
export const COUNTED: ReadonlySet<Form> = new Set<Form>(['whole', 'gutted'])
type Answer<T> = Result<T, readonly Problem[]>
const refuse = (path: string, message: Fact): Answer<never> => ({ ok: false, error: [{ path, message }] })

/** Portions one fish is to serve, g on the plates, where fish come whole to the table; null where they are cut. */
const servedByOne = ({ format, wholeServes, portionG }: NormalisedBrief): number | null =>
  format === 'whole' ? (wholeServes ?? 1) * portionG : null

interface Purchase {
  readonly g: number
  readonly count: number | null
  readonly packs: number | null
  readonly grade: (GradeRange & { readonly suits: boolean | null }) | null
  /** Of what is weighed, beside that of what is kept. */
  readonly variance: number
}

const upBy = (g: number, stepG: number): number => countSteps(g, stepG) * stepG

/** What is bought for a weight: packs, whole fish by the count, or a weight in steps; rounded up, never down. */
function planPurchase(
  {
    packG,
    stepG = USUAL_STEP_G,
    grade: asked,
    shortChance = USUAL_SHORT_CHANCE,
  }: Pick<AmountsRequest, 'packG' | 'stepG' | 'grade' | 'shortChance'>,
  { offer, form, brief, kept }: { offer: ResolvedOffer; form: Form; brief: NormalisedBrief; kept: KeptShare },
  needG: number,
): Purchase {
  const weightG = computeWeightForRiskG(needG, kept, shortChance)
  if (packG !== undefined) {
    const g = upBy(weightG, packG)
    return { g, count: null, packs: Math.round(g / packG), grade: null, variance: 0 }
  }
  if (!COUNTED.has(form) && !asked) return { g: upBy(weightG, stepG), count: null, packs: null, grade: null, variance: 0 }
  const servedG = servedByOne(brief)
  const grade = asked ?? chooseGrade(offer, form, kept, servedG)
  const pieces = piecesOf(grade)
  const count =
    servedG === null ? countFishToCut(needG, pieces, kept, shortChance) : Math.ceil(countPortions(brief) / (brief.wholeServes ?? 1) - HAIR)
  return {
    g: count * pieces.eachG,
    count,
    packs: null,
    grade: { ...grade, suits: servedG === null ? null : suits(grade, servedG, kept) },
    variance: pieces.variance / count,
  }
}

export interface Measured {
  readonly offer: ResolvedOffer
  readonly form: Form
  readonly brief: NormalisedBrief
}

/** How an offer in a form is bought for a dish: needed on the plates, kept, and what is bought of it. */
export function measureAmount(
  request: Pick<AmountsRequest, 'packG' | 'stepG' | 'grade' | 'shortChance'>,
  { offer, form, brief }: Measured,
) {
  const factors = listFactors(offer, form, brief)
  const kept = computeKept(factors)
  const portions = countPortions(brief)
  const needG = portions * brief.portionG
  const weightG = computeWeightForRiskG(needG, kept, request.shortChance ?? USUAL_SHORT_CHANCE)
  return { factors, kept, portions, needG, weightG, bought: planPurchase(request, { offer, form, brief, kept }, needG) }
}

/** Portions that what is bought, or what is there, feeds; a fish that comes whole to the table feeds its eaters whatever it weighs. */
function countFeeds(
  { haveG, shortChance = USUAL_SHORT_CHANCE }: AmountsRequest,
  { g, count, grade }: Purchase,
  brief: NormalisedBrief,
  kept: KeptShare,
): number {
  if (servedByOne(brief) === null || count === null || grade === null) return countFed(haveG ?? g, brief.portionG, kept, shortChance)
  const fish = haveG === undefined ? count : Math.floor(haveG / piecesOf(grade).eachG + HAIR)
  return Math.floor(fish * (brief.wholeServes ?? 1) + HAIR)
}

/** What it costs, and an edible portion of it, less what the house credits for the rest; null where no price is known. */
function costOf(offer: ResolvedOffer, form: Form, brief: NormalisedBrief, g: number): Amounts['cost'] {
  const price = findPrice(offer, form)
  if (!price) return null
  const goods = (g / 1000) * price.perKg.typical
  const credit = (g / 1000) * creditTrimPerKg(offer, form, brief)
  return { perKg: price.perKg, currency: price.currency, goods, credit, perPortion: (goods - credit) / countPortions(brief) }
}

/**
 * How much to buy of one fish for a dish, so that it falls short with no more than a given chance: the kept share with its factors, the
 * weight, what is bought as it is sold, what that feeds, and the rest of the fish. Nothing is rounded but what is sold in steps.
 * @param request already valid by its schema   @returns the answer, or every problem with its place
 */
export function answerAmounts(asked: AmountsRequest, sheet: ChosenSheet, { today }: { readonly today: string }): Answer<Amounts> {
  // The chance the house takes counts where none is said.
  const shortChance = asked.shortChance ?? sheet.leanings?.shortChance ?? USUAL_SHORT_CHANCE
  const request: AmountsRequest = { ...asked, shortChance }
  const {
    fish: _fish,
    offer: _offer,
    form: _form,
    shortChance: _chance,
    grade,
    stepG: _step,
    packG: _pack,
    haveG: _have,
    ...brief
  } = request
  if (grade && grade.fromG > grade.toG) return refuse('/grade/toG', say('problem.grade-upside-down'))
  const laid = createBoard(brief, keepSpecies(sheet, request.fish), today)
  if (!laid.ok) return laid
  const found = findEntry(request, laid.value)
  if (!found.ok) return found
  const { offer, form, entry } = found.value
  const dish = laid.value.brief
  const { factors, kept, portions, needG, weightG, bought } = measureAmount(request, { offer, form, brief: dish })
  const { trim } = dish.house
  return {
    ok: true,
    value: {
      species: offer.species,
      offerId: offer.id,
      form,
      portions,
      needG,
      kept: { ...kept },
      factors: factors.map((factor) => ({ ...factor })),
      weightG,
      buy: { g: bought.g, count: bought.count, packs: bought.packs, roundedUpG: bought.g - weightG },
      grade: bought.grade,
      shortChance: computeShortChance(needG, bought.g, kept, bought.variance),
      feeds: countFeeds(request, bought, dish, kept),
      rest: splitRest(offer, form, dish).map(([part, shareOfBought]) => ({
        part,
        shareOfBought,
        g: shareOfBought * bought.g,
        uses: [...USES_OF_PART[part]],
        worth: trim && USES_OF_PART[part].length > 0 ? (shareOfBought * bought.g * trim.perKg) / 1000 : null,
      })),
      never: listNeverEaten(offer, form),
      cost: costOf(offer, form, dish, bought.g),
      cautions: [
        ...entry.gates.map((gate) => ({ kind: gate, sentence: describeGate(gate, entry.candidate, dish) })),
        ...findCautions(offer, dish),
      ],
      engineVersion: ENGINE_VERSION,
    },
  }
}
