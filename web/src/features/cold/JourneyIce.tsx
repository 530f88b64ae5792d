import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import Paper from '@mui/material/Paper'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import type { Journey } from '@tender-gill/contract'
import { BOXES, type Box as Carrier } from '@tender-gill/contract/vocabulary'
import { computeIceKg } from '@tender-gill/core'
import { useState } from 'react'
import { MeasuredField } from '../../parts/MeasuredField.tsx'
import { NumberField } from '../../parts/NumberField.tsx'
import { formatMassToBuy, formatTemperature, GRAMS_PER_MASS_UNIT, MASS_UNIT } from '../../reader/index.ts'
import { HEADING } from '../../theme.ts'

const BOX_WORDS: Readonly<Record<Carrier, string>> = {
  'eps-20l': 'foam box, 20 litres',
  cooler: 'good cooler',
  'thin-bag': 'thin bag',
  'open-tray': 'open tray',
}
/** As it lies at a counter, °C. */
const COUNTER_C = 4
const USUAL = { minutes: 40, ambientC: 20, box: 'thin-bag' } as const

/** Ice as it is scooped: in steps of 50 g, never less than is reckoned. */
const sayIce = (kg: number): string => `${formatMassToBuy(Math.ceil(kg * 20) * 50)} of ice`

/** How a lot was carried, in words. */
export const describeJourney = (journey: Journey): string =>
  `Carried for ${Math.round(journey.hours * 60)} minutes at ${formatTemperature(journey.ambientC)} in a ${BOX_WORDS[journey.box]}: ${sayIce(computeIceKg(journey))}.`

interface Props {
  /** What is carried, g. */
  readonly g: number
  /** As it was carried, where that was written down. */
  readonly journey?: Journey | null
  /** Writes down that it was carried so; without it the ice is only reckoned. */
  readonly onKeep?: (journey: Journey) => void
}

/** Ice for the way home: so much that the fish arrives as cold as it should be kept. */
export function JourneyIce({ g, journey = null, onKeep }: Props) {
  const [weight, setWeight] = useState<number | null>(Math.round(((journey?.massKg ?? g / 1000) * 100_000) / GRAMS_PER_MASS_UNIT) / 100)
  const [minutes, setMinutes] = useState<number | null>(journey ? Math.round(journey.hours * 60) : USUAL.minutes)
  const [ambientC, setAmbient] = useState<number | null>(journey?.ambientC ?? USUAL.ambientC)
  const [box, setBox] = useState<Carrier>(journey?.box ?? USUAL.box)
  const asked: Journey | null =
    weight === null || minutes === null || ambientC === null
      ? null
      : { massKg: (weight * GRAMS_PER_MASS_UNIT) / 1000, startC: COUNTER_C, ambientC, hours: minutes / 60, box }
  return (
    <Paper component="section" aria-label="Ice for the way home" sx={{ p: { xs: 1.5, md: 2 } }}>
      <Typography variant="h2">Ice for the way home</Typography>
      <Box component="p" role="status" aria-label="How much ice" sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: 30, m: 0, my: 0.5 }}>
        {asked === null ? 'A figure is missing' : sayIce(computeIceKg(asked))}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <NumberField label={`Fish, ${MASS_UNIT}`} value={weight} scale={{ above: 0, most: 1000 }} width={110} onChange={setWeight} />
        <NumberField label="Minutes" value={minutes} scale={{ least: 0, most: 14_400 }} width={100} onChange={setMinutes} />
        <MeasuredField
          label="Warmth outside"
          measure="celsius"
          value={ambientC}
          scale={{ least: -30, most: 50 }}
          width={160}
          onChange={setAmbient}
        />
        <TextField
          select
          size="small"
          label="Carried in"
          value={box}
          sx={{ width: 190 }}
          onChange={({ target }) => setBox(target.value as Carrier)}
        >
          {BOXES.map((one) => (
            <MenuItem key={one} value={one}>
              {BOX_WORDS[one]}
            </MenuItem>
          ))}
        </TextField>
        {onKeep && (
          <Button variant="outlined" disabled={asked === null} sx={{ minHeight: 44 }} onClick={() => asked && onKeep(asked)}>
            It was carried so
          </Button>
        )}
      </Box>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.5 }}>
        A quarter more than the heat through the walls and out of the fish melts. An estimate: how a box leaks was not measured on yours.
      </Typography>
    </Paper>
  )
}
