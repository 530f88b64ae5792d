import { createOfferSheet, listSpecies } from '@tender-gill/catalogue/book'
import type { OfferSheet, Problem, Result, Untold } from '@tender-gill/contract'
import { parseBrief, parseStandInsRequest } from '@tender-gill/contract/compiled'
import {
  answerAmounts,
  answerCold,
  answerCook,
  answerLearn,
  answerFishFirst,
  answerFreshness,
  conduct,
  answerPot,
  answerTurning,
  createFindSpecies,
  findStandIns,
  findYearOfDish,
  mapSwaps,
  rankLineUp,
} from '@tender-gill/core'
import { createWords } from '@tender-gill/words'

/** What a verb does with one JSON document. */
export type Verb = (input: unknown) => Result<unknown, readonly Problem[]>

/** A parser and what is done with what it lets through. */
const verb =
  <T>(
    parse: (input: unknown) => Result<T, readonly Problem[]>,
    run: (value: T) => Result<unknown, readonly (Problem | Untold<Problem>)[]>,
  ): Verb =>
  (input) => {
    const parsed = parse(input)
    return parsed.ok ? (createWords().tell(run(parsed.value)) as Result<unknown, readonly Problem[]>) : parsed
  }

/** Verbs that read a document, each made when it is asked for: the validators of the rest are not even loaded. @param today the calendar day for briefs that name none */
export function createVerbs(today: string): Readonly<Record<string, () => Promise<Verb>>> {
  let laid: OfferSheet | undefined
  const sheet = (): OfferSheet => (laid ??= createOfferSheet(today))
  const studies = () => import('@tender-gill/contract/compiled-studies')
  return {
    'line-up': async () => verb(parseBrief, (brief) => rankLineUp(brief, sheet(), { today })),
    'stand-ins': async () => verb(parseStandInsRequest, (request) => findStandIns(request, sheet(), { today })),
    year: async () => verb(parseBrief, (brief) => findYearOfDish(brief, sheet(), { today })),
    'swap-map': async () => verb(parseBrief, (brief) => mapSwaps(brief, sheet(), { today })),
    turning: async () => {
      const { parseTurningRequest } = await studies()
      return verb(parseTurningRequest, (request) => answerTurning(request, sheet(), { today }))
    },
    pot: async () => {
      const { parsePotRequest } = await studies()
      return verb(parsePotRequest, (request) => answerPot(request, sheet(), { today }))
    },
    amounts: async () => {
      const { parseAmountsRequest } = await studies()
      return verb(parseAmountsRequest, (request) => answerAmounts(request, sheet(), { today }))
    },
    freshness: async () => {
      const { parseFreshnessRequest } = await studies()
      return verb(parseFreshnessRequest, (request) => answerFreshness(request, sheet()))
    },
    cold: async () => {
      const { parseColdRequest } = await studies()
      return verb(parseColdRequest, (request) => answerCold(request, sheet()))
    },
    cook: async () => {
      const { parseCookRequest } = await studies()
      return verb(parseCookRequest, (request) => answerCook(request, sheet(), { today }))
    },
    learn: async () => {
      const { parseLearnRequest } = await studies()
      return verb(parseLearnRequest, (request) => answerLearn(request, sheet(), { today }))
    },
    conduct: async () => {
      const { parseConductRequest } = await studies()
      return verb(parseConductRequest, (request) => ({ ok: true, value: conduct(request) }))
    },
    find: async () => {
      const { parseFindRequest } = await studies()
      const { answerFind, createNameSearch } = await import('@tender-gill/names')
      const search = createNameSearch(listSpecies().flatMap(({ offers: [offer], names }) => (offer ? [{ ...offer, names }] : [])))
      return verb(parseFindRequest, (request) => ({ ok: true, value: answerFind(request, search) }))
    },
    'fish-first': async () => {
      const { parseFishFirstRequest } = await studies()
      return verb(parseFishFirstRequest, (request) => answerFishFirst(request, sheet(), { today }))
    },
  }
}

/** Every species, or the one of a name (accepted or synonym). */
export function answerSpecies(name: string | undefined): Result<unknown, readonly Problem[]> {
  const species = listSpecies()
  if (name === undefined) return { ok: true, value: species }
  const accepted = createFindSpecies(species.flatMap(({ offers }) => offers))(name)
  const found = species.find((one) => one.species === accepted)
  if (!found) return { ok: false, error: [{ path: '', message: `no fish named "${name}" in the book` }] }
  return { ok: true, value: accepted === name ? found : { ...found, askedAs: name } }
}
