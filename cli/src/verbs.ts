import { createOfferSheet, listSpecies } from '@tender-gill/catalogue/book'
import type { OfferSheet, Problem, Result } from '@tender-gill/contract'
import { parseBrief, parseStandInsRequest } from '@tender-gill/contract/compiled'
import { createFindSpecies, findStandIns, rankLineUp } from '@tender-gill/core'

/** What a verb does with one JSON document. */
export type Verb = (input: unknown) => Result<unknown, readonly Problem[]>

/** Verbs that read a document. @param today the calendar day for briefs that name none */
export function createVerbs(today: string): Readonly<Record<string, Verb>> {
  const sheet: OfferSheet = createOfferSheet(today)
  return {
    'line-up': (input) => {
      const brief = parseBrief(input)
      return brief.ok ? rankLineUp(brief.value, sheet, { today }) : brief
    },
    'stand-ins': (input) => {
      const request = parseStandInsRequest(input)
      return request.ok ? findStandIns(request.value, sheet, { today }) : request
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
