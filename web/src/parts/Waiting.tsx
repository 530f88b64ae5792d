import Box from '@mui/material/Box'
import Paper from '@mui/material/Paper'
import Skeleton from '@mui/material/Skeleton'
import Typography from '@mui/material/Typography'
import { useEffect, useState } from 'react'
import { INK } from '../theme.ts'

/** What the page will look like: a list of fish, a room with a list beside it, a chart, or a few lines. */
export type WaitingShape = 'rows' | 'line-up' | 'panels' | 'chart' | 'lines'

/** Docket, line and ladder side by side, as wide as the screen lets them stand. */
export const LINE_UP_GRID = {
  display: 'grid',
  gap: 1.5,
  gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '256px minmax(0, 1fr)', lg: '256px minmax(0, 1fr) 252px' },
  alignItems: 'start',
} as const

const ROWS = 6
const CHART_HEIGHT = 300

/** Lines of fish as they will stand: the print, two lines of words, the figure. */
const Rows = () => (
  <>
    {Array.from({ length: ROWS }, (_, i) => (
      <Box
        key={i}
        sx={{
          display: 'grid',
          gridTemplateColumns: '64px minmax(0, 1fr) 56px',
          gap: 1.5,
          alignItems: 'center',
          minHeight: 64,
          borderTop: `1px solid ${INK.hairline}`,
        }}
      >
        <Skeleton variant="rounded" width={60} height={28} />
        <div>
          <Skeleton width="45%" />
          <Skeleton width="75%" />
        </div>
        <Skeleton width={44} height={32} />
      </Box>
    ))}
  </>
)

const Lines = () => (
  <>
    <Skeleton width="50%" height={36} />
    <Skeleton width="80%" />
    <Skeleton width="65%" />
  </>
)

function Shape({ shape }: { readonly shape: WaitingShape }) {
  switch (shape) {
    case 'rows':
      return <Rows />
    case 'lines':
      return <Lines />
    case 'chart':
      return <Skeleton variant="rounded" width="100%" height={CHART_HEIGHT} />
    case 'line-up':
      return (
        <Box sx={LINE_UP_GRID}>
          {[<Lines key="docket" />, <Rows key="rows" />, <Lines key="ladder" />].map((part) => (
            <Paper key={part.key} sx={{ p: 2 }}>
              {part}
            </Paper>
          ))}
        </Box>
      )
    case 'panels':
      return (
        <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '380px minmax(0, 1fr)' } }}>
          <Paper sx={{ p: 2 }}>
            <Rows />
          </Paper>
          <Paper sx={{ p: 2 }}>
            <Lines />
            <Skeleton variant="rounded" width="100%" height={CHART_HEIGHT} />
          </Paper>
        </Box>
      )
  }
}

/** Stands where something is awaited, in its shape, so that nothing jumps when it comes; says what it is once that is noticed. */
export function Waiting({ what, shape = 'lines' }: { readonly what: string; readonly shape?: WaitingShape }) {
  const [noticed, setNoticed] = useState(false)
  useEffect(() => {
    const timer = setTimeout(() => setNoticed(true), 300)
    return () => clearTimeout(timer)
  }, [])
  return (
    <Box sx={{ p: shape === 'panels' || shape === 'line-up' ? 0 : 2, minHeight: 120 }}>
      <Box role="status" sx={{ minHeight: 24 }}>
        {noticed && <Typography color="text.secondary">Fetching {what} ...</Typography>}
      </Box>
      <Box aria-hidden>
        <Shape shape={shape} />
      </Box>
    </Box>
  )
}
