import Alert from '@mui/material/Alert'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useDispatch } from 'react-redux'
import { describeProblem } from '../parts/dishWords.ts'
import type { AppDispatch } from '../state/store.ts'
import { draftDropped, draftRebased, type Draft } from './documentsSlice.ts'
import { KINDS, nameDocument, type DocumentKind, type InputOf } from './kinds.ts'

interface DraftNoticeProps<K extends DocumentKind> {
  readonly draft: Draft<K> | undefined
  /** One version of the document in a few words, so that two can be told apart. */
  readonly describe: (input: InputOf<K>) => string
}

/** Says what became of what was typed where it is not simply kept: refused with the place, or changed elsewhere in the meantime. */
export function DraftNotice<K extends DocumentKind>({ draft, describe }: DraftNoticeProps<K>) {
  const dispatch = useDispatch<AppDispatch>()
  if (!draft) return null
  const { kind, id, state, problems, theirs, input } = draft
  const key = nameDocument(kind, id)
  if (state === 'refused')
    return (
      <Alert severity="error" action={<Button onClick={() => dispatch(draftDropped(key))}>Put it back</Button>}>
        Not kept: {problems.map(describeProblem).join('; ')}. “Put it back” leaves it as it was kept last.
      </Alert>
    )
  if (state !== 'conflict' || !theirs) return null
  return (
    <Alert
      severity="warning"
      action={
        <>
          <Button sx={{ whiteSpace: 'nowrap' }} onClick={() => dispatch(draftRebased({ key }))}>
            Keep mine
          </Button>
          <Button sx={{ whiteSpace: 'nowrap' }} onClick={() => dispatch(draftDropped(key))}>
            Take theirs
          </Button>
        </>
      }
    >
      {KINDS[kind].name} was changed elsewhere while you worked on it. There: {describe(theirs.input)}. Yours: {describe(input)}. Nothing of
      yours is lost.
    </Alert>
  )
}

interface KeptLineProps {
  readonly draft: Draft | undefined
  /** What is said while nothing waits to be kept. */
  readonly atRest?: string
}

/** In a line: whether what stands there is kept. */
export const KeptLine = ({ draft, atRest = 'Kept.' }: KeptLineProps) => (
  <Typography variant="body2" role="status" color="text.secondary" sx={{ minHeight: 24 }}>
    {draft === undefined
      ? atRest
      : draft.state === 'waiting'
        ? 'Kept in this browser: the server does not answer. It is sent as soon as it does.'
        : draft.state === 'refused' || draft.state === 'conflict'
          ? 'Not kept.'
          : 'Keeping ...'}
  </Typography>
)
