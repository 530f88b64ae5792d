import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import type { ReactNode } from 'react'
import { INK } from '../theme.ts'

interface RowProps {
  /** The row that is open beside the list. */
  readonly open: boolean
  readonly columns: string
  readonly children: ReactNode
}

/** One row of the list beside which a document is open. */
export const SideRow = ({ open, columns, children }: RowProps) => (
  <Box
    component="li"
    sx={{
      display: 'grid',
      gridTemplateColumns: columns,
      alignItems: 'center',
      gap: 1,
      borderTop: `1px solid ${INK.hairline}`,
      borderLeft: open ? `5px solid ${INK.roe}` : '5px solid transparent',
      pl: 1,
      py: 0.5,
    }}
  >
    {children}
  </Box>
)

interface OpenProps {
  readonly open: boolean
  readonly onOpen: () => void
  readonly children: ReactNode
}

/** The name in a row, that opens its document. */
export const SideName = ({ open, onOpen, children }: OpenProps) => (
  <Button
    onClick={onOpen}
    aria-current={open}
    sx={{ p: 0, minHeight: { xs: 44, md: 28 }, justifyContent: 'start', textAlign: 'left', color: INK.squid }}
  >
    {children}
  </Button>
)

/** What was just taken away, and the way back. */
export const GoneNotice = ({ words, onBack }: { readonly words: string | null; readonly onBack: () => void }) => (
  <div role="status">
    {words && (
      <Alert severity="info" action={<Button onClick={onBack}>Put it back</Button>} sx={{ my: 1 }}>
        {words}
      </Alert>
    )}
  </div>
)

/** The two columns of a market room: the list, and what is open beside it. */
export const RoomGrid = ({ side, children }: { readonly side: string; readonly children: ReactNode }) => (
  <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: `${side} minmax(0, 1fr)` }, alignItems: 'start' }}>
    {children}
  </Box>
)
