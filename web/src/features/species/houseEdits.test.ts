import { findShipped, listSources } from '@tender-gill/catalogue'
import type { SourceSpecies, Triple } from '@tender-gill/contract'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { describeMonths } from './FactPanels.tsx'
import { HAND_KEYS, addName, findShippedTrait, pointerOf, removeName, revertTrait, setTrait } from './houseEdits.ts'
import { describeLanguage } from './NamesPanel.tsx'

const salmon = findShipped('Salmo salar') as SourceSpecies
const farmed = { origin: 'farmed', part: 'body' } as const
const belly = { origin: 'farmed', part: 'belly' } as const

const readAt = (value: unknown, pointer: string): unknown =>
  pointer
    .split('/')
    .slice(1)
    .reduce<unknown>((node, token) => (node as Record<string, unknown> | undefined)?.[token], value)

describe('the house’s hand on an entry', () => {
  const source = fc.constantFrom(...listSources())
  const key = fc.constantFrom(...HAND_KEYS)
  const triple = fc.tuple(fc.nat(3), fc.nat(3), fc.nat(3)).map(([a, b, c]): Triple => [3 + a, 6 + b, 9 + c])
  const kindOf = ({ offers }: SourceSpecies) => ({ origin: offers[0]?.origin ?? 'wild', part: offers[0]?.part ?? 'body' })

  it('writes a value where it says it does, and puts back just what the book had', () => {
    fc.assert(
      fc.property(source, key, triple, (entry, trait, value) => {
        const kind = kindOf(entry)
        const edited = setTrait(entry, kind, trait, value)
        expect(readAt(edited, pointerOf(entry, kind, trait))).toEqual(value)
        expect(revertTrait(edited, entry, kind, trait)).toEqual(entry)
      }),
      { seed: 21, numRuns: 300 },
    )
  })

  it('leaves the entry it was given untouched, and other offers alone', () => {
    const before = JSON.stringify(salmon)
    const edited = setTrait(salmon, farmed, 'firmness', [1, 2, 3])
    expect(JSON.stringify(salmon)).toBe(before)
    expect(edited.offers[1]).toEqual(salmon.offers[1])
    expect(findShippedTrait(salmon, belly, 'fat')).toEqual([18, 24, 30])
  })

  it('adds a name once and takes it away again', () => {
    const named = addName(addName(salmon, 'cy', 'eog'), 'cy', 'eog')
    expect(named.names.cy).toEqual(['eog'])
    expect(removeName(named, 'cy', 'eog')).toEqual(salmon)
  })
})

describe('words of the species page', () => {
  it.each([
    [[11, 12, 1], 'November to January'],
    [[3, 4, 9], 'March to April and September'],
    [[5], 'May'],
    [[1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12], 'all year'],
  ])('says months %j as %s', (months, words) => {
    expect(describeMonths(months)).toBe(words)
  })

  it('says a language with its country', () => {
    expect(describeLanguage('en-AU')).toBe('English, Australia')
    expect(describeLanguage('el')).toBe('Greek')
  })
})
