import type { Choice } from '@tender-gill/contract'
import { useCallback } from 'react'
import { useDispatch, useStore } from 'react-redux'
import { api } from '../../api/api.ts'
import { draftDropped, draftMarked, draftRebased, nameDocument, whenSent, type Draft } from '../../documents/index.ts'
import type { AppDispatch, RootState } from '../../state/store.ts'
import { useOnlyOffered } from '../../state/useOnlyOffered.ts'
import type { Dish } from '../../state/useDish.ts'
import { joinWords } from '../../parts/dishWords.ts'
import { said } from '../../notices/index.ts'
import { toProblemDetails, useDecideMutation } from '../../api/api.ts'
import type { ServingRecord } from '@tender-gill/contract'

const toTheirs = ({ brief, choice, revision }: ServingRecord) => ({ input: { brief, choice }, revision })

/**
 * Takes a fish for a dish, in one command: the dish as it was typed, the choice, and the decision with the line-up behind it. Either all of
 * it is kept, or nothing, and that is said.
 */
export function useDecide({ id, brief }: Pick<Dish, 'id' | 'brief'>): (choice: Choice) => Promise<boolean> {
  const [decide] = useDecideMutation()
  const [only] = useOnlyOffered()
  const dispatch = useDispatch<AppDispatch>()
  const store = useStore<RootState>()
  return useCallback(
    async ({ species, offerId, form, beside }) => {
      const key = nameDocument('serving', id)
      // What is on its way to the server has to be there first: the decision rests on it.
      await whenSent(store, key)
      const draftNow = () => store.getState().documents[key] as Draft<'serving'> | undefined
      const draft = draftNow()
      const typed = draft ? { brief, revision: draft.revision } : {}
      if (draft) dispatch(draftMarked({ key, state: 'carried' }))
      const answer = await decide({
        servingId: id,
        species,
        offerId,
        form,
        ...(beside ? { beside } : {}),
        onlyOffered: only !== false,
        ...typed,
      })
      if (answer.data) {
        // What was typed is kept with the choice: nothing waits to be sent any more.
        const record = await dispatch(api.endpoints.serving.initiate(id, { forceRefetch: true, subscribe: false }))
        if (draft && JSON.stringify(draftNow()?.input) === JSON.stringify(draft.input)) dispatch(draftDropped(key))
        else if (draft && record.data) {
          dispatch(draftMarked({ key, state: 'conflict', theirs: toTheirs(record.data) }))
          dispatch(draftRebased({ key }))
        }
        const { common, beside: others, dish } = answer.data
        dispatch(said('done', `${joinWords([common, ...(others ?? [])])} ${others ? 'are' : 'is'} taken for ${dish}.`))
        return true
      }
      const details = toProblemDetails(answer.error)
      if (draft && details?.status === 409)
        dispatch(draftMarked({ key, state: 'conflict', theirs: toTheirs(details.current as ServingRecord) }))
      else if (draftNow()?.state === 'carried') dispatch(draftMarked({ key, state: 'unsaved' }))
      return false
    },
    [brief, decide, dispatch, id, only, store],
  )
}
