import type { LineUp, RankedFish, ResolvedOffer, SpeciesSheet } from '@tender-gill/contract'

/** One fish of the comparison: the species, and which of its offers is looked at. */
export interface Column {
  readonly sheet: SpeciesSheet
  readonly offer: ResolvedOffer
}

/** How an offer does in the open dish: its row, or why it has none. */
export interface StandingOf {
  readonly row?: RankedFish
  readonly left?: string
}

/** Which offer of each fish is looked at: the one picked by hand, else the one that suits the open dish best, else the usual one. */
export function pickColumns(
  sheets: readonly SpeciesSheet[],
  picked: Readonly<Record<string, string>>,
  lineUp: LineUp | null,
): readonly Column[] {
  return sheets.flatMap((sheet): Column[] => {
    const best = lineUp?.ranked.find(({ species }) => species === sheet.species)?.offerId
    const byId = (wanted: string | undefined) => sheet.offers.find(({ id }) => id === wanted)
    const offer = byId(picked[sheet.species]) ?? byId(best) ?? sheet.offers[0]
    return offer ? [{ sheet, offer }] : []
  })
}

/** How an offer does in a line-up of all offers. */
export function findStanding({ id, species, label }: ResolvedOffer, lineUp: LineUp | null): StandingOf {
  if (!lineUp) return {}
  const row = lineUp.ranked.find(({ offerId }) => offerId === id)
  if (row) return { row }
  const left = lineUp.leftOut.find((fish) => fish.species === species)
  return { left: left ? left.sentence : `Not so as ${label}; another of its kind can.` }
}
