import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import type { Kitchen } from '@tender-gill/contract'
import { describeDay } from '../../reader/index.ts'
import { Controller, useForm } from 'react-hook-form'
import { toProblemDetails, useCreateRateMutation, useRatesQuery, useRemoveRateMutation } from '../../api/api.ts'
import { DayField } from '../../parts/moments.tsx'
import { typedNumber } from '../../typed/index.ts'

interface RateForm {
  readonly currency: string
  readonly worth: string
  readonly date: string
}

const WORTH = { above: 0 }

/** What other currencies are worth in the kitchen's own, from a day on: a quote is counted by the latest rate on or before its day. */
export function Rates({ kitchen }: { readonly kitchen: Kitchen }) {
  const { data: rates = [] } = useRatesQuery()
  const [create, { error }] = useCreateRateMutation()
  const [remove] = useRemoveRateMutation()
  const { control, register, handleSubmit, reset, formState } = useForm<RateForm>({
    defaultValues: { currency: '', worth: '', date: kitchen.today },
  })
  const keep = handleSubmit(async ({ currency, worth, date }) => {
    const { data } = await create({ rate: { currency: currency.toUpperCase(), date, worth: typedNumber(worth, WORTH) ?? 0 } })
    if (data) reset()
  })
  const { errors } = formState
  return (
    <Paper component="section" aria-label="Rates" sx={{ p: 2 }}>
      <Typography variant="h2" gutterBottom>
        Other currencies
      </Typography>
      <Typography variant="body2" color="text.secondary" gutterBottom>
        Prices in another currency are compared only from the day you say what it is worth.
      </Typography>
      <Box component="ul" aria-label="Rates kept" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {rates.map(({ id, revision, rate }) => (
          <Box component="li" key={id} sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
            <Typography sx={{ flex: 1 }}>
              1 {rate.currency} is {rate.worth} {kitchen.currency} from {describeDay(rate.date)} {rate.date.slice(0, 4)}
            </Typography>
            <Button size="small" onClick={() => void remove({ id, revision })} aria-label={`Take the rate of ${rate.currency} away`}>
              Take away
            </Button>
          </Box>
        ))}
      </Box>
      <Box component="form" onSubmit={(event) => void keep(event)} sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1 }}>
        <TextField
          size="small"
          label="Currency"
          sx={{ width: 110 }}
          error={!!errors.currency}
          helperText={errors.currency?.message}
          {...register('currency', { pattern: { value: /^[A-Za-z]{3}$/, message: 'three letters' }, required: 'three letters' })}
        />
        <TextField
          size="small"
          label={`is worth, ${kitchen.currency}`}
          sx={{ width: 130 }}
          error={!!errors.worth}
          helperText={errors.worth?.message}
          slotProps={{ htmlInput: { inputMode: 'decimal' } }}
          {...register('worth', { validate: (text) => typedNumber(text, WORTH) !== undefined || 'a number above 0' })}
        />
        <Controller
          control={control}
          name="date"
          rules={{ required: 'a day is wanted' }}
          render={({ field }) => (
            <DayField required label="from" value={field.value} problem={errors.date?.message} onChange={field.onChange} />
          )}
        />
        <Button type="submit" variant="outlined">
          Keep the rate
        </Button>
      </Box>
      {error && <Alert severity="error">{toProblemDetails(error)?.detail ?? 'It could not be kept. What you typed is still here.'}</Alert>}
    </Paper>
  )
}
