/** How one person reads: a language, units and money. It is the person's own, and changes no answer. */
export interface Reader {
  readonly language: Language
  /** Grams, millimetres and Celsius, or ounces, inches and Fahrenheit. */
  readonly units: 'metric' | 'us'
  /** €3.45 or 3.45 EUR. */
  readonly money: 'symbol' | 'code'
}

/** Languages there are words for. `pseudo` is English made strange, so that a text that came by another way stands out. */
export const LANGUAGES = ['en', 'pseudo'] as const
export type Language = (typeof LANGUAGES)[number]

export const DEFAULT_READER: Reader = { language: 'en', units: 'metric', money: 'symbol' }

/** A reader from its short name, as `en,us,code`; what is not understood is as it is by default. */
export function readReader(name: string | undefined): Reader {
  const parts = new Set((name ?? '').split(','))
  return {
    language: LANGUAGES.find((language) => parts.has(language)) ?? DEFAULT_READER.language,
    units: parts.has('us') ? 'us' : 'metric',
    money: parts.has('code') ? 'code' : 'symbol',
  }
}
/** The short name of a reader: two that read alike have one name. */
export const nameReader = ({ language, units, money }: Reader): string => [language, units, money].join(',')
