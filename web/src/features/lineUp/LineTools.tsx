import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import useMediaQuery from '@mui/material/useMediaQuery'
import { useState } from 'react'
import type { Unoffered } from '../../engine/index.ts'
import { OnlyOfferedSwitch } from '../../parts/OnlyOfferedSwitch.tsx'
import type { LineOrder } from './orderLine.ts'

const ORDERS: readonly (readonly [order: LineOrder, words: string])[] = [
  ['fit', 'Fit'],
  ['cost', 'Cost'],
  ['sureness', 'How sure'],
]

interface Props {
  readonly onlyOffered: boolean
  /** Species that can be bought. */
  readonly offered: number
  readonly order: LineOrder
  readonly onOrder: (order: LineOrder) => void
  readonly sought: string
  readonly onSought: (text: string) => void
}

/** What of the line is shown, and in which order: what can be bought, by fit, cost or how sure it is, and where a fish stands. */
export function LineTools({ onlyOffered, offered, order, onOrder, sought, onSought }: Props) {
  const narrow = useMediaQuery('(max-width: 900px)')
  const [open, setOpen] = useState(false)
  const unfolded = !narrow || open || sought !== '' || order !== 'fit'
  return (
    <Box
      component="section"
      aria-label="What is shown"
      sx={{ px: 1.5, pb: 1, display: 'flex', flexWrap: 'wrap', columnGap: 2, rowGap: 0.5, alignItems: 'center' }}
    >
      <OnlyOfferedSwitch onlyOffered={onlyOffered} offered={offered} />
      {narrow && !unfolded && (
        <Button onClick={() => setOpen(true)} sx={{ ml: 'auto' }}>
          Sort, find
        </Button>
      )}
      {unfolded && (
        <ToggleButtonGroup
          exclusive
          size="small"
          aria-label="Sorted by"
          value={order}
          onChange={(_event, next: LineOrder | null) => next && onOrder(next)}
        >
          {ORDERS.map(([value, words]) => (
            <ToggleButton key={value} value={value} sx={{ px: 1.25, minHeight: { xs: 44, md: 32 }, textTransform: 'none' }}>
              {words}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      )}
      {unfolded && (
        <TextField
          size="small"
          type="search"
          label="Where is my fish?"
          value={sought}
          onChange={({ target }) => onSought(target.value)}
          sx={{ flex: '1 1 150px', maxWidth: { md: 220 } }}
        />
      )}
    </Box>
  )
}

/** Who would do better and cannot be had, one press away. */
export function UnofferedNotice({ unoffered, onShow }: { readonly unoffered: Unoffered | null; readonly onShow: () => void }) {
  if (!unoffered) return null
  const { count, best } = unoffered
  return (
    <Typography variant="body2" sx={{ px: 1.5, pb: 0.5 }}>
      {count === 1 ? `${best} would do it better` : `${count} fitter ones, ${best} first`}, and nobody on your lists offers{' '}
      {count === 1 ? 'it' : 'them'}.{' '}
      <Button size="small" onClick={onShow} sx={{ minHeight: { xs: 44, md: 28 } }}>
        Show all fish
      </Button>
    </Typography>
  )
}
