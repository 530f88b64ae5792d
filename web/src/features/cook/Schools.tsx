import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { Cook, Doneness } from '@tender-gill/contract'
import { formatTemperature } from '../../reader/index.ts'
import { INK } from '../../theme.ts'
import { sayRange } from './cookWords.ts'

const WORDS: Record<Doneness, string> = { set: 'Fully set', moist: 'Moist', rare: 'Rare' }

interface Props extends Pick<Cook, 'schools' | 'doneness' | 'f70Minutes' | 'logCut' | 'peakC'> {
  readonly onChoose: (doneness: Doneness) => void
}

/** Below this nothing is claimed of what heat kills, minutes at 70 °C. */
const TOLD_FROM_MIN = 0.005

/** How far one may cook it, each with its minutes; what the guideline says stands beside it. */
export function Schools({ schools, doneness, f70Minutes, logCut, peakC, onChoose }: Props) {
  const closed = schools.some((school) => school.closed)
  return (
    <Box>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {schools.map((school) => (
          <Box
            component="li"
            key={school.doneness}
            sx={{ display: 'flex', gap: 1, alignItems: 'center', py: 0.75, borderTop: `1px solid ${INK.hairline}` }}
          >
            <Box sx={{ flex: 1 }}>
              <b>
                {WORDS[school.doneness]}, {formatTemperature(school.targetC)}
              </b>
              <br />
              {school.closed
                ? 'closed for the diners you named'
                : school.minutes
                  ? `out after ${sayRange(school.minutes)}, at ${formatTemperature(Math.round(school.coreC ?? school.targetC))}`
                  : 'not by these stages'}
            </Box>
            {school.doneness === doneness ? (
              <Typography component="span" sx={{ borderLeft: `4px solid ${INK.roe}`, pl: 0.75 }}>
                as cooked
              </Typography>
            ) : (
              !school.closed && (
                <Button variant="outlined" onClick={() => onChoose(school.doneness)} sx={{ minHeight: 44 }}>
                  Cook it so
                </Button>
              )
            )}
          </Box>
        ))}
      </Box>
      <Typography variant="body2" sx={{ borderLeft: `4px solid ${INK.brass}`, pl: 1, mt: 1 }}>
        {closed
          ? 'Cooked through for the diners you named: nothing is left to the rest. '
          : 'The guideline is 63 °C in the middle; moist and rare are a choice, and parasites or germs may survive them. '}
        {f70Minutes >= TOLD_FROM_MIN
          ? `This cooking is worth ${f70Minutes.toFixed(2)} minutes at 70 °C where it is worth least (about ${logCut.toFixed(1)} powers of ten of Listeria; two minutes are commonly asked for six). `
          : `At ${formatTemperature(Math.round(peakC.typical))} nothing is claimed of what it kills. `}
        Follow your local authority’s advice.
      </Typography>
    </Box>
  )
}
