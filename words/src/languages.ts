import { EN_TERMS } from './en/terms/index.ts'
import { makeAllStrange } from './makeStrange.ts'
import type { Language } from './reader.ts'
import type { Terms } from './terms.ts'

const TERMS: Readonly<Record<Language, () => Terms>> = { en: () => EN_TERMS, pseudo: () => makeAllStrange(EN_TERMS) }
const ready = new Map<Language, Terms>()

/** The words of the trade in a language. */
export function termsOf(language: Language): Terms {
  const terms = ready.get(language) ?? TERMS[language]()
  ready.set(language, terms)
  return terms
}
