import type { LineUp } from '@tender-gill/contract'
import { describe, expect, it } from 'vitest'
import { describeMoved } from './moved.ts'

const lineUp = (names: readonly string[], out: readonly (readonly [name: string, why: string])[] = []) =>
  ({
    ranked: names.map((name) => ({ species: name, common: name })),
    leftOut: out.map(([name, sentence]) => ({ species: name, common: name, sentence })),
  }) as unknown as LineUp
const FAT = ['fat matters 4 of 5']

describe('what a change moved', () => {
  it('is nothing where nothing was changed', () => expect(describeMoved([], lineUp(['Cod']), lineUp(['Ling']))).toBeNull())

  it('names the new leader, and where the former one fell to', () =>
    expect(describeMoved(FAT, lineUp(['Conger', 'Cod', 'Ling', 'Meagre']), lineUp(['Meagre', 'Cod', 'Ling', 'Conger']))).toBe(
      'Fat matters 4 of 5: Meagre now first; Conger fell to 4th.',
    ))

  it('says why the former leader is left out, and how many fewer can do it', () =>
    expect(describeMoved(['30 mm thick'], lineUp(['Sole', 'Cod']), lineUp(['Cod'], [['Sole', 'Too thin for it.']]))).toBe(
      '30 mm thick: Cod now first; Sole is left out: Too thin for it; 1 fewer can do it.',
    ))

  it('says who comes in or climbs far where the leader stays', () => {
    expect(describeMoved(FAT, lineUp(['Cod', 'Ling']), lineUp(['Cod', 'Eel', 'Ling']))).toBe(
      'Fat matters 4 of 5: Cod still first; Eel comes in to 2nd; 1 more can do it.',
    )
    expect(describeMoved(FAT, lineUp(['Cod', 'A', 'B', 'C', 'Eel']), lineUp(['Cod', 'Eel', 'A', 'B', 'C']))).toContain('Eel climbed to 2nd')
    expect(describeMoved(FAT, lineUp(['Cod']), lineUp(['Cod']))).toBe('Fat matters 4 of 5: Cod still first.')
  })

  it('tells an empty line, and one that is empty no more', () => {
    expect(describeMoved(FAT, lineUp(['Cod']), lineUp([]))).toBe('Fat matters 4 of 5: nobody can do it any more.')
    expect(describeMoved(FAT, lineUp([]), lineUp(['Cod']))).toBe('Fat matters 4 of 5: Cod first; 1 more can do it.')
  })
})
