import type { Fact, ResolvedOffer } from '@tender-gill/contract'
import { celsius, phrase, say } from '../facts/index.ts'

/** Freezing commonly published for fish that is served raw: a week at one temperature, or until solid and 15 hours at a lower one. */
export const FREEZING_FOR_RAW = { freezing: celsius(-20), deep: celsius(-35) } as const

/** What a list of protected or restricted fish says, with the year it was compiled in. */
export const describeListing = ({ sentence, year }: NonNullable<ResolvedOffer['listing']>): Fact =>
  say('caution.listing', { listing: phrase(sentence), year: String(year) })
