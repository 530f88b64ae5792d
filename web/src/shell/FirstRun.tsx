import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useSyncExternalStore } from 'react'
import { useLocation } from 'react-router'
import { INK } from '../theme.ts'

/** Four steps, each told on the screen where it is done. */
const STEPS: readonly { readonly of: RegExp; readonly words: string }[] = [
  { of: /^\/$/, words: 'Start with a dish you want to cook, or with a fish you have seen.' },
  { of: /^\/dishes\/(new|[^/]+\/brief)$/, words: 'Name it and say how it is cooked. All else may stay as it is; then see who can do it.' },
  { of: /^\/dishes\/[^/]+\/line-up$/, words: 'The first is the answer. Press a fish for why, and take it.' },
  { of: /^\/dishes\/[^/]+\/stand-ins$/, words: 'If it is not there: take the next rung. What changes stands beside it.' },
]

const PLACE = 'tender-gill-first-run'
const OVER = 'over'
const listeners = new Set<() => void>()
const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}
const read = (): string => localStorage.getItem(PLACE) ?? ''
function keep(value: string): void {
  localStorage.setItem(PLACE, value)
  for (const listener of listeners) listener()
}

/** The first walk down the line, a sentence a page, until it was walked once or is waved away. Kept by the browser. */
export function FirstRun() {
  const { pathname } = useLocation()
  const seen = useSyncExternalStore(subscribe, read)
  const at = STEPS.findIndex(({ of }) => of.test(pathname))
  const step = STEPS[at]
  if (seen === OVER || !step) return null
  const isLast = at === STEPS.length - 1
  return (
    <Box
      component="aside"
      aria-label="First steps"
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 1,
        mx: { xs: 1, md: 2.5 },
        mt: 0.5,
        pl: 1.5,
        borderLeft: `5px solid ${INK.roe}`,
        bgcolor: 'background.paper',
        '@media print': { display: 'none' },
      }}
    >
      <Typography variant="body2" sx={{ flex: 1 }}>
        <b>
          {at + 1} of {STEPS.length}.
        </b>{' '}
        {step.words}
      </Typography>
      <Button size="small" onClick={() => keep(OVER)} sx={{ minHeight: 44, flexShrink: 0 }}>
        {isLast ? 'Done' : 'Skip'}
      </Button>
    </Box>
  )
}
