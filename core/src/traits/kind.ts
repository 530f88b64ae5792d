import type { Kind, ResolvedOffer } from '@tender-gill/contract'

const KIND: Record<Kind, true> = { fish: true, crustacean: true, cephalopod: true, bivalve: true }
/** Every animal that is sold as fish. */
export const ALL_KINDS = Object.keys(KIND) as readonly Kind[]

/** Which animal an offer is: molluscs are told apart by their shell. */
export function kindOf({ allergen, bivalve }: Pick<ResolvedOffer, 'allergen' | 'bivalve'>): Kind {
  if (allergen !== 'mollusc') return allergen
  return bivalve ? 'bivalve' : 'cephalopod'
}
