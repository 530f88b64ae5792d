import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { CoverHang } from '@tender-gill/contract'
import { INK } from '../../theme.ts'
import { joinWords, ofHundred } from '../../parts/dishWords.ts'

const WORDS: Record<CoverHang['kind'], (subject: string) => string> = {
  weather: (water) => `boats on ${water}`,
  merchant: (name) => name,
  species: (name) => `${name} alone`,
  farm: () => 'farmed fish',
}
/** Below this a cook need not mind, unless nothing hangs on more. */
const WORTH_TELLING = 0.1
const MOST = 7
/** Beside each other on paper that lies on its side, where there is room across and none below. */
const LIST = {
  ...{ listStyle: 'none', p: 0, m: 0 },
  '@media print and (orientation: landscape)': { display: 'grid', gridTemplateColumns: '1fr 1fr', columnGap: 4 },
} as const

/** What part of the covers hangs on one thing: a bar each, in ink, the most first. */
export function HangBars({ hangs }: { readonly hangs: readonly CoverHang[] }) {
  const told = hangs.filter(({ share }, i) => i === 0 || share >= WORTH_TELLING).slice(0, MOST)
  return (
    <Box component="ul" aria-label="What the covers hang on" sx={LIST}>
      {told.map(({ kind, subject, covers, share, dishes }) => (
        <Box
          component="li"
          key={`${kind}:${subject}`}
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: 'minmax(0, 1fr) auto', sm: '210px 1fr 110px' },
            '@media print': { gridTemplateColumns: '150px 1fr 90px' },
            columnGap: 1.5,
            alignItems: 'center',
            py: 0.25,
          }}
        >
          <Typography variant="body2" sx={{ fontWeight: 700 }}>
            {WORDS[kind](subject)}
          </Typography>
          <Box
            title={joinWords(dishes)}
            sx={{ height: 14, border: `1px solid ${INK.slate}`, gridRow: { xs: 2, sm: 'auto' }, gridColumn: { xs: '1 / -1', sm: 'auto' } }}
          >
            <Box sx={{ width: `${100 * share}%`, height: '100%', bgcolor: INK.slate, printColorAdjust: 'exact' }} />
          </Box>
          <Typography variant="body2" sx={{ textAlign: 'right' }}>
            <b>{ofHundred(share)}</b> of 100 ({covers})
          </Typography>
        </Box>
      ))}
    </Box>
  )
}
