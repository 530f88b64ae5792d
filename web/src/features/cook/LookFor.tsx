import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Cook } from '@tender-gill/contract'
import { HEADING, INK } from '../../theme.ts'
import { sayMinutes, sayRange } from './cookWords.ts'

/** What is seen of the piece, in the order in which it comes. */
export function LookFor({ signs }: Pick<Cook, 'signs'>) {
  return (
    <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {signs.map(({ kind, minutes, sentence }) => (
        <Box
          component="li"
          key={kind}
          sx={{ display: 'grid', gridTemplateColumns: '84px 1fr', gap: 1, py: 0.75, borderTop: `1px solid ${INK.hairline}` }}
        >
          <Box component="b" sx={{ fontFamily: HEADING }}>
            {minutes && (kind === 'take-out' ? sayRange(minutes) : kind === 'rest' ? 'rest' : sayMinutes(minutes.typical))}
          </Box>
          <Typography component="span">{sentence}</Typography>
        </Box>
      ))}
    </Box>
  )
}
