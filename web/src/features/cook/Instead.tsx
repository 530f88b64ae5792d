import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Cook } from '@tender-gill/contract'
import type { CookedInstead } from '@tender-gill/core'
import { Link } from 'react-router'
import { formatLength, formatTemperature } from '../../reader/index.ts'
import { HEADING, INK } from '../../theme.ts'
import { sayMinutes, sayRange } from './cookWords.ts'

/** Differences below this share are within what a cook does not notice. */
const NOTICED = 0.08

/** How much sooner or later another fish comes out. */
function sayDifference(typical: number, was: number): string {
  const by = typical - was
  if (Math.abs(by) < NOTICED * was) return 'about the same'
  return `${sayMinutes(Math.abs(by))} ${by < 0 ? 'sooner' : 'later'}`
}

/** The stand-ins of this fish by the same stages. */
export function Instead({
  instead,
  stale,
  cook,
  path,
}: {
  readonly instead: readonly CookedInstead[]
  /** They are of the stages before. */
  readonly stale: boolean
  readonly cook: Cook
  readonly path: string
}) {
  if (instead.length === 0) return <Typography color="text.secondary">No stand-in is known for this fish in this dish.</Typography>
  return (
    <>
      <Box
        component="ul"
        aria-label="Stand-ins in the same pan"
        aria-busy={stale}
        sx={{ listStyle: 'none', m: 0, p: 0, opacity: stale ? 0.5 : 1 }}
      >
        {instead.map(({ offerId, common, depthMm, minutes, pullC }) => (
          <Box component="li" key={offerId} sx={{ py: 0.75, borderTop: `1px solid ${INK.hairline}` }}>
            <Box component="b" sx={{ fontFamily: HEADING }}>
              {common}
            </Box>{' '}
            {formatLength(depthMm)}: {sayRange(minutes)}, out at {formatTemperature(Math.round(pullC))};{' '}
            {sayDifference(minutes.typical, cook.pull.minutes.typical)}
          </Box>
        ))}
      </Box>
      <Link to={path}>Choose a stand-in</Link>
    </>
  )
}
