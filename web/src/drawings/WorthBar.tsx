import Box from '@mui/material/Box'
import { INK } from '../theme.ts'

interface Props {
  /** Up to this price it is the better buy; nothing is filled where no price is. */
  readonly worth: number
  /** The price it is held against, drawn as a line; null where none is known. */
  readonly price: number | null
  /** The highest of all that stand beside each other. */
  readonly most: number
  /** What the drawing says, in words. */
  readonly label: string
}

const of100 = (amount: number, most: number): string => `${Math.min(100, (100 * amount) / Math.max(most, 1e-9))}%`

/** Up to which price something is the better buy, and the price it is held against: a line inside the bar is a bargain, beyond it none. */
export function WorthBar({ worth, price, most, label }: Props) {
  return (
    <Box role="img" aria-label={label} sx={{ position: 'relative', height: 8, my: 0.5, bgcolor: INK.slab }}>
      <Box sx={{ height: 8, width: of100(worth, most), bgcolor: INK.brine, borderRight: worth > 0 ? `2px solid ${INK.kelp}` : 'none' }} />
      {price !== null && (
        <Box
          sx={{ position: 'absolute', top: -2, height: 12, left: of100(price, most), borderLeft: `2px solid ${INK.squid}`, ml: '-2px' }}
        />
      )}
    </Box>
  )
}
