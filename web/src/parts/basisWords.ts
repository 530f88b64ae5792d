import { FLESH_KEYS, type Basis, type FleshKey, type ResolvedOffer } from '@tender-gill/contract'
import { ASK_LABEL } from '../reader/index.ts'
import { capitalise, joinWords } from './dishWords.ts'

const TOLD: readonly (readonly [basis: Basis, words: string])[] = [
  ['measured', 'measured'],
  ['house', 'as this house has it'],
]

/** What the traits of a fish rest on, in one line: what was measured, what is the house's own word, and that the rest is compiled. */
export function describeBasis({ traits }: Pick<ResolvedOffer, 'traits'>): string {
  const of = (basis: Basis): readonly FleshKey[] => FLESH_KEYS.filter((key) => traits[key].basis === basis)
  const told = TOLD.flatMap(([basis, words]) => {
    const keys = of(basis)
    return keys.length > 0
      ? [`${joinWords(keys.map((key) => ASK_LABEL[key].toLowerCase()))} ${keys.length === 1 ? 'is' : 'are'} ${words}`]
      : []
  })
  const compiled = of('compiled').length
  if (told.length === 0) return 'Traits are compiled from common knowledge, not measured.'
  return `${capitalise(told.join('; '))}${compiled > 0 ? '; the other traits are compiled from common knowledge, not measured' : ''}.`
}
