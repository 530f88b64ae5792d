import type { Problem, SourceSpecies } from '@tender-gill/contract'
import { useState } from 'react'
import {
  toProblemDetails,
  useCreateHouseSpeciesMutation,
  useRemoveHouseSpeciesMutation,
  useRestoreHouseSpeciesMutation,
  useSaveHouseSpeciesMutation,
  useSpeciesSourceQuery,
} from '../../api/api.ts'

export interface HouseHand {
  /** The entry as the house has it; undefined while it is fetched. */
  readonly source: SourceSpecies | undefined
  /** The book's own entry; null for a species of the house's own. */
  readonly shipped: SourceSpecies | null
  readonly hidden: boolean
  readonly changed: boolean
  readonly problems: readonly Problem[]
  /** Keeps the entry. @returns whether it was kept; the problems say why not */
  readonly keep: (source: SourceSpecies, hidden?: boolean) => Promise<boolean>
  /** Takes the house's hand off the species. @returns its id, by which it is put back; throws where it could not be taken off */
  readonly takeOff: () => Promise<string>
  readonly putBack: (id: string) => Promise<unknown>
}

/** The house's hand on one species: read, kept at the revision that was read, taken off and put back. */
export function useHouseHand(species: string): HouseHand {
  const { currentData } = useSpeciesSourceQuery(species)
  const [create] = useCreateHouseSpeciesMutation()
  const [save] = useSaveHouseSpeciesMutation()
  const [remove] = useRemoveHouseSpeciesMutation()
  const [restore] = useRestoreHouseSpeciesMutation()
  const [problems, setProblems] = useState<readonly Problem[]>([])
  const house = currentData?.house ?? null
  const shipped = currentData?.shipped ?? null
  const hidden = house?.hidden ?? false
  const keep = async (source: SourceSpecies, hide = hidden) => {
    const input = { source, hidden: hide }
    const answer = house ? await save({ id: house.id, revision: house.revision, input }) : await create(input)
    const details = 'error' in answer && answer.error ? toProblemDetails(answer.error) : undefined
    const failed = 'error' in answer && answer.error !== undefined
    setProblems(
      failed
        ? details?.problems.length
          ? details.problems
          : [{ path: '', message: details?.detail ?? 'It could not be kept. Try again.' }]
        : [],
    )
    return !failed
  }
  return {
    source: house?.source ?? shipped ?? undefined,
    shipped,
    hidden,
    changed: house !== null,
    problems,
    keep,
    takeOff: async () => {
      if (!house) throw new Error('there is no hand to take off')
      return (await remove({ id: house.id, revision: house.revision }).unwrap()).id
    },
    putBack: (id) => restore(id).unwrap(),
  }
}
