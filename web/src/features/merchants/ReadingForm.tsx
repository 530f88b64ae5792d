import Box from '@mui/material/Box'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { FORMS, ORIGINS, PRICE_UNITS, STATES } from '@tender-gill/contract/vocabulary'
import type { ListField, ListReading } from '@tender-gill/contract'
import { FORM_LABEL } from '../../reader/index.ts'

const FIELDS: readonly (readonly [field: ListField, label: string])[] = [
  ['name', 'The fish'],
  ['price', 'The price'],
  ['form', 'The cut'],
  ['unit', 'The unit'],
  ['eachG', 'Weight of one, g'],
  ['grade', 'The size'],
  ['origin', 'Wild or farmed'],
  ['state', 'Fresh or frozen'],
  ['currency', 'The currency'],
  ['minimumKg', 'Least order, kg'],
]
const UNIT_LABEL = { kg: 'a kilo', lb: 'a pound', each: 'each', box: 'a box' } as const

interface PickProps<T extends string> {
  readonly label: string
  readonly value: T | ''
  readonly options: readonly (readonly [T, string])[]
  readonly none?: string
  readonly onPick: (value: T | null) => void
}
const Pick = <T extends string>({ label, value, options, none, onPick }: PickProps<T>) => (
  <TextField
    select
    size="small"
    label={label}
    value={value}
    onChange={({ target }) => onPick(target.value === '' ? null : (target.value as T))}
  >
    {none !== undefined && <MenuItem value="">{none}</MenuItem>}
    {options.map(([one, words]) => (
      <MenuItem key={one} value={one}>
        {words}
      </MenuItem>
    ))}
  </TextField>
)

interface Props {
  readonly reading: ListReading
  readonly headings: readonly string[]
  readonly onChange: (reading: ListReading) => void
}

/** How a merchant's list is read: which column says what, and what holds where none does. */
export function ReadingForm({ reading, headings, onChange }: Props) {
  const columns = headings.filter((heading) => heading !== '').map((heading) => [heading, heading] as const)
  const grid = { display: 'grid', gap: 1, gridTemplateColumns: 'repeat(auto-fill, minmax(150px, 1fr))' }
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Box role="group" aria-label="Which column says what" sx={grid}>
        {FIELDS.map(([field, label]) => (
          <Pick
            key={field}
            label={label}
            value={reading.columns[field] ?? ''}
            options={columns}
            none="no column"
            onPick={(heading) => {
              const { [field]: _before, ...others } = reading.columns
              onChange({ ...reading, columns: heading === null ? others : { ...others, [field]: heading } })
            }}
          />
        ))}
      </Box>
      <Box role="group" aria-label="Where no column says it" sx={grid}>
        <Pick
          label="Else the cut is"
          value={reading.form ?? ''}
          options={FORMS.map((form) => [form, FORM_LABEL[form]])}
          none="not known"
          onPick={(form) => onChange({ ...reading, form })}
        />
        <Pick
          label="Else a price is"
          value={reading.unit}
          options={PRICE_UNITS.map((unit) => [unit, UNIT_LABEL[unit]])}
          onPick={(unit) => unit && onChange({ ...reading, unit })}
        />
        <Pick
          label="Else fish are"
          value={reading.origin ?? ''}
          options={ORIGINS.map((one) => [one, one])}
          none="either"
          onPick={(origin) => onChange({ ...reading, origin })}
        />
        <Pick
          label="Else they come"
          value={reading.state ?? ''}
          options={STATES.map((one) => [one, one])}
          none="either"
          onPick={(state) => onChange({ ...reading, state })}
        />
        <TextField
          size="small"
          label="Else the currency"
          value={reading.currency}
          slotProps={{ htmlInput: { maxLength: 3 } }}
          onChange={({ target }) => onChange({ ...reading, currency: target.value.toUpperCase() })}
        />
        <Pick
          label="Decimals after"
          value={reading.decimal}
          options={[
            ['.', 'a point, 12.50'],
            [',', 'a comma, 12,50'],
          ]}
          onPick={(decimal) => decimal && onChange({ ...reading, decimal })}
        />
      </Box>
    </Box>
  )
}
