import { describe, expect, it } from 'vitest'
import { keepOwnPlace, readOwnPlaces } from './ownPlaces.ts'

const nothing = () => null
const memory = () => {
  const kept = new Map<string, string>()
  return { getItem: (key: string) => kept.get(key) ?? null, setItem: (key: string, value: string) => void kept.set(key, value) }
}

describe('what a kitchen cooks on', () => {
  it('is what was said of it last, each kitchen for itself', () => {
    const storage = memory()
    keepOwnPlace(storage, 'one', 'burner', '6')
    keepOwnPlace(storage, 'one', 'fryer', '2')
    keepOwnPlace(storage, 'other', 'burner', '3')
    expect(readOwnPlaces(storage, 'one', nothing)).toEqual({ burner: 6, fryer: 2 })
    expect(readOwnPlaces(storage, 'other', nothing)).toEqual({ burner: 3 })
    keepOwnPlace(storage, 'one', 'fryer', '')
    expect(readOwnPlaces(storage, 'one', nothing)).toEqual({ burner: 6 })
  })

  it('is what the address says first, for a sheet that was sent to somebody', () => {
    const storage = memory()
    keepOwnPlace(storage, 'one', 'burner', '6')
    expect(readOwnPlaces(storage, 'one', (place) => (place === 'burner' ? '2' : null))).toEqual({ burner: 2 })
  })

  it('is as usual where what stands there is no number of places', () => {
    const storage = memory()
    for (const said of ['0', '-1', '2.5', 'many', '41', ' ']) {
      keepOwnPlace(storage, 'one', 'oven', said)
      expect(readOwnPlaces(storage, 'one', nothing), said).toEqual({})
      expect(
        readOwnPlaces(memory(), 'one', () => said),
        said,
      ).toEqual({})
    }
  })
})
