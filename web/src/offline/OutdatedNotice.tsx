import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useSyncExternalStore } from 'react'
import { INK } from '../theme.ts'
import { isOutdated, onOutdated } from './outdated.ts'

/** Says that the server was renewed since this page was loaded: the page is loaded anew, and what waits in the browser stays. */
export function OutdatedNotice() {
  const outdated = useSyncExternalStore(onOutdated, isOutdated)
  if (!outdated) return null
  return (
    <Box role="alert" sx={{ bgcolor: INK.ice, borderBottom: `3px solid ${INK.brass}`, px: 2, py: 1 }}>
      <b>Tender Gill was renewed.</b> What you wrote down is kept here.{' '}
      <Button variant="contained" onClick={() => window.location.reload()}>
        Load the page anew
      </Button>
    </Box>
  )
}
