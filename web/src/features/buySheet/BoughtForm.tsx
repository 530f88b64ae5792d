import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import type { BuyLine } from '@tender-gill/contract'
import { useState } from 'react'
import { NumberField } from '../../parts/NumberField.tsx'
import { GRAMS_PER_MASS_UNIT, MASS_PRICED, MASS_UNIT } from '../../reader/index.ts'
import type { Came } from './usePurchases.ts'

interface Props {
  readonly line: BuyLine
  readonly currency: string
  readonly onDone: (came: Came) => void
  readonly onLeave: () => void
}

/** A weight within this of what was ordered is all of it. */
const AS_ORDERED = 0.98
const toUnit = (g: number): number => Math.round((g / GRAMS_PER_MASS_UNIT) * 100) / 100

/** What came and what was paid: as it was ordered and as the list has it, until somebody types another figure. */
export function BoughtForm({ line, currency, onDone, onLeave }: Props) {
  const orderedG = line.purchase?.purchase.orderedG ?? line.buy.g
  const known = line.asked?.perKg ?? line.perKg?.typical ?? null
  const priced = line.currency ?? currency
  const [weight, setWeight] = useState<number | null>(toUnit(line.purchase?.purchase.g ?? orderedG))
  const [price, setPrice] = useState<number | null>(known === null ? null : Math.round(((known * GRAMS_PER_MASS_UNIT) / 1000) * 100) / 100)
  const submit = () => {
    if (weight === null) return
    const g = weight * GRAMS_PER_MASS_UNIT
    onDone({
      state: g < orderedG * AS_ORDERED ? 'short' : 'bought',
      g,
      perKg: price === null ? null : (price * 1000) / GRAMS_PER_MASS_UNIT,
      currency: price === null ? null : priced,
    })
  }
  return (
    <Box
      component="form"
      aria-label={`What came of ${line.common}`}
      onSubmit={(event) => {
        event.preventDefault()
        submit()
      }}
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'flex-start', mt: 1 }}
    >
      <NumberField label={`Weight that came, ${MASS_UNIT}`} value={weight} scale={{ above: 0, most: 10_000 }} onChange={setWeight} />
      <NumberField
        label={`Paid ${MASS_PRICED.toLowerCase()}, ${priced}`}
        value={price}
        scale={{ above: 0, most: 100_000 }}
        optional
        onChange={setPrice}
      />
      <Button type="submit" variant="contained" disabled={weight === null} sx={{ minHeight: 44 }}>
        Keep it
      </Button>
      <Button onClick={onLeave} sx={{ minHeight: 44 }}>
        Leave it
      </Button>
    </Box>
  )
}
