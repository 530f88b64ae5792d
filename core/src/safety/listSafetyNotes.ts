import type { Caution, ResolvedOffer } from '@tender-gill/contract'
import { MERCURY_UG_PER_G } from '../tables/constants.ts'

const ADVICE = 'Follow your local authority’s advice.'
const FREEZING = '-20 °C for 7 days, or -35 °C until solid and 15 hours'

const ALLERGEN_WORDS = { fish: 'It is a fish', crustacean: 'It is a crustacean', mollusc: 'It is a mollusc' } as const

const both = (words: readonly string[]) => [...new Set(words)].join(' and ')

/** What is said of eating an offer raw, without any brief in mind. */
function describeRaw({ water, bivalve, parasites }: ResolvedOffer): string {
  if (water !== 'sea') return 'never raw: it comes from fresh water, or its water is not known'
  if (bivalve) return 'not offered raw in this book'
  if (parasites === 'controlled-feed') return 'reared in the sea on pellets, commonly taken as safe raw unfrozen'
  if (parasites === 'low') return 'a kind commonly eaten raw unfrozen'
  if (parasites === 'host') return `may carry parasites: raw only after freezing as commonly published (${FREEZING})`
  return `its parasites are not known: raw only after freezing as commonly published (${FREEZING})`
}

function listRaw(offers: readonly ResolvedOffer[]): readonly Caution[] {
  const words = new Map<string, string[]>()
  for (const offer of offers) {
    const said = describeRaw(offer)
    words.set(said, [...(words.get(said) ?? []), offer.origin])
  }
  return [...words].map(([said, origins]) => ({
    kind: 'raw',
    sentence: `${words.size > 1 ? `${both(origins)[0]?.toUpperCase() ?? ''}${both(origins).slice(1)} fish` : 'Raw'}: ${said}. Salt, acid and cold smoke do not replace freezing. ${ADVICE}`,
  }))
}

/** Mercury of the class, µg in a gram. */
function describeMercury({ mercury }: ResolvedOffer): Caution {
  const [low, typical, high] = MERCURY_UG_PER_G[mercury]
  const range = `about ${typical} µg in a gram of flesh (${low} to ${high}, compiled class figures)`
  if (mercury === 'low') return { kind: 'mercury', sentence: `Little mercury: ${range}.` }
  if (mercury === 'unknown') return { kind: 'mercury', sentence: `Its mercury is not known; fish in general hold ${range}. ${ADVICE}` }
  const who =
    mercury === 'medium' ? 'Pregnant women and small children count their portions' : 'Not for pregnant women and small children every week'
  return { kind: 'mercury', sentence: `Mercury ${mercury === 'very-high' ? 'very high' : mercury}: ${range}. ${who}. ${ADVICE}` }
}

/**
 * What can hurt in a species whatever the dish, in plain words, the gravest first. A line-up says the rest, for the dish and its diners.
 * @param offers every offer of one species   @returns at least the allergen, raw fish and mercury
 */
export function listSafetyNotes(offers: readonly ResolvedOffer[]): readonly Caution[] {
  const [first] = offers
  if (!first) return []
  const notes: Caution[] = []
  if (first.listing) notes.push({ kind: 'listing', sentence: `${first.listing.sentence} (${first.listing.year}, compiled). ${ADVICE}` })
  if (first.waxEster)
    notes.push({
      kind: 'wax-ester',
      sentence: `Its oil is wax that the body cannot digest: it runs through the gut and makes people ill. It is not offered here. ${ADVICE}`,
    })
  if (first.spines) notes.push({ kind: 'spines', sentence: first.spines })
  if (first.ciguatera)
    notes.push({
      kind: 'ciguatera',
      sentence: `A large reef hunter: in warm waters it can carry ciguatera, which no cooking removes. Buy small ones from known waters. ${ADVICE}`,
    })
  if (first.histamine)
    notes.push({
      kind: 'histamine',
      sentence: `Keep it on ice without a break: it can form histamine, and cooking does not remove that. ${ADVICE}`,
    })
  return [
    ...notes,
    describeMercury(first),
    ...listRaw(offers),
    {
      kind: 'allergy',
      sentence: `${ALLERGEN_WORDS[first.allergen]}: closed to anyone allergic to ${first.allergen === 'fish' ? 'fish' : `${first.allergen}s`}.`,
    },
  ]
}
