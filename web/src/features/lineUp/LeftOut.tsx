import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import useMediaQuery from '@mui/material/useMediaQuery'
import type { Brief, Gate, LeftOutFish } from '@tender-gill/contract'
import { applyOpenings } from '@tender-gill/core'
import { GATE_LABEL } from '../../reader/index.ts'
import { useState } from 'react'
import { INK } from '../../theme.ts'
import { LeftOutGrid } from './LeftOutGrid.tsx'

interface Props {
  readonly leftOut: readonly LeftOutFish[]
  readonly brief: Brief
  /** Opened from the first: these are the ones that were looked for. */
  readonly shown?: boolean
  readonly onOpen: (brief: Brief) => void
}

function countGates(leftOut: readonly LeftOutFish[]): readonly (readonly [Gate, number])[] {
  const counts = new Map<Gate, number>()
  for (const { gate } of leftOut) counts.set(gate, (counts.get(gate) ?? 0) + 1)
  return [...counts].sort((a, b) => b[1] - a[1])
}

/** Who was left out and why, counted by reason; each with what would let it in. */
export function LeftOut({ leftOut, brief, shown = false, onOpen }: Props) {
  const [open, setOpen] = useState(shown)
  const wide = useMediaQuery('(min-width: 901px)')
  if (leftOut.length === 0) return null
  return (
    <Box component="section" aria-label="Left out" sx={{ borderTop: `1px solid ${INK.hairline}`, p: 1 }}>
      <Typography>
        <b>Left out {leftOut.length}:</b>{' '}
        {countGates(leftOut)
          .map(([gate, n]) => `${n} ${GATE_LABEL[gate]}`)
          .join(', ')}
        .{' '}
        <Button size="small" onClick={() => setOpen(!open)} aria-expanded={open}>
          {open ? 'Fold away' : 'Show who and why'}
        </Button>
      </Typography>
      {open && wide && <LeftOutGrid leftOut={leftOut} onOpen={(opens) => onOpen(applyOpenings(brief, opens))} />}
      {open && !wide && (
        <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
          {leftOut.map(({ species, common, gate, sentence, opensIf, opens }) => (
            <Box component="li" key={species} sx={{ py: 0.75, borderTop: `1px solid ${INK.hairline}` }}>
              <b>{common}</b>{' '}
              <Box component="span" sx={{ color: 'error.main' }}>
                {GATE_LABEL[gate]}
              </Box>
              . {sentence}
              {opens && opensIf && (
                <Box sx={{ color: 'text.secondary' }}>
                  {opensIf}{' '}
                  <Button size="small" onClick={() => onOpen(applyOpenings(brief, opens))}>
                    Change the brief so
                  </Button>
                </Box>
              )}
            </Box>
          ))}
        </Box>
      )}
    </Box>
  )
}
