import type { Brief, Format, Method, OfferSheet } from '@tender-gill/contract'
import { METHODS } from '@tender-gill/contract/vocabulary'
import { METHOD_TABLE, createPlainBrief, rankLineUp, usualFormats } from '@tender-gill/core'

/** How well one way of cooking suits a fish. */
export interface MethodRow {
  readonly method: Method
  readonly label: string
  readonly format: Format
  readonly fit: number | null
  readonly sentence: string
}

function judge(species: string, method: Method, format: Format, sheet: OfferSheet, today: string): MethodRow | undefined {
  const brief: Brief = { ...createPlainBrief(method, format), pool: [species] }
  const answer = rankLineUp(brief, sheet, { today, shares: false })
  if (!answer.ok) return undefined
  const [row] = answer.value.ranked
  const [out] = answer.value.leftOut
  const { label } = METHOD_TABLE[method]
  if (row) return { method, label, format, fit: row.fit, sentence: row.pointsLost[0]?.sentence ?? 'Nothing it lacks.' }
  return { method, label, format, fit: null, sentence: out?.sentence ?? 'Not possible.' }
}

/** The ways of cooking a fish, best first: each in the cut that suits it best, what it cannot do last with the reason. */
export function rankMethods(species: string, sheet: OfferSheet, today: string): readonly MethodRow[] {
  const own: OfferSheet = { ...sheet, offers: sheet.offers.filter((offer) => offer.species === species) }
  const rows = METHODS.flatMap((method) => {
    const tried = usualFormats(method).flatMap((format) => judge(species, method, format, own, today) ?? [])
    return tried.sort((a, b) => (b.fit ?? -1) - (a.fit ?? -1)).slice(0, 1)
  })
  return rows.sort((a, b) => (b.fit ?? -1) - (a.fit ?? -1))
}
