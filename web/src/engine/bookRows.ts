import type { Allergen, Format, MercuryClass, Method, OfferSheet, ResolvedOffer, SpeciesSheet } from '@tender-gill/contract'
import { METHODS, TEXTURE_KEYS } from '@tender-gill/contract/vocabulary'
import { createBoard, createPlainBrief, usualFormats } from '@tender-gill/core'
import type { FleshPrintSource } from '../drawings/fleshPrint.ts'

/** Figures the book is filtered and sorted by, typical values of the first offer. */
export const BOOK_TRAITS = [...TEXTURE_KEYS, 'weight', 'thickness'] as const
export type BookTrait = (typeof BOOK_TRAITS)[number]

/** Best fit of a species for each way of cooking, over its usual cuts; left out where no offer can do it. */
export type MethodFits = Readonly<Partial<Record<Method, number>>>

/** One species as a line of the book. */
export interface BookRow extends Pick<
  SpeciesSheet,
  'species' | 'common' | 'family' | 'regions' | 'market' | 'familiarity' | 'pinBones' | 'hand' | 'hidden'
> {
  readonly offerId: string
  readonly print: FleshPrintSource
  readonly origins: readonly ResolvedOffer['origin'][]
  readonly states: readonly ResolvedOffer['state'][]
  readonly forms: readonly ResolvedOffer['forms'][number]['form'][]
  readonly traits: Readonly<Record<BookTrait, number>>
  /** Null until they are worked out. */
  readonly fits: MethodFits | null
  readonly allergen: Allergen
  readonly mercury: MercuryClass
  /** Short words for what can hurt or is closed. */
  readonly warnings: readonly string[]
}

const bonesToLift = ({ bones }: ResolvedOffer): number => (bones['fillet-pinned'] ?? bones.fillet ?? bones.whole)?.typical ?? 0

function listWarnings({ listing, waxEster, ciguatera, histamine, mercury }: ResolvedOffer, { venom }: SpeciesSheet): readonly string[] {
  return [
    ...(listing?.status === 'prohibited' ? ['protected'] : []),
    ...(waxEster ? ['wax ester'] : []),
    ...(venom ? ['venomous spines'] : []),
    ...(mercury === 'high' || mercury === 'very-high' ? ['mercury'] : []),
    ...(ciguatera ? ['ciguatera'] : []),
    ...(histamine ? ['histamine'] : []),
    ...(listing?.status === 'restricted' ? ['stock or trade'] : []),
  ]
}

/** The first usual cut of a method, and the whole fish where that is usual too: a sardine is grilled whole, a tuna is not. */
const cutsOf = (method: Method): readonly Format[] => {
  const usual = usualFormats(method)
  return usual.filter((format, i) => i === 0 || format === 'whole')
}

/** Best fit of every species for every method, over the usual cuts; a step for each way and cut. */
export function* stepMethodFits(sheet: OfferSheet, today: string): Generator<void, ReadonlyMap<string, MethodFits>> {
  const fits = new Map<string, Partial<Record<Method, number>>>()
  const visible: OfferSheet = { ...sheet, offers: sheet.offers.map((offer) => (offer.hidden ? { ...offer, hidden: false } : offer)) }
  for (const method of METHODS)
    for (const format of cutsOf(method)) {
      const board = createBoard(createPlainBrief(method, format), visible, today)
      if (!board.ok) continue
      for (const { candidate, fit, gates } of board.value.considered) {
        if (gates.length > 0) continue
        const { species } = candidate.offer
        const own = fits.get(species) ?? {}
        if (fit.fit > (own[method] ?? -1)) fits.set(species, { ...own, [method]: fit.fit })
      }
      yield
    }
  return fits
}

/** The book as lines, by common name, before any fits are worked out. */
export function listBookRows(species: readonly SpeciesSheet[]): readonly BookRow[] {
  const rows = species.flatMap((entry): BookRow[] => {
    const [first] = entry.offers
    if (!first) return []
    const { traits, weightG, depthMm } = first
    return [
      {
        species: entry.species,
        common: entry.common,
        family: entry.family,
        regions: entry.regions,
        market: entry.market,
        familiarity: entry.familiarity,
        pinBones: entry.pinBones,
        hand: entry.hand,
        hidden: entry.hidden,
        offerId: first.id,
        print: { id: first.id, rawColour: first.rawColour, traits, bones: first.bones },
        origins: [...new Set(entry.offers.map(({ origin }) => origin))],
        states: [...new Set(entry.offers.map(({ state }) => state))],
        forms: [...new Set(entry.offers.flatMap(({ forms }) => forms.map(({ form }) => form)))],
        traits: {
          firmness: traits.firmness.typical,
          flake: traits.flake.typical,
          cohesion: traits.cohesion.typical,
          fat: traits.fat.typical,
          flavour: traits.flavour.typical,
          bones: bonesToLift(first),
          tolerance: traits.tolerance.typical,
          collagen: traits.collagen.typical,
          skin: traits.skin.typical,
          binding: traits.binding.typical,
          rawBite: traits.rawBite.typical,
          weight: weightG.typical,
          thickness: depthMm.typical,
        },
        fits: null,
        allergen: entry.allergen,
        mercury: first.mercury,
        warnings: listWarnings(first, entry),
      },
    ]
  })
  return rows.sort((a, b) => a.common.localeCompare(b.common, 'en'))
}
