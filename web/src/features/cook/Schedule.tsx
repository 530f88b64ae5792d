import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Cook } from '@tender-gill/contract'
import { HEADING, INK } from '../../theme.ts'

/** What is done when, worked back from the table; what comes a day or more before says so. */
export function Schedule({ schedule }: { readonly schedule: NonNullable<Cook['schedule']> }) {
  return (
    <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {schedule.map(({ at, minutesBefore, sentence }) => (
        <Box
          component="li"
          key={`${at}${sentence}`}
          sx={{
            display: 'grid',
            gridTemplateColumns: '64px 1fr',
            gap: 1,
            py: 0.5,
            borderTop: `1px solid ${INK.hairline}`,
            alignItems: 'baseline',
          }}
        >
          <Box component="b" sx={{ fontFamily: HEADING, fontSize: 18 }}>
            {at}
          </Box>
          <Typography component="span">
            {sentence}
            {minutesBefore > 12 * 60 && `, ${Math.round(minutesBefore / 60)} hours before`}
          </Typography>
        </Box>
      ))}
    </Box>
  )
}
