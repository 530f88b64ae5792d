import Alert from '@mui/material/Alert'
import Button from '@mui/material/Button'
import { useDispatch } from 'react-redux'
import type { ReactNode } from 'react'
import { useParams } from 'react-router'
import { Waiting } from './Waiting.tsx'
import { draftDropped, draftRebased } from '../state/draftsSlice.ts'
import type { AppDispatch } from '../state/store.ts'
import { useDish, type Dish } from '../state/useDish.ts'
import { describeProblem } from './dishWords.ts'
import LaterPage from '../shell/LaterPage.tsx'

/** Says what happens to what was typed: kept, refused with the place, or changed elsewhere in the meantime. */
function DraftNotice({ dish: { id, draft } }: { readonly dish: Dish }) {
  const dispatch = useDispatch<AppDispatch>()
  if (draft?.state === 'refused')
    return (
      <Alert severity="error" action={<Button onClick={() => dispatch(draftDropped(id))}>Put it back</Button>}>
        Not kept: {draft.problems.map(describeProblem).join('; ')}. “Put it back” leaves the dish as it was kept last.
      </Alert>
    )
  if (draft?.state !== 'conflict') return null
  return (
    <Alert
      severity="warning"
      action={
        <>
          <Button onClick={() => dispatch(draftRebased(id))}>Keep mine</Button>
          <Button onClick={() => dispatch(draftDropped(id))}>Take theirs</Button>
        </>
      }
    >
      This dish was changed elsewhere while you worked on it (there: “{draft.theirs?.brief.dish}”, {draft.theirs?.brief.covers ?? 1}{' '}
      covers). Nothing of yours is lost.
    </Alert>
  )
}

/** Fetches the dish in the address and hands it on once it is there. */
export function DishGate({ children }: { readonly children: (dish: Dish) => ReactNode }) {
  const { id = '' } = useParams()
  const state = useDish(id)
  switch (state.status) {
    case 'loading':
      return <Waiting what="the dish" />
    case 'missing':
      return <LaterPage />
    case 'away':
      return <Alert severity="warning">The dish could not be fetched. It will appear as soon as the server answers.</Alert>
    case 'ready':
      return (
        <>
          <DraftNotice dish={state.dish} />
          {children(state.dish)}
        </>
      )
  }
}
