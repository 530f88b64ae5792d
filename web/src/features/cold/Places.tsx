import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import type { ColdPlaceRecord, ColdReading, Kitchen } from '@tender-gill/contract'
import type { PlaceWarmth } from '@tender-gill/core'
import type { Told } from '@tender-gill/words'
import { useState } from 'react'
import { useCreateColdPlaceMutation, useKeepReadingsMutation, useRemoveColdPlaceMutation } from '../../api/api.ts'
import { useUndoable } from '../../notices/index.ts'
import { MeasuredField } from '../../parts/MeasuredField.tsx'
import { formatTemperature } from '../../reader/index.ts'
import { HEADING, INK } from '../../theme.ts'
import { sayMoment } from './coldWords.ts'

const HOURS = 24
const MOST_C = 16
const LEAST_C = -24

/** How warm a place was over the last day, as a line. */
function WarmthLine({
  readings,
  nowMs,
  words,
}: {
  readonly readings: readonly ColdReading[]
  readonly nowMs: number
  readonly words: string
}) {
  const from = nowMs - HOURS * 3_600_000
  const shown = readings.map(({ at, celsius }) => [Date.parse(at), celsius] as const).filter(([ms]) => ms >= from)
  const all = shown.map(([, celsius]) => celsius)
  const low = Math.max(LEAST_C, Math.min(0, ...all))
  const high = Math.min(MOST_C + 4, Math.max(low + 6, ...all))
  const points = shown
    .map(([ms, celsius]) => `${(200 * (ms - from)) / (nowMs - from)},${40 - (36 * (celsius - low)) / (high - low)}`)
    .join(' ')
  return (
    <svg viewBox="0 0 200 44" width="100%" height={44} preserveAspectRatio="none" role="img" aria-label={words}>
      <path
        d={`M0 ${40 - (36 * (5 - low)) / (high - low)} H200`}
        stroke={INK.brass}
        strokeDasharray="4 4"
        vectorEffect="non-scaling-stroke"
      />
      <polyline points={points} fill="none" stroke={INK.tide} strokeWidth={2} vectorEffect="non-scaling-stroke" />
    </svg>
  )
}

interface PlaceProps {
  readonly record: ColdPlaceRecord
  readonly warmth: Told<PlaceWarmth> | undefined
  readonly readings: readonly ColdReading[]
  readonly kitchen: Kitchen
  readonly nowMs: number
}

function Place({ record: { id, place }, warmth, readings, kitchen, nowMs }: PlaceProps) {
  const [typed, setTyped] = useState<number | null>(null)
  const [keep] = useKeepReadingsMutation()
  const latest = warmth?.latest
  const say = latest
    ? `${formatTemperature(latest.celsius)} at ${sayMoment(latest.atMs, kitchen)}`
    : `usually ${formatTemperature(place.usualC)}`
  return (
    <Box component="li" sx={{ borderTop: `1px solid ${INK.hairline}`, py: 1 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1 }}>
        <Typography variant="h3" sx={{ flex: 1 }}>
          {place.name}
        </Typography>
        <Box component="strong" sx={{ fontFamily: HEADING, fontSize: 26 }}>
          {formatTemperature(latest?.celsius ?? place.usualC)}
        </Box>
      </Box>
      {warmth?.problem && (
        <Typography role="alert" sx={{ borderLeft: `4px solid ${INK.dulse}`, pl: 1, fontWeight: 700 }}>
          {warmth.problem}
        </Typography>
      )}
      {readings.length > 1 && <WarmthLine readings={readings} nowMs={nowMs} words={`${place.name} over the last day; ${say}`} />}
      <Typography variant="body2" color="text.secondary">
        {say}
        {place.thermometer === null ? '; no thermometer: write down what you read' : `; thermometer “${place.thermometer}”`}
      </Typography>
      <Box
        component="form"
        sx={{ display: 'flex', gap: 1, mt: 0.5, alignItems: 'flex-start' }}
        onSubmit={(event) => {
          event.preventDefault()
          if (typed === null) return
          void keep({ id, input: { readings: [{ at: new Date().toISOString(), celsius: typed }] } })
            .unwrap()
            .then(() => setTyped(null))
            .catch(() => undefined)
        }}
      >
        <MeasuredField
          label="I read"
          measure="celsius"
          value={typed}
          scale={{ least: -60, most: 60 }}
          optional
          width={120}
          onChange={setTyped}
        />
        <Button type="submit" variant="outlined" disabled={typed === null} sx={{ minHeight: 44 }}>
          Write it down
        </Button>
      </Box>
    </Box>
  )
}

const USUAL = [
  { name: 'The fridge', kind: 'fridge', usualC: 4, thermometer: null },
  { name: 'The freezer', kind: 'freezer', usualC: -18, thermometer: null },
] as const

interface Props {
  readonly places: readonly ColdPlaceRecord[]
  readonly warmths: readonly Told<PlaceWarmth>[]
  readonly readings: readonly ColdReading[]
  readonly kitchen: Kitchen
  readonly nowMs: number
}

/** Where fish is kept, how warm it is there, and what somebody reads. */
export function Places({ places, warmths, readings, kitchen, nowMs }: Props) {
  const [create] = useCreateColdPlaceMutation()
  const [remove] = useRemoveColdPlaceMutation()
  const undoable = useUndoable()
  const missing = USUAL.filter(({ kind }) => !places.some(({ place }) => place.kind === kind))
  return (
    <Paper component="section" aria-labelledby="places" sx={{ p: { xs: 1.5, md: 2 } }}>
      <Typography id="places" variant="h2">
        Where it is kept
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {places.map((record) => (
          <Place
            key={record.id}
            record={record}
            warmth={warmths.find(({ id }) => id === record.id)}
            readings={readings.filter(({ place }) => place === record.id)}
            kitchen={kitchen}
            nowMs={nowMs}
          />
        ))}
      </Box>
      {missing.map((place) => (
        <Button
          key={place.kind}
          sx={{ minHeight: 44 }}
          onClick={() =>
            void undoable(() => create({ place }).unwrap(), {
              done: `${place.name} is on the list, at ${formatTemperature(place.usualC)}.`,
              undone: `${place.name} is off the list.`,
              undo: ({ id, revision }) => remove({ id, revision }).unwrap(),
            })
          }
        >
          Add {place.name.toLowerCase()}
        </Button>
      ))}
    </Paper>
  )
}
