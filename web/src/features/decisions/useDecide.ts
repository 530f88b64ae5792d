import type { RankedFish } from '@tender-gill/contract'
import { useCallback } from 'react'
import { useDecideMutation } from '../../api/api.ts'
import { store } from '../../state/store.ts'
import type { Dish } from '../../state/useDish.ts'

const LOOK_AGAIN_MS = 200
const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))

/** Waits until the server has the dish as it stands here: a decision keeps what the server reads. @returns false when it will not have it */
async function untilKept(dishId: string): Promise<boolean> {
  for (;;) {
    const draft = store.getState().drafts[dishId]
    if (!draft) return true
    if (draft.state === 'conflict' || draft.state === 'refused') return false
    await wait(LOOK_AGAIN_MS)
  }
}

/** Takes a fish for a dish: chosen at once, and kept as a decision with the line-up behind it as soon as the dish itself is kept. */
export function useDecide({ id, edit }: Pick<Dish, 'id' | 'edit'>): (fish: Pick<RankedFish, 'species' | 'offerId' | 'form'>) => void {
  const [decide] = useDecideMutation()
  return useCallback(
    ({ species, offerId, form }) => {
      edit({ choice: { species, offerId, form } })
      void untilKept(id).then((kept) => (kept ? decide({ briefId: id, species, offerId, form }) : undefined))
    },
    [decide, edit, id],
  )
}
