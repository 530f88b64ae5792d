import { createOfferSheet, listSpecies } from '@tender-gill/catalogue/book'
import type { OfferSheet, Problem, Result } from '@tender-gill/contract'
import {
  parseBrief,
  parseFishFirstRequest,
  parsePotRequest,
  parseStandInsRequest,
  parseTurningRequest,
} from '@tender-gill/contract/compiled'
import { answerFishFirst, answerPot, answerTurning, createFindSpecies, findStandIns, rankLineUp } from '@tender-gill/core'

/** What a verb does with one JSON document. */
export type Verb = (input: unknown) => Result<unknown, readonly Problem[]>

/** A parser and what is done with what it lets through. */
const verb =
  <T>(parse: (input: unknown) => Result<T, readonly Problem[]>, run: (value: T) => Result<unknown, readonly Problem[]>): Verb =>
  (input) => {
    const parsed = parse(input)
    return parsed.ok ? run(parsed.value) : parsed
  }

/** Verbs that read a document. @param today the calendar day for briefs that name none */
export function createVerbs(today: string): Readonly<Record<string, Verb>> {
  const sheet: OfferSheet = createOfferSheet(today)
  return {
    'line-up': verb(parseBrief, (brief) => rankLineUp(brief, sheet, { today })),
    'stand-ins': verb(parseStandInsRequest, (request) => findStandIns(request, sheet, { today })),
    turning: verb(parseTurningRequest, (request) => answerTurning(request, sheet, { today })),
    pot: verb(parsePotRequest, (request) => answerPot(request, sheet, { today })),
    'fish-first': verb(parseFishFirstRequest, (request) => answerFishFirst(request, sheet, { today })),
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
