import Box from '@mui/material/Box'
import type { Brief } from '@tender-gill/contract'
import { NumberField } from '../../parts/NumberField.tsx'
import { GRAMS_PER_PIECE_UNIT, PIECE_UNIT } from '../../reader/index.ts'
import type { Dish } from '../../state/useDish.ts'

const USUAL_PORTION_G = 150
const LEAST_G = 5
const MOST_G = 2_000
const toUnit = (g: number): number => Math.round((g / GRAMS_PER_PIECE_UNIT) * 10) / 10

/** Covers and portion of the dish, where the weight that follows from them is seen: changed here, they are changed in the dish. */
export function ForHowMany({ dish }: { readonly dish: Dish }) {
  const { covers = 1, portionG = USUAL_PORTION_G, portionBasis = 'cooked' } = dish.brief
  const set = (change: Partial<Brief>) => dish.edit({ brief: { ...dish.brief, ...change } })
  return (
    <Box role="group" aria-label="For how many" sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, my: 1 }}>
      <NumberField
        label="Covers"
        value={covers}
        scale={{ least: 1, most: 5_000, whole: true }}
        onChange={(now) => now !== null && set({ covers: now })}
      />
      <NumberField
        label={`A portion, ${PIECE_UNIT} ${portionBasis}`}
        value={toUnit(portionG)}
        scale={{ least: toUnit(LEAST_G), most: toUnit(MOST_G) }}
        width={180}
        onChange={(now) => now !== null && set({ portionG: Math.min(MOST_G, Math.max(LEAST_G, now * GRAMS_PER_PIECE_UNIT)) })}
      />
    </Box>
  )
}
