import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { NumberField } from '../../parts/NumberField.tsx'
import { GRAMS_PER_MASS_UNIT, MASS_PRICED, MASS_UNIT } from '../../reader/index.ts'
import { Foot, TwoButtons } from './LookFoot.tsx'
import type { Bought } from './useCounterNotes.ts'

interface Props {
  readonly name: string
  readonly g: number
  readonly perKg: number | null
  readonly currency: string
  readonly onDone: (bought: Bought) => void
  readonly onLeave: () => void
}

const toHundredth = (n: number): number => Math.round(n * 100) / 100

/** What it weighs and costs: as it was wanted and asked for, until somebody types otherwise; then it is in the bag. */
export function TakeForm({ name, g, perKg, currency, onDone, onLeave }: Props) {
  const [weight, setWeight] = useState<number | null>(toHundredth(g / GRAMS_PER_MASS_UNIT))
  const [price, setPrice] = useState<number | null>(perKg === null ? null : toHundredth((perKg * GRAMS_PER_MASS_UNIT) / 1000))
  return (
    <Box
      component="form"
      aria-label={`What ${name} weighs and costs`}
      onSubmit={(event) => {
        event.preventDefault()
        if (weight === null) return
        const paid = price === null ? null : (price * 1000) / GRAMS_PER_MASS_UNIT
        onDone({ g: weight * GRAMS_PER_MASS_UNIT, perKg: paid, currency: paid === null ? null : currency })
      }}
    >
      <Typography variant="h1" gutterBottom>
        {name}, into the bag
      </Typography>
      <Typography color="text.secondary" sx={{ mb: 2 }}>
        As it was wanted and asked for. Type another figure where the scales say otherwise.
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, '& input': { fontSize: 22, minHeight: 44 } }}>
        <NumberField label={`Weight, ${MASS_UNIT}`} value={weight} scale={{ above: 0, most: 10_000 }} onChange={setWeight} />
        <NumberField
          label={`Paid ${MASS_PRICED.toLowerCase()}, ${currency}`}
          value={price}
          scale={{ above: 0, most: 100_000 }}
          optional
          onChange={setPrice}
        />
      </Box>
      <Foot>
        <TwoButtons>
          <Button type="submit" variant="contained" disabled={weight === null}>
            In the bag
          </Button>
          <Button variant="outlined" onClick={onLeave}>
            Back
          </Button>
        </TwoButtons>
      </Foot>
    </Box>
  )
}
