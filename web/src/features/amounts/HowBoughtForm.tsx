import Box from '@mui/material/Box'
import TextField from '@mui/material/TextField'
import { OneOf } from '../../parts/OneOf.tsx'
import { PIECE_UNIT, formatMass } from '../../reader/index.ts'
import { findMistakes, type HowBought } from './howBought.ts'

const RISKS: readonly (readonly [value: string, words: string])[] = [
  ['', 'as the house has it'],
  ['0.01', 'in 1 of 100'],
  ['0.05', 'in 5 of 100'],
  ['0.1', 'in 10 of 100'],
  ['0.25', 'in 25 of 100'],
  ['0.5', 'every other time'],
]
const SOLD: readonly (readonly [value: string, words: string])[] = [
  ['weight', 'loose, by weight'],
  ['piece', 'whole, by the piece'],
  ['pack', 'in packs or boxes'],
]

interface Props {
  readonly how: HowBought
  readonly onSet: (key: keyof HowBought, value: string) => void
}

/** How the fish is sold, the chance of falling short that is taken, and what is there already. */
export function HowBoughtForm({ how, onSet }: Props) {
  const mistakes = findMistakes(how)
  const field = (key: 'stepG' | 'packG' | 'fromG' | 'toG' | 'haveG', label: string, hint = ' ') => (
    <TextField
      size="small"
      label={label}
      value={how[key]}
      error={mistakes[key] !== undefined}
      helperText={mistakes[key] ?? hint}
      onChange={({ target }) => onSet(key, target.value)}
      slotProps={{ htmlInput: { inputMode: 'decimal' } }}
      sx={{ width: 150 }}
    />
  )
  return (
    <Box
      role="group"
      aria-label="How it is bought"
      sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1, rowGap: 1, alignItems: 'flex-start', my: 1.5 }}
    >
      <OneOf label="It may fall short" value={how.risk} options={RISKS} onChange={(risk) => onSet('risk', risk)} sx={{ minWidth: 180 }} />
      <OneOf label="Sold" value={how.by} options={SOLD} onChange={(by) => onSet('by', by)} sx={{ minWidth: 180 }} />
      {how.by === 'weight' && field('stepG', `In steps of, ${PIECE_UNIT}`, `Empty: ${formatMass(50)}`)}
      {how.by === 'pack' && field('packG', `A pack holds, ${PIECE_UNIT}`)}
      {how.by === 'piece' && (
        <>
          {field('fromG', `A piece from, ${PIECE_UNIT}`, 'Empty: its own size')}
          {field('toG', `to, ${PIECE_UNIT}`)}
        </>
      )}
      {field('haveG', `I have already, ${PIECE_UNIT}`, 'How many it feeds')}
    </Box>
  )
}
