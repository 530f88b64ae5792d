import type { Brief, HouseLeanings, Kind, Result } from '@tender-gill/contract'
import { say, term, type NormalisedBrief, type Problem } from '../facts/index.ts'
import { DEFAULT_DRAWS, DEFAULT_PORTION_G } from '../tables/constants.ts'
import { gridCell } from '../tables/cuts.ts'
import { listStyles } from '../tables/styles.ts'
import { checkBrief, countVulnerable } from './checkBrief.ts'
import { findModifiers } from './findModifiers.ts'
import { mergeAsks } from './mergeAsks.ts'
import type { FindSpecies } from './nameIndex.ts'
import { resolveNames } from './resolveNames.ts'

export interface NormaliseOptions {
  readonly findSpecies: FindSpecies
  /** The kitchen's calendar day, ISO date; used when the brief names none. */
  readonly today: string
  /** How the house leans where the brief says nothing. */
  readonly leanings?: HouseLeanings | undefined
}

/** Shellfish answer only where they are let in. */
const DEFAULT_KINDS: readonly Kind[] = ['fish']
const NO_DINERS = {
  children: 0,
  pregnant: 0,
  elderly: 0,
  immunocompromised: 0,
  boneShy: false,
  newToWholeFish: false,
  dislikesStrongFish: false,
  finsAndScales: false,
  portionsAWeek: 1,
}

/**
 * Fills a brief with its defaults, merges its asks and refuses contradictions.
 * @param brief already valid by its schema   @returns the brief as the engine will read it, or every problem with its place
 */
export function normaliseBrief(
  brief: Brief,
  { findSpecies, today, leanings }: NormaliseOptions,
): Result<NormalisedBrief, readonly Problem[]> {
  const { asks, openedByHand } = mergeAsks(brief, findModifiers(brief), leanings)
  const names = resolveNames(brief, findSpecies)
  const problems = [...checkBrief(brief, asks), ...names.problems]
  if (problems.length > 0) return { ok: false, error: problems }
  const odd = gridCell(brief.method, brief.format) === 'odd'
  return {
    ok: true,
    value: {
      dish: brief.dish,
      method: brief.method,
      format: brief.format,
      thicknessMm: brief.thicknessMm ?? null,
      covers: brief.covers ?? 1,
      portionG: brief.portionG ?? DEFAULT_PORTION_G,
      portionBasis: brief.portionBasis ?? 'cooked',
      diners: { ...NO_DINERS, ...brief.diners, allergies: [...(brief.diners?.allergies ?? [])] },
      style: brief.style ?? listStyles(brief.method)[0] ?? null,
      servedAs: brief.servedAs ?? 'raw',
      // A house that likes it moist does not do so for those who must not have it.
      doneness: brief.doneness ?? (countVulnerable(brief) > 0 ? 'set' : (leanings?.doneness ?? 'set')),
      skin: brief.skin ?? 'any',
      seasoning: brief.seasoning ?? 'balanced',
      longCooking: brief.longCooking ?? false,
      smokeHeat: brief.smokeHeat ?? 'hot',
      wholeServes: brief.wholeServes === undefined ? 1 : brief.wholeServes,
      wholeWeightG: brief.wholeWeightG ?? null,
      origin: brief.origin ?? 'any',
      habitat: brief.habitat ?? 'any',
      kinds: [...(brief.kinds ?? DEFAULT_KINDS)],
      part: brief.part ?? 'any',
      state: brief.state ?? 'any',
      offers: names.offers,
      rawTreatment: brief.rawTreatment ?? 'none',
      keep: brief.keep ?? null,
      date: brief.date ?? today,
      waters: typeof brief.waters === 'string' ? [brief.waters] : (brief.waters ?? null),
      budget: brief.budget ? { ...brief.budget, must: brief.budget.must ?? false } : null,
      spend: brief.spend ?? 'any',
      spendMust: brief.spendMust ?? false,
      house: {
        usualPortionCost: leanings?.usualPortionCost ?? null,
        origin: leanings?.origin ?? null,
        bought: leanings?.bought ?? null,
        trim: leanings?.trim ?? null,
        stockFloor: leanings?.stock?.floor ?? null,
      },
      asks,
      openedByHand: [...openedByHand],
      pool: names.pool,
      askedAs: names.askedAs,
      unavailable: names.unavailable,
      allOffers: brief.allOffers ?? false,
      draws: brief.draws ?? DEFAULT_DRAWS,
      seed: brief.seed ?? 1,
      oddCut: odd ? say('odd-cut', { method: term('method', brief.method), format: term('format', brief.format) }) : null,
    },
  }
}

export type Normalise = (brief: Brief) => ReturnType<typeof normaliseBrief>

/** Briefs that bring no market of their own. */
const NO_MARKET = {}

/** `normaliseBrief` of one kitchen and day, each brief once: what lets many fish in leads to the same few briefs. */
export function createNormalise(options: NormaliseOptions): Normalise {
  const byMarket = new WeakMap<object, Map<string, ReturnType<typeof normaliseBrief>>>()
  return (brief) => {
    const { market, ...rest } = brief
    const known = byMarket.get(market ?? NO_MARKET) ?? new Map<string, ReturnType<typeof normaliseBrief>>()
    byMarket.set(market ?? NO_MARKET, known)
    const key = JSON.stringify(rest)
    const normalised = known.get(key) ?? normaliseBrief(brief, options)
    known.set(key, normalised)
    return normalised
  }
}
