import type { Circumstance, LookView, ResolvedOffer, Sign } from '@tender-gill/contract'
import { say, term, type Freshness } from '../facts/index.ts'
import { KEEPING_DAYS } from '../tables/constants.ts'
import { LEVELS, SIGN_TABLE, SIGNS_OF_SHELLFISH, SIGNS_OF_VIEW } from '../tables/signs.ts'
import { kindOf } from '../traits/index.ts'

type Row = Freshness['table'][number]

/** The signs of an animal as it lies there; none where it cannot lie so. */
export function listSigns(offer: ResolvedOffer, view: LookView): readonly Sign[] {
  const kind = kindOf(offer)
  if (kind === 'fish') return view === 'shellfish' ? [] : SIGNS_OF_VIEW[view]
  return view === 'shellfish' ? SIGNS_OF_SHELLFISH[kind] : []
}

/** How far a sign is believed under some circumstances: never more than without them, of several the lowest. */
function trustIn(sign: Sign, circumstances: readonly Circumstance[]): number {
  const { trust, falseAlarms } = SIGN_TABLE[sign]
  return Math.min(trust, ...circumstances.flatMap((one) => falseAlarms[one] ?? []))
}

/** Every sign of a view as it is weighed for an offer. */
export const readSigns = (offer: ResolvedOffer, view: LookView, circumstances: readonly Circumstance[]): readonly Row[] =>
  listSigns(offer, view).map((sign) => {
    const { spanOfKeeping, vetoFrom, falseAlarms } = SIGN_TABLE[sign]
    return {
      sign,
      levels: LEVELS.map((level) => say('look.level', { level: term('signLevel', `${sign}.${level}`) })),
      spanDays: spanOfKeeping * KEEPING_DAYS[offer.storage],
      trust: trustIn(sign, circumstances),
      vetoFrom: vetoFrom ?? null,
      falseAlarms: Object.keys(falseAlarms) as Circumstance[],
    }
  })
