import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import type { Entry } from '@tender-gill/contract'
import { useState } from 'react'
import { useAnswer, useSheet } from '../../engine/index.ts'
import { FishSearch } from '../../parts/fishSearch/index.ts'
import { OneOf } from '../../parts/OneOf.tsx'
import { useWriteLine } from './useWriteLines.ts'

const MOST_LETTERS = 400

interface Props {
  readonly today: string
  readonly dishes: readonly string[]
  readonly merchants: readonly string[]
}
const optional = (words: string, names: readonly string[]): readonly (readonly [string, string])[] => [
  ['', words],
  ...names.map((name) => [name, name] as const),
]

/** A lesson that no service asked for: about a dish, a fish, a merchant, or all of them. */
export function LessonForm({ today, dishes, merchants }: Props) {
  const write = useWriteLine()
  const [words, setWords] = useState('')
  const [dish, setDish] = useState('')
  const [merchant, setMerchant] = useState('')
  const [species, setSpecies] = useState('')
  const common = useAnswer(useSheet(), species || null, (desk) => desk.commonNames([species]))?.value[species]
  const about = [dish, merchant, species].filter(Boolean).length
  const keep = async () => {
    const lesson: Entry = {
      ...{ kind: 'lesson', at: new Date().toISOString(), day: today, servingId: null, method: null, offerId: null, form: null },
      ...{ dish: dish || null, species: species || null, merchant: merchant || null, words: words.trim() },
    }
    const done = await write(crypto.randomUUID(), lesson, null, { done: 'The lesson is written down.', undone: 'The lesson is withdrawn.' })
    if (done) setWords('')
  }
  return (
    <Paper component="section" aria-label="A lesson" sx={{ p: 2, mb: 1.5, display: 'grid', gap: 1 }}>
      <Typography variant="h2">A lesson</Typography>
      <TextField
        size="small"
        label="For next time"
        value={words}
        multiline
        onChange={({ target }) => setWords(target.value.slice(0, MOST_LETTERS))}
      />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        <OneOf label="About the dish" value={dish} options={optional('no dish', dishes)} onChange={setDish} sx={{ minWidth: 160 }} />
        <OneOf
          label="About the merchant"
          value={merchant}
          options={optional('no merchant', merchants)}
          onChange={setMerchant}
          sx={{ minWidth: 160 }}
        />
        {species === '' ? (
          <Box sx={{ flex: '1 1 220px', maxWidth: 320 }}>
            <FishSearch label="About which fish?" onPick={setSpecies} />
          </Box>
        ) : (
          <Button variant="outlined" onClick={() => setSpecies('')}>
            {common ?? species}: no fish
          </Button>
        )}
        <Button variant="contained" disabled={words.trim() === '' || about === 0} onClick={() => void keep()} sx={{ minHeight: 44 }}>
          Write it down
        </Button>
      </Box>
    </Paper>
  )
}
