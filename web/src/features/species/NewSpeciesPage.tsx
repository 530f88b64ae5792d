import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import Autocomplete from '@mui/material/Autocomplete'
import { useState } from 'react'
import { useForm } from 'react-hook-form'
import { useNavigate } from 'react-router'
import { toProblemDetails, useCreateHouseSpeciesMutation, useLazySpeciesSourceQuery } from '../../api/api.ts'
import { useAnswer, useSheet, type FishName } from '../../engine/index.ts'
import { fishPath } from '../../parts/bookWords.ts'

interface Form {
  scientific: string
  common: string
}

/** A species of the house's own: begun as a copy of the nearest one in the book, then changed trait by trait on its page. */
export default function NewSpeciesPage() {
  const sheet = useSheet()
  const navigate = useNavigate()
  const fish = useAnswer(sheet, sheet ? `fish|${sheet.name}` : null, (desk) => desk.fishNames())
  const [like, setLike] = useState<FishName | null>(null)
  const [create] = useCreateHouseSpeciesMutation()
  const [fetchSource] = useLazySpeciesSourceQuery()
  const { register, handleSubmit, setError, formState } = useForm<Form>({ defaultValues: { scientific: '', common: '' } })
  const keep = handleSubmit(async ({ scientific, common }) => {
    if (!like) {
      setError('root', { message: 'Choose a fish to begin from' })
      return
    }
    const { data: written } = await fetchSource(like.species)
    const entry = written?.house?.source ?? written?.shipped
    if (!entry) {
      setError('root', { message: 'The entry it begins from could not be fetched. Try again.' })
      return
    }
    const { ifct: _row, measuredDiffers: _why, synonyms: _old, gaps: _gaps, ...source } = entry
    const answer = await create({
      source: { ...source, scientific: scientific.trim(), common: common.trim(), names: { en: [common.trim()] } },
    })
    if (!('error' in answer) || !answer.error) {
      void navigate(fishPath(scientific.trim()))
      return
    }
    for (const { path, message } of toProblemDetails(answer.error)?.problems ?? [])
      setError(path.includes('common') ? 'common' : path.includes('scientific') ? 'scientific' : 'root', {
        message: `${path.replace('/source', '')} ${message}`,
      })
  })
  return (
    <Paper component="section" aria-label="Add a species" sx={{ p: 3, mt: 1, maxWidth: 640 }}>
      <Typography variant="h1" gutterBottom>
        Add a species
      </Typography>
      <Typography gutterBottom>
        Begin from the fish it is most like; on its page you then set every trait as you know it. All of it will be marked as the house’s.
      </Typography>
      <Box component="form" onSubmit={(event) => void keep(event)} noValidate sx={{ display: 'grid', gap: 2, mt: 2 }}>
        <TextField
          label="Scientific name"
          {...register('scientific', {
            pattern: { value: /^\s*[A-Z][a-z]+ [a-z]+\s*$/, message: 'two words, as Gadus morhua' },
            required: 'must not be empty',
          })}
          error={formState.errors.scientific !== undefined}
          helperText={formState.errors.scientific?.message ?? 'Genus and species'}
        />
        <TextField
          label="What you call it"
          {...register('common', { required: 'must not be empty', maxLength: { value: 80, message: 'must have at most 80 characters' } })}
          error={formState.errors.common !== undefined}
          helperText={formState.errors.common?.message ?? ' '}
        />
        <Autocomplete
          options={fish?.value ?? []}
          getOptionLabel={({ common, species }) => `${common}, ${species}`}
          isOptionEqualToValue={(a, b) => a.species === b.species}
          value={like}
          onChange={(_event, value) => setLike(value)}
          renderInput={(params) => (
            <TextField
              {...params}
              label="Most like"
              error={formState.errors.root !== undefined}
              helperText={formState.errors.root?.message ?? ' '}
            />
          )}
        />
        <Button type="submit" variant="contained" sx={{ justifySelf: 'start' }}>
          Add it
        </Button>
      </Box>
    </Paper>
  )
}
