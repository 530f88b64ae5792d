import Box from '@mui/material/Box'
import Checkbox from '@mui/material/Checkbox'
import Skeleton from '@mui/material/Skeleton'
import Typography from '@mui/material/Typography'
import { METHOD_LABEL } from '../../reader/index.ts'
import { memo } from 'react'
import { Link } from 'react-router'
import { FleshPrint } from '../../drawings/FleshPrint.tsx'
import type { BookRow } from '../../engine/bookRows.ts'
import { HEADING, INK } from '../../theme.ts'
import { describeFlesh, listBest, type BookFilter } from './bookFilter.ts'
import { fishPath } from '../../parts/bookWords.ts'

interface Props {
  readonly row: BookRow
  readonly method: BookFilter['method']
  readonly marked: boolean
  readonly onMark: (species: string) => void
}

const HAND_WORDS = { book: null, 'house-changed': 'with the house’s hand', 'house-own': 'the house’s own' } as const

/** One fish of the book: its print, its flesh in words, what it does best, what to beware of. */
export const BookLine = memo(function BookLine({ row, method, marked, onMark }: Props) {
  const best = listBest(row)
  const fit = method ? row.fits?.[method] : undefined
  const hand = row.hidden ? 'hidden' : HAND_WORDS[row.hand]
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '64px minmax(0, 1fr) 44px', md: '70px minmax(0, 1.2fr) minmax(0, 1fr) 40px' },
        columnGap: 1.5,
        alignItems: 'center',
        py: 0.75,
        borderTop: `1px solid ${INK.hairline}`,
        contain: 'layout paint',
      }}
    >
      <FleshPrint offer={row.print} name={row.common} />
      <div>
        <Typography component="h2" variant="h3">
          <Link to={fishPath(row.species)} style={{ color: INK.squid }}>
            {row.common}
          </Link>
          {hand && (
            <Typography component="span" variant="body2" sx={{ ml: 1, color: INK.tide, fontWeight: 700 }}>
              {hand}
            </Typography>
          )}
        </Typography>
        <Typography variant="body2" color="text.secondary">
          <i>{row.species}</i>
        </Typography>
        <Typography variant="body2">{describeFlesh(row)}</Typography>
      </div>
      <Box sx={{ gridColumn: { xs: '2 / -1', md: 'auto' }, gridRow: { xs: 2, md: 'auto' }, minWidth: 0 }}>
        <Typography variant="body2">
          {fit !== undefined && method ? (
            <>
              <b style={{ fontFamily: HEADING, fontSize: 22 }}>{fit.toFixed(0)}</b> {METHOD_LABEL[method].toLowerCase()}
            </>
          ) : row.fits === null ? (
            <Skeleton component="span" width="60%" sx={{ display: 'inline-block' }} />
          ) : best.length > 0 ? (
            `Best ${best.map(([name]) => METHOD_LABEL[name].toLowerCase()).join(', ')}`
          ) : (
            'Good for no method by itself'
          )}
        </Typography>
        {row.warnings.length > 0 && (
          <Typography variant="body2" sx={{ color: 'warning.main', fontWeight: 700 }}>
            Caution: {row.warnings.join(', ')}
          </Typography>
        )}
      </Box>
      <Checkbox
        checked={marked}
        onChange={() => onMark(row.species)}
        slotProps={{ input: { 'aria-label': `Compare ${row.common}` } }}
        sx={{ gridRow: { xs: 1, md: 'auto' }, gridColumn: { xs: 3, md: 'auto' } }}
      />
    </Box>
  )
})
