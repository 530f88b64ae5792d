import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import type { Form, ResolvedOffer } from '@tender-gill/contract'
import { toProblemDetails, useCreatePriceMutation, useRemovePriceMutation } from '../../api/api.ts'
import { useUndoable } from '../../notices/index.ts'
import { FORM_LABEL, MASS_PRICED, MASS_UNIT, describeDay, formatMassPrice, toMassPrice } from '../../reader/index.ts'
import { typedNumber } from '../../typed/index.ts'

interface PriceFieldProps {
  readonly offer: ResolvedOffer
  readonly form: Form
  readonly currency: string
  readonly today: string
  readonly typed: string
  readonly onType: (text: string) => void
}

/** A price typed in: counts at once here, and for the line-up once it is kept. */
export function PriceField({ offer, form, currency, today, typed, onType }: PriceFieldProps) {
  const [keep, { isLoading, error }] = useCreatePriceMutation()
  const [remove] = useRemovePriceMutation()
  const undoable = useUndoable()
  const known = offer.prices.find((price) => price.form === form)
  const price = typedNumber(typed, { above: 0 })
  const wrong = typed.trim() !== '' && price === undefined
  const submit = async () => {
    if (price === undefined) return
    const { species, origin, state, part } = offer
    const quote = { species, origin, state, part, form, price, currency, unit: MASS_UNIT, date: today }
    const done = await undoable(() => keep({ price: quote }).unwrap(), {
      done: `The price of ${offer.common} is kept. The line-up counts it from now on.`,
      undone: `The price of ${offer.common} was taken back.`,
      undo: ({ id, revision }) => remove({ id, revision }).unwrap(),
    })
    if (done) onType('')
  }
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault()
        void submit()
      }}
      sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'flex-start' }}
    >
      <TextField
        label={`Price ${MASS_PRICED.toLowerCase()}, ${FORM_LABEL[form]}`}
        value={typed}
        onChange={(event) => onType(event.target.value)}
        error={wrong}
        placeholder={known ? toMassPrice(known.perKg.typical).toFixed(2) : 'as on the list'}
        helperText={
          wrong
            ? 'A price is a number above 0'
            : known
              ? `${formatMassPrice(known.perKg.typical, known.currency)} kept${known.latestDate ? ` of ${describeDay(known.latestDate)}` : ''}${known.merchant ? `, ${known.merchant}` : ''}`
              : 'No price is kept for this form'
        }
        slotProps={{ htmlInput: { inputMode: 'decimal' } }}
      />
      <Button type="submit" variant="outlined" disabled={isLoading || wrong || typed.trim() === ''} sx={{ mt: 1 }}>
        Keep this price
      </Button>
      <Box role="status" sx={{ flexBasis: '100%' }}>
        {error && (
          <Alert severity="error">{toProblemDetails(error)?.detail ?? 'It could not be kept. What you typed is still here.'}</Alert>
        )}
      </Box>
    </Box>
  )
}
