import type { Fact, OfferSheet, ResolvedOffer, Result } from '@tender-gill/contract'
import { createFindSpecies } from '../brief/index.ts'
import { say, type Problem } from '../facts/index.ts'

const refuse = (path: string, message: Fact): Result<never, readonly Problem[]> => ({ ok: false, error: [{ path, message }] })

/** The offer that a question speaks of: the one it names, else the first fresh one of the fish, else its first. */
export function findOffer(
  { fish, offer }: { readonly fish: string; readonly offer?: string },
  { offers }: Pick<OfferSheet, 'offers'>,
): Result<ResolvedOffer, readonly Problem[]> {
  const species = createFindSpecies(offers)(fish)
  const own = offers.filter((one) => one.species === species)
  const found = offer === undefined ? (own.find(({ state }) => state === 'fresh') ?? own[0]) : own.find(({ id }) => id === offer)
  if (own.length === 0) return refuse('/fish', say('problem.no-fish', { name: fish }))
  return found ? { ok: true, value: found } : refuse('/offer', say('problem.no-offer', { offer: offer ?? '', species: fish }))
}
