import { useMemo } from 'react'
import { useSearch } from '../../state/useSearch.ts'

export const POT_COUNTS = [2, 3, 4, 5] as const
const DEFAULT_COUNT = 3
const MOST = 5

/** What a hand did to a pot: it stands in the address, so that a reload or a link brings it again. */
export interface PotHand {
  /** How many fish go in. */
  readonly k: number
  /** Species that stay in, whatever else is chosen. */
  readonly holds: readonly string[]
  /** Species that are not wanted. */
  readonly without: readonly string[]
  readonly setCount: (k: number) => void
  readonly putIn: (species: string) => void
  readonly letGo: (species: string) => void
  readonly takeOut: (species: string) => void
  readonly letBackIn: (species: string) => void
}

const HOLDS = 'with'
const WITHOUT = 'without'
const COUNT = 'fish'

const readCount = (params: URLSearchParams): number => POT_COUNTS.find((count) => String(count) === params.get(COUNT)) ?? DEFAULT_COUNT

/** A pot as it was changed by hand, and how it is changed further: what is put in makes room for itself, as long as there is any. */
export function usePotHand(): PotHand {
  const [search, change] = useSearch()
  return useMemo(() => {
    const [holds, without] = [search.getAll(HOLDS), search.getAll(WITHOUT)]
    const add = (params: URLSearchParams, to: string, from: string, species: string) => {
      params.delete(from, species)
      params.delete(to, species)
      params.append(to, species)
    }
    return {
      ...{ k: Math.max(readCount(search), Math.min(MOST, holds.length)), holds, without },
      setCount: (k) =>
        change((params) => {
          params.set(COUNT, String(k))
          // Of a smaller pot the first that were put in stay.
          for (const species of params.getAll(HOLDS).slice(k)) params.delete(HOLDS, species)
        }),
      putIn: (species) =>
        change((params) => {
          add(params, HOLDS, WITHOUT, species)
          const held = params.getAll(HOLDS)
          if (held.length > MOST) params.delete(HOLDS, held[0] ?? '')
          if (held.length > readCount(params)) params.set(COUNT, String(Math.min(MOST, held.length)))
        }),
      letGo: (species) => change((params) => params.delete(HOLDS, species)),
      takeOut: (species) => change((params) => add(params, WITHOUT, HOLDS, species)),
      letBackIn: (species) => change((params) => params.delete(WITHOUT, species)),
    }
  }, [search, change])
}
