import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import type { FallbackProps } from 'react-error-boundary'
import { Link } from 'react-router'
import { INK } from '../theme.ts'

/** In place of a page that could not be shown: what is kept is safe, and there are ways on. */
export function PageFailed({ error, resetErrorBoundary }: FallbackProps) {
  return (
    <Box role="alert" sx={{ bgcolor: INK.ice, borderLeft: `4px solid ${INK.dulse}`, p: 2, maxWidth: 640 }}>
      <h1 style={{ fontSize: 22, margin: '0 0 8px' }}>This page could not be shown</h1>
      <p>
        Nothing of yours was lost: what you typed is kept. The reason given was: {error instanceof Error ? error.message : String(error)}.
      </p>
      <Button variant="contained" onClick={resetErrorBoundary} sx={{ mr: 2 }}>
        Try again
      </Button>
      <Link to="/">Go to the dishes</Link>
    </Box>
  )
}
