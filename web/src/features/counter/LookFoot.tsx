import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { Freshness } from '@tender-gill/contract'
import type { JudgedPrice } from '@tender-gill/core'
import type { Told } from '@tender-gill/words'
import type { ReactNode } from 'react'
import { AgeBar } from '../../drawings/AgeBar.tsx'
import { HEADING, INK } from '../../theme.ts'
import { OUTCOME_WORDS } from './counterWords.ts'

/** Stays at the foot of the screen whatever is above it. */
export const Foot = ({ children }: { readonly children: ReactNode }) => (
  <Box
    sx={{
      position: 'sticky',
      bottom: 0,
      mt: 2,
      mx: { xs: -1, md: 0 },
      px: 2,
      py: 1.25,
      bgcolor: INK.ice,
      borderTop: `3px solid ${INK.squid}`,
      zIndex: 2,
    }}
  >
    {children}
  </Box>
)

/** Two buttons, no more. */
export const TwoButtons = ({ children }: { readonly children: ReactNode }) => (
  <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.25, mt: 1, '& .MuiButton-root': { minHeight: 52, fontSize: 17 } }}>
    {children}
  </Box>
)

const TONE = {
  unknown: INK.slate,
  cheap: INK.kelp,
  fair: INK.kelp,
  dear: INK.brass,
  'past-limit': INK.dulse,
  'past-rung': INK.dulse,
} as const

interface Props {
  readonly answer: Freshness
  /** How the price that is asked stands, where one is. */
  readonly price: Told<JudgedPrice> | undefined
  /** Whether anything was seen yet. */
  readonly looked: boolean
  readonly nextSign: string | null
  readonly onNext: () => void
  readonly onTake: () => void
  readonly onWalk: () => void
  readonly onRefused: () => void
}

/** What to do with the fish, how sure that is, and the two things one can do now. */
export function LookFoot({ answer, price, looked, nextSign, onNext, onTake, onWalk, onRefused }: Props) {
  const { outcome, chanceEnough, chanceToday, iceDays, keepingDays, neededIceDays, vetoes, sentence } = answer
  const left = outcome === 'walk-away'
  const sure = Math.min(99, Math.round(100 * (outcome === 'buy' ? chanceEnough : chanceToday)))
  return (
    <Foot>
      <Box
        role="status"
        aria-label="What to do with it"
        sx={{ borderLeft: left && looked ? `8px solid ${INK.dulse}` : 'none', pl: left && looked ? 1.25 : 0 }}
      >
        <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1 }}>
          <Box component="strong" sx={{ fontFamily: HEADING, fontSize: 30, lineHeight: 1.1, flex: 1 }}>
            {looked ? OUTCOME_WORDS[outcome] : 'Look at it first'}
          </Box>
          {looked && vetoes.length === 0 && <b>sure in {sure} of 100</b>}
        </Box>
        {left && looked && <Typography>{sentence.replace(/^Walk away[.:] ?/, '')}</Typography>}
        {looked && outcome === 'today' && (
          <Typography>It lasts until it is eaten in only {Math.round(100 * chanceEnough)} of 100.</Typography>
        )}
      </Box>
      {!(left && vetoes.length > 0) && <AgeBar iceDays={iceDays} keepingDays={keepingDays} neededIceDays={neededIceDays} />}
      {price && (
        <Typography
          role="status"
          aria-label="How the price stands"
          sx={{ fontWeight: 700, mt: 0.5, pl: 1, borderLeft: `6px solid ${TONE[price.verdict]}` }}
        >
          {price.sentence}
        </Typography>
      )}
      <TwoButtons>
        {left && looked ? (
          <Button variant="contained" onClick={onWalk}>
            Something else
          </Button>
        ) : looked ? (
          <Button variant="contained" onClick={onTake}>
            Take it
          </Button>
        ) : (
          <Button variant="outlined" onClick={onRefused}>
            They will not show it
          </Button>
        )}
        {nextSign !== null && looked ? (
          <Button variant="outlined" onClick={onNext}>
            Next: {nextSign.toLowerCase()}
          </Button>
        ) : (
          <Button variant="outlined" onClick={left && looked ? onTake : onWalk} disabled={left && looked && vetoes.length > 0}>
            {left && looked ? 'Take it all the same' : 'It is not here'}
          </Button>
        )}
      </TwoButtons>
    </Foot>
  )
}
