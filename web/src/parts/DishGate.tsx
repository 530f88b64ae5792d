import Alert from '@mui/material/Alert'
import type { ServingInput } from '@tender-gill/contract'
import type { ReactNode } from 'react'
import { useParams } from 'react-router'
import { Lessons } from './Lessons.tsx'
import { Waiting } from './Waiting.tsx'
import { DraftNotice } from '../documents/index.ts'
import { useDish, type Dish } from '../state/useDish.ts'
import NothingHere from '../shell/NothingHere.tsx'

const describeDish = ({ brief: { dish, covers = 1 } }: ServingInput): string => `“${dish}”, ${covers} ${covers === 1 ? 'cover' : 'covers'}`

/** Fetches the dish in the address and hands it on once it is there. */
export function DishGate({ children }: { readonly children: (dish: Dish) => ReactNode }) {
  const { id = '' } = useParams()
  const state = useDish(id)
  switch (state.status) {
    case 'loading':
      return <Waiting what="the dish" />
    case 'missing':
      return <NothingHere />
    case 'away':
      return <Alert severity="warning">The dish could not be fetched. It will appear as soon as the server answers.</Alert>
    case 'ready':
      return (
        <>
          <DraftNotice draft={state.dish.draft} describe={describeDish} />
          <Lessons dish={state.dish.brief.dish} species={state.dish.choice?.species} />
          {children(state.dish)}
        </>
      )
  }
}
