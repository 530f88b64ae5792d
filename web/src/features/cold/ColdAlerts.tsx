import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import { Link } from 'react-router'
import { INK } from '../../theme.ts'
import type { House } from './useHouse.ts'

const MOST = 3
const PRESSING: ReadonlySet<string> = new Set(['throw', 'use-now', 'freeze', 'use-first'])

/** What presses in the house: a lot that will not last, a place that has been warm. Nothing where nothing does. */
export function ColdAlerts({ plan }: { readonly plan: House['plan'] }) {
  const lots = (plan?.lots ?? []).filter(({ advice }) => PRESSING.has(advice))
  const places = (plan?.places ?? []).filter(({ problem }) => problem !== null)
  if (lots.length + places.length === 0) return null
  return (
    <Paper component="section" aria-labelledby="in-the-house" sx={{ p: 2, borderLeft: `6px solid ${INK.brass}` }}>
      <Typography id="in-the-house" variant="h2" gutterBottom>
        In the house
      </Typography>
      {places.map(({ id, problem }) => (
        <Typography key={id} sx={{ fontWeight: 700 }}>
          {problem}
        </Typography>
      ))}
      {lots.slice(0, MOST).map(({ id, common, sentence }) => (
        <Typography key={id}>
          <b>{common}.</b> {sentence}
        </Typography>
      ))}
      <Link to="/cold">{lots.length > MOST ? `All ${lots.length}, and where they lie` : 'Use first'}</Link>
    </Paper>
  )
}
