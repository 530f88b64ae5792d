import type { Fact, FreshnessRequest, OfferSheet, Result, Sign } from '@tender-gill/contract'
import { computeIceDays, computeKeepingDays } from '../cold/index.ts'
import { days, figure, say, term, type Freshness, type Problem } from '../facts/index.ts'
import { findOffer } from '../rows/index.ts'
import { ENGINE_VERSION } from '../tables/constants.ts'
import { LOOK_LINES, TODAY_ICE_DAYS } from '../tables/signs.ts'
import { chanceLeft, expectFall, layPrior, rangeOf, seeLevel, type Ages, type Reading } from './posterior.ts'
import { listSigns, readSigns } from './readSigns.ts'

type Row = Freshness['table'][number]
type Answer<T> = Result<T, readonly Problem[]>

/** Among the vetoes where nobody may eat it so. */
export const RAW_FOR_THE_VULNERABLE = 'raw-for-the-vulnerable'

const readingOf = ({ levels, spanDays, trust }: Row): Reading => ({ levels: levels.length, spanDays, trust })

/** Signs of which it has none as it lies there, each with its place. */
const findStrangers = ({ signs, view }: FreshnessRequest, has: readonly Sign[]): readonly Problem[] =>
  (Object.keys(signs) as Sign[])
    .filter((sign) => !has.includes(sign))
    .map((sign) => ({
      path: `/signs/${sign}`,
      message: say('problem.look.sign', { sign: term('sign', sign), view: term('lookView', view) }),
    }))

/** Signs not looked at, by how much each is expected to tell. */
const rankNext = (table: readonly Row[], { signs }: FreshnessRequest, ages: Ages): readonly Sign[] =>
  table
    .filter(({ sign, trust }) => signs[sign] === undefined && trust > 0)
    .map((row) => ({ sign: row.sign, fall: expectFall(ages, readingOf(row)) }))
    .sort((a, b) => b.fall - a.fall)
    .map(({ sign }) => sign)

const isVeto = ({ sign, vetoFrom }: Row, { signs }: FreshnessRequest): boolean => vetoFrom !== null && (signs[sign] ?? -1) >= vetoFrom

interface Judged extends Pick<Freshness, 'chanceEnough' | 'chanceToday' | 'vetoes'> {
  readonly refused: boolean
  readonly strict: boolean
}

function decide({ chanceEnough, chanceToday, vetoes, refused, strict }: Judged): Freshness['outcome'] {
  const line = strict ? LOOK_LINES.strict : LOOK_LINES.sure
  if (refused || vetoes.length > 0) return 'walk-away'
  if (chanceEnough >= line) return 'buy'
  if (chanceToday >= line) return 'today'
  return chanceToday >= LOOK_LINES.less && !strict ? 'ask-for-less' : 'walk-away'
}

/** A chance out of a hundred: nothing that is seen makes it certain. */
const ofHundred = (chance: number) => figure(Math.min(99, Math.round(100 * chance)))

/** What to do, and why, in a sentence. */
function sumUp(
  answer: Pick<Freshness, 'outcome' | 'vetoes' | 'iceDays' | 'left' | 'chanceEnough' | 'chanceToday'>,
  asked: FreshnessRequest,
): Fact {
  const { outcome, vetoes, iceDays, left } = answer
  if (vetoes.includes(RAW_FOR_THE_VULNERABLE)) return say('look.walk-away.vulnerable')
  const seen = vetoes.map((sign) => say('look.level', { level: term('signLevel', `${sign}.${asked.signs[sign as Sign] ?? 0}`) }))
  if (seen.length > 0)
    return say('look.walk-away.veto', {
      signs: vetoes.map((sign, i) => say('look.sign', { sign: term('sign', sign), level: seen[i] ?? '' })),
    })
  if (asked.refused) return say('look.walk-away.refused')
  const figures = {
    ...{ age: days(iceDays.typical), low: figure(iceDays.low, 2), high: figure(iceDays.high, 2) },
    left: days(Math.max(0, left.typical)),
    sure: ofHundred(outcome === 'buy' ? answer.chanceEnough : answer.chanceToday),
  }
  switch (outcome) {
    case 'buy':
      return say('look.buy', figures)
    case 'today':
      return say('look.today', figures)
    case 'ask-for-less':
      return say('look.ask-for-less', figures)
    case 'walk-away':
      return say('look.walk-away.old', figures)
  }
}

/**
 * How old a fish is by what was seen of it, how long it will keep, and whether to buy it: the age on ice as a posterior over a grid, from a
 * log-normal prior and the signs' likelihoods as far as each is believed. Vetoes stand whatever the rest says.
 * @param request already valid by its schema   @returns the answer unrounded, with its table, or every problem with its place
 */
export function answerFreshness(request: FreshnessRequest, sheet: Pick<OfferSheet, 'offers'>): Answer<Freshness> {
  const { view, circumstances = [], refused = false, use = 'cooked', vulnerable = false, keep, prior } = request
  const found = findOffer(request, sheet)
  if (!found.ok) return found
  const offer = found.value
  const has = listSigns(offer, view)
  if (has.length === 0)
    return {
      ok: false,
      error: [{ path: '/view', message: say('problem.look.view', { fish: offer.common, view: term('lookView', view) }) }],
    }
  const strangers = findStrangers(request, has)
  if (strangers.length > 0) return { ok: false, error: strangers }

  const table = readSigns(offer, view, circumstances)
  const seen = table.flatMap((row) => (request.signs[row.sign] === undefined ? [] : [{ row, level: request.signs[row.sign] ?? 0 }]))
  const ages = seen.reduce((before, { row, level }) => seeLevel(before, readingOf(row), level), layPrior(prior))
  const servedRaw = use === 'raw'
  const keepingDays = computeKeepingDays(offer, { servedRaw })
  const neededIceDays = keep ? computeIceDays(keep) : 0
  const iceDays = rangeOf(ages)
  const judged = {
    ...{ refused, strict: servedRaw || vulnerable },
    chanceEnough: chanceLeft(ages, keepingDays, neededIceDays),
    chanceToday: chanceLeft(ages, keepingDays, TODAY_ICE_DAYS),
    vetoes: [
      ...table.filter((row) => isVeto(row, request)).map(({ sign }) => sign),
      ...(servedRaw && vulnerable ? [RAW_FOR_THE_VULNERABLE] : []),
    ],
  }
  const outcome = decide(judged)
  const left = { low: keepingDays - iceDays.high, typical: keepingDays - iceDays.typical, high: keepingDays - iceDays.low }
  const { chanceEnough, chanceToday, vetoes } = judged
  return {
    ok: true,
    value: {
      ...{
        species: offer.species,
        offerId: offer.id,
        iceDays,
        left,
        keepingDays,
        neededIceDays,
        chanceEnough,
        chanceToday,
        outcome,
        vetoes,
      },
      next: [...rankNext(table, request, ages)],
      table: [...table],
      sentence: sumUp({ outcome, vetoes, iceDays, left, chanceEnough, chanceToday }, request),
      engineVersion: ENGINE_VERSION,
    },
  }
}
