import Alert from '@mui/material/Alert'
import Button from '@mui/material/Button'
import Snackbar from '@mui/material/Snackbar'
import { useDispatch, useSelector } from 'react-redux'
import type { AppDispatch, RootState } from '../state/store.ts'
import { heard } from './noticesSlice.ts'
import { useOffered } from './useUndoable.ts'

const SHOWN_MS = 8_000
/** What can be undone stays longer: one looks at the page first. */
const UNDOABLE_MS = 30_000

/** What was just done, or could not be, with its undo: at the foot of every page, the newest alone. */
export function Notices() {
  const notice = useSelector((state: RootState) => state.notices.shown)
  const dispatch = useDispatch<AppDispatch>()
  const offer = useOffered(notice?.undo ?? null)
  if (!notice) return null
  const { id, kind, text } = notice
  const close = () => dispatch(heard(id))
  return (
    <Snackbar
      key={id}
      open
      // What failed stays until it was read.
      autoHideDuration={kind === 'failed' ? null : offer ? UNDOABLE_MS : SHOWN_MS}
      onClose={(_event, reason) => reason !== 'clickaway' && close()}
      anchorOrigin={{ vertical: 'bottom', horizontal: 'center' }}
    >
      <Alert
        severity={kind === 'failed' ? 'error' : 'success'}
        variant="outlined"
        onClose={close}
        icon={false}
        // It lies over the page: nothing may be read through it.
        sx={{ bgcolor: 'background.paper', boxShadow: 3 }}
        role={kind === 'failed' ? 'alert' : 'status'}
        action={
          offer && (
            <Button size="small" color="inherit" onClick={() => void offer.run()}>
              {offer.kind === 'undo' ? 'Undo' : 'Redo'}
            </Button>
          )
        }
      >
        {text}
      </Alert>
    </Snackbar>
  )
}
