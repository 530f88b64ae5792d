import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import type { Brief, BuyLine } from '@tender-gill/contract'
import { GRAMS_PER_LB, type JudgedPrice } from '@tender-gill/core'
import type { Told } from '@tender-gill/words'
import { useState } from 'react'
import { nameQuestion, useAnswer, useSheet } from '../../engine/index.ts'
import { NumberField } from '../../parts/NumberField.tsx'
import { GRAMS_PER_MASS_UNIT } from '../../reader/index.ts'
import { INK } from '../../theme.ts'

const UNITS = ['kilo', 'pound', 'piece'] as const
export type AskedUnit = (typeof UNITS)[number]
export interface Asked {
  readonly amount: number | null
  readonly unit: AskedUnit
}
export const NOTHING_ASKED: Asked = { amount: null, unit: GRAMS_PER_MASS_UNIT === 1000 ? 'kilo' : 'pound' }

/** Weight of one piece as it is sold, g; null where none are counted. */
const pieceG = ({ buy: { g, count } }: BuyLine): number | null => (count === null ? null : g / count)

/** What is asked for a kilogram; null where nothing is, or a piece has no weight. */
export function toPerKg({ amount, unit }: Asked, line: BuyLine): number | null {
  if (amount === null) return null
  if (unit === 'piece') {
    const g = pieceG(line)
    return g === null ? null : (amount * 1000) / g
  }
  return unit === 'kilo' ? amount : (amount * 1000) / GRAMS_PER_LB
}

/** How a price that is asked stands: against what is usual, the limit, and the next rung; undefined while nothing is asked. */
export function usePriceVerdict(line: BuyLine, brief: Brief | undefined, currency: string, asked: Asked): Told<JudgedPrice> | undefined {
  const { species, offerId, form, perKg: estimate, limit, standIns, servings } = line
  const perKg = toPerKg(asked, line)
  const rung = standIns.find(({ servingId }) => servingId === servings[0]?.servingId) ?? null
  const question = {
    ...{ perKg: perKg ?? 0, currency, estimate, limitPerKg: limit?.perKg ?? null },
    rung: rung && { common: rung.common, offerId: rung.offerId, form: rung.form },
  }
  const judged = useAnswer(useSheet(brief?.date), perKg === null || !brief ? null : nameQuestion({ question, brief, offerId }), (desk) =>
    desk.asked(brief as Brief, { species, offerId, form }, question),
  )?.value
  return perKg === null ? undefined : judged
}

interface Props {
  readonly line: BuyLine
  readonly currency: string
  readonly asked: Asked
  readonly onAsk: (asked: Asked) => void
}

/** What they ask, for a kilo, a pound or a piece; how that stands is said at the foot, with the fish itself. */
export function PriceCheck({ line, currency, asked, onAsk }: Props) {
  const [open, setOpen] = useState(false)
  if (!open && asked.amount === null)
    return (
      <Button variant="text" onClick={() => setOpen(true)} sx={{ mt: 1, minHeight: 44 }}>
        What do they ask for it?
      </Button>
    )
  return (
    <Box component="section" aria-label="What they ask" sx={{ mt: 1.5, '& input': { scrollMarginBottom: 320 } }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'flex-start' }}>
        <NumberField
          label={`They ask, ${currency}`}
          value={asked.amount}
          scale={{ above: 0, most: 100_000 }}
          optional
          onChange={(amount) => onAsk({ ...asked, amount })}
        />
        <ToggleButtonGroup
          exclusive
          value={asked.unit}
          aria-label="For how much"
          onChange={(_event, unit: AskedUnit | null) => unit && onAsk({ ...asked, unit })}
          sx={{ '& .MuiToggleButton-root': { minHeight: 44, textTransform: 'none', bgcolor: INK.ice } }}
        >
          {UNITS.filter((unit) => unit !== 'piece' || pieceG(line) !== null).map((unit) => (
            <ToggleButton key={unit} value={unit}>
              a {unit}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      </Box>
    </Box>
  )
}
