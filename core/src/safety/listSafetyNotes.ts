import type { Fact, Origin, ResolvedOffer } from '@tender-gill/contract'
import { groupBy } from '../lists/index.ts'
import { figure, phrase, say, type Caution } from '../facts/index.ts'
import { MERCURY_UG_PER_G } from '../tables/constants.ts'
import { describeListing, FREEZING_FOR_RAW } from './published.ts'

/** What is said of eating an offer raw, without any brief in mind. */
function describeRaw({ water, bivalve, parasites }: ResolvedOffer): Fact {
  if (water !== 'sea') return say('note.raw.fresh-water')
  if (bivalve) return say('note.raw.bivalve')
  if (parasites === 'controlled-feed') return say('note.raw.controlled-feed')
  if (parasites === 'low') return say('note.raw.low')
  if (parasites === 'host') return say('note.raw.host', FREEZING_FOR_RAW)
  return say('note.raw.unknown', FREEZING_FOR_RAW)
}

function listRaw(offers: readonly ResolvedOffer[]): readonly Caution[] {
  const found = groupBy(
    offers.map((offer) => ({ offer, said: describeRaw(offer) })),
    ({ said }) => said.code,
  )
  const originsOf = (group: readonly { readonly offer: ResolvedOffer }[]) => new Set(group.map(({ offer }) => offer.origin))
  const groups = [...found.values()]
  /** Reared in the sea and in fresh water alike: then the water is said with it. */
  const isReadTwice = (origin: Origin) => groups.filter((group) => originsOf(group).has(origin)).length > 1
  return groups.flatMap((group) => {
    const [first] = group
    if (!first) return []
    const [origin, ...others] = originsOf(group)
    const who =
      groups.length === 1 || origin === undefined || others.length > 0
        ? say('note.raw.who.all')
        : isReadTwice(origin)
          ? say('note.raw.who.of', { origin, water: first.offer.water })
          : say(origin === 'wild' ? 'note.raw.who.wild' : 'note.raw.who.farmed')
    return [{ kind: 'raw' as const, sentence: say('note.raw', { who, said: first.said }) }]
  })
}

/** Mercury of the class, µg in a gram. */
function describeMercury({ mercury }: ResolvedOffer): Caution {
  const [low, typical, high] = MERCURY_UG_PER_G[mercury]
  const range = { typical: figure(typical, 3), low: figure(low, 3), high: figure(high, 3) }
  if (mercury === 'low') return { kind: 'mercury', sentence: say('note.mercury.low', range) }
  if (mercury === 'unknown') return { kind: 'mercury', sentence: say('note.mercury.unknown', range) }
  const who = mercury === 'medium' ? 'count' : 'not-weekly'
  return { kind: 'mercury', sentence: say('note.mercury.class', { class: mercury === 'very-high' ? 'veryHigh' : mercury, ...range, who }) }
}

/**
 * What can hurt in a species whatever the dish, in plain words, the gravest first. A line-up says the rest, for the dish and its diners.
 * @param offers every offer of one species   @returns at least the allergen, raw fish and mercury
 */
export function listSafetyNotes(offers: readonly ResolvedOffer[]): readonly Caution[] {
  const [first] = offers
  if (!first) return []
  const notes: Caution[] = []
  if (first.listing) notes.push({ kind: 'listing', sentence: describeListing(first.listing) })
  if (first.waxEster)
    notes.push({
      kind: 'wax-ester',
      sentence: say('note.wax-ester'),
    })
  if (first.spines) notes.push({ kind: 'spines', sentence: phrase(first.spines) })
  if (first.ciguatera)
    notes.push({
      kind: 'ciguatera',
      sentence: say('caution.ciguatera'),
    })
  if (first.histamine)
    notes.push({
      kind: 'histamine',
      sentence: say('note.histamine'),
    })
  return [
    ...notes,
    describeMercury(first),
    ...listRaw(offers),
    {
      kind: 'allergy',
      sentence: say('note.allergy', { allergen: first.allergen }),
    },
  ]
}
