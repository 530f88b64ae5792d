import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import useMediaQuery from '@mui/material/useMediaQuery'
import type { Cook } from '@tender-gill/contract'
import { useState } from 'react'
import { CookCurve } from '../../drawings/CookCurve.tsx'
import { PieceHeat } from '../../drawings/PieceHeat.tsx'
import { formatLength, formatTemperature } from '../../reader/index.ts'
import { INK } from '../../theme.ts'
import { sayHeadline, sayMinutes, sayRange, sayStage } from './cookWords.ts'

interface Props {
  readonly cook: Cook
  readonly common: string
  readonly dish: string
  readonly round: boolean
  readonly skinOn: boolean
  readonly stale: boolean
  /** It braises on for its tenderness. */
  readonly long: boolean
  /** The end of a stage was dragged. */
  readonly onEnd: (stage: number, minutes: number) => void
}

const lies = (cook: Cook, minute: number): 'below' | 'above' => {
  const turns = cook.stages.filter(({ turned, fromMinutes }) => turned && fromMinutes <= minute).length
  return turns % 2 === 0 ? 'below' : 'above'
}

/** The answer, the piece with the heat in it, and the curve over the stages. */
export function CookSheet({ cook, common, dish, round, skinOn, stale, long, onEnd }: Props) {
  const [looked, setLooked] = useState<number | null>(null)
  const narrow = useMediaQuery('(max-width: 640px)')
  const minute = Math.min(looked ?? cook.pull.minutes.typical * 0.6, cook.curve.at(-1)?.minute ?? 0)
  const [first] = cook.curve
  if (!first) return null
  const now = cook.curve.reduce((best, one) => (Math.abs(one.minute - minute) < Math.abs(best.minute - minute) ? one : best), first)
  const rises = cook.peakC.typical - cook.pull.coreC
  return (
    <Paper
      component="section"
      aria-label="When it is done"
      sx={{ gridArea: 'sheet', p: { xs: 1.5, md: 3 }, opacity: stale ? 0.7 : 1 }}
      aria-busy={stale}
    >
      <Typography variant="h1" sx={{ fontSize: { xs: 26, md: 32 } }}>
        <span role="status" aria-label="When to take it out">
          {sayHeadline(cook)}
        </span>
      </Typography>
      <Typography color="text.secondary" sx={{ mb: 1.5 }}>
        <b>{dish}</b>: {common}, {formatLength(cook.depthMm)} deep, from {formatTemperature(cook.startC)}.{' '}
        {rises >= 1
          ? `It rises to ${formatTemperature(Math.round(cook.peakC.typical))} by itself while it rests. `
          : 'Nothing is left to the rest. '}
        By the clock alone it ends between {formatTemperature(Math.round(cook.peakC.low))} and{' '}
        {formatTemperature(Math.round(cook.peakC.high))}: check the middle.
      </Typography>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap', mb: 1 }}>
        <Box sx={{ flex: '0 1 226px' }}>
          <PieceHeat
            throughC={now.throughC}
            depthMm={cook.depthMm}
            round={round}
            skin={skinOn ? lies(cook, minute) : 'none'}
            label={`The piece at ${sayMinutes(minute)}: ${formatTemperature(Math.round(now.surfaceC))} at the face, ${formatTemperature(Math.round(now.coreC))} in the middle`}
          />
        </Box>
        <Box sx={{ flex: '1 1 240px' }}>
          <Typography>
            At {sayMinutes(minute)}: <b>{formatTemperature(Math.round(now.coreC))} in the middle</b>,{' '}
            {formatTemperature(Math.round(now.surfaceC))} at the hotter face.
          </Typography>
          <Typography variant="body2" color="text.secondary" sx={{ displayPrint: 'none' }}>
            Drag the white knob along the minutes; drag the end of a stage to cook it otherwise. The probe goes in from the side, to the red
            dot.
          </Typography>
          {cook.thinEnd && (
            <Typography variant="body2" sx={{ mt: 0.5 }}>
              The thin end ({formatLength(cook.thinEnd.depthMm)}) is at {formatTemperature(Math.round(cook.thinEnd.peakC))} when the thick
              end is out: fold it under, or cut it off
              {cook.thinEnd.minutes === null ? '' : ` and give it ${sayMinutes(cook.thinEnd.minutes)}`}.
            </Typography>
          )}
        </Box>
      </Box>
      <CookCurve
        moments={cook.curve}
        stages={cook.stages.map((stage) => ({ ...stage, label: sayStage(stage) }))}
        out={cook.pull.minutes}
        targetC={cook.targetC}
        narrow={narrow}
        minute={minute}
        onLook={setLooked}
        onEnd={onEnd}
        writeC={formatTemperature}
        writeMinutes={sayMinutes}
      />
      <Typography variant="body2" sx={{ borderLeft: `4px solid ${INK.roe}`, pl: 1, mt: 1 }}>
        {long ? cook.sentence : `In all ${sayRange(cook.total)} until the middle is at its hottest.`}
      </Typography>
      {looked !== null && (
        <Button sx={{ displayPrint: 'none' }} onClick={() => setLooked(null)}>
          Back to where it was
        </Button>
      )}
    </Paper>
  )
}
