import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import type { Kitchen } from '@tender-gill/contract'
import { useState } from 'react'
import { formatTemperature } from '../../reader/index.ts'
import { INK } from '../../theme.ts'
import { sayMoment } from './coldWords.ts'
import type { StandingLot } from './layLots.ts'
import type { useLotNotes } from './useLotNotes.ts'

/** Freezing that kills parasites, as commonly published. */
export const FREEZINGS = [
  { celsius: -20, hours: 168, label: `${formatTemperature(-20)} for 7 days` },
  { celsius: -35, hours: 15, label: `${formatTemperature(-35)} until solid, then 15 hours` },
] as const
const HOUR_MS = 3_600_000

interface Props {
  readonly standing: StandingLot
  readonly common: string
  readonly kitchen: Kitchen
  readonly nowMs: number
  readonly onNote: ReturnType<typeof useLotNotes>
}

/** Freezing to be eaten raw: a task with its warmth and its hours, done or not, by whom. */
export function FreezingTask({ standing, common, kitchen, nowMs, onNote }: Props) {
  const [by, setBy] = useState('')
  const { freezing } = standing.lot
  if (!freezing) return null
  const { celsius, hours, since, done } = freezing
  const overMs = Date.parse(since) + hours * HOUR_MS
  return (
    <Box sx={{ borderLeft: `4px solid ${INK.tide}`, pl: 1, my: 1 }}>
      <Typography>
        Freezing to be eaten raw: {formatTemperature(celsius)} for {hours} hours, from {sayMoment(Date.parse(since), kitchen)}
        {done ? `; done, by ${done.by}.` : overMs > nowMs ? `; not before ${sayMoment(overMs, kitchen)}.` : '; its time is over.'} Follow
        your local authority’s advice.
      </Typography>
      {!done && overMs <= nowMs && (
        <Box component="form" sx={{ display: 'flex', gap: 1, mt: 0.5 }} onSubmit={(event) => event.preventDefault()}>
          <TextField size="small" label="By whom" value={by} onChange={({ target }) => setBy(target.value.slice(0, 80))} />
          <Button
            variant="contained"
            disabled={by.trim() === ''}
            onClick={() =>
              onNote(
                standing,
                { freezing: { ...freezing, done: { at: new Date().toISOString(), by: by.trim() } } },
                { done: `${common} was frozen long enough.`, undone: `${common}: not done yet.` },
              )
            }
          >
            It is done
          </Button>
        </Box>
      )}
    </Box>
  )
}
