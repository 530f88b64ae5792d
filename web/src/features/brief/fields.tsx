import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import { Controller, useFormContext } from 'react-hook-form'
import { DayField } from '../../parts/moments.tsx'
import type { BriefForm } from './briefForm.ts'

type Name = keyof BriefForm
interface FieldProps {
  readonly name: Name
  readonly label: string
  readonly hint?: string
}

/** A text or number field; its problem, if any, stands under it. */
export function TextInput({
  name,
  label,
  hint,
  numeric = false,
  wide = false,
}: FieldProps & { readonly numeric?: boolean; readonly wide?: boolean }) {
  const { register, formState } = useFormContext<BriefForm>()
  const problem = formState.errors[name]?.message
  return (
    <TextField
      {...register(name)}
      label={label}
      error={Boolean(problem)}
      helperText={problem ?? hint}
      fullWidth={wide}
      slotProps={{ htmlInput: { inputMode: numeric ? 'decimal' : 'text' }, inputLabel: { shrink: true } }}
      sx={{ width: wide ? undefined : { xs: numeric ? 'calc(50% - 8px)' : '100%', sm: 180 } }}
    />
  )
}

/** A day, or none. */
export function DayInput({ name, label, hint }: FieldProps) {
  const { control, formState } = useFormContext<BriefForm>()
  return (
    <Controller
      control={control}
      name={name}
      render={({ field }) => (
        <DayField
          label={label}
          value={typeof field.value === 'string' ? field.value : ''}
          problem={formState.errors[name]?.message}
          hint={hint}
          width={220}
          size="medium"
          onChange={field.onChange}
        />
      )}
    />
  )
}

/** One of a few. */
export function Choice({ name, label, hint, options }: FieldProps & { readonly options: readonly (readonly [string, string])[] }) {
  const { control, formState } = useFormContext<BriefForm>()
  const problem = formState.errors[name]?.message
  return (
    <Controller
      control={control}
      name={name}
      render={({ field }) => (
        <TextField
          {...field}
          select
          label={label}
          error={Boolean(problem)}
          helperText={problem ?? hint}
          sx={{ width: { xs: '100%', sm: 220 } }}
        >
          {options.map(([value, text]) => (
            <MenuItem key={value} value={value}>
              {text}
            </MenuItem>
          ))}
        </TextField>
      )}
    />
  )
}

/** Yes or no. */
export function Tick({ name, label }: FieldProps) {
  const { control } = useFormContext<BriefForm>()
  return (
    <Controller
      control={control}
      name={name}
      render={({ field: { value, onChange, ref } }) => (
        <FormControlLabel
          control={
            <Checkbox checked={Boolean(value)} onChange={(event) => onChange(event.target.checked)} slotProps={{ input: { ref } }} />
          }
          label={label}
        />
      )}
    />
  )
}
