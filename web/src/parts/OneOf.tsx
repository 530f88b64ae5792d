import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import type { SxProps, Theme } from '@mui/material/styles'

interface Props {
  readonly label: string
  readonly value: string
  /** What may be chosen, each with its words; '' where nothing may be. */
  readonly options: readonly (readonly [value: string, words: string])[]
  readonly onChange: (value: string) => void
  readonly sx?: SxProps<Theme>
}

/** One of a few, outside a form. */
export function OneOf({ label, value, options, onChange, sx }: Props) {
  return (
    <TextField
      select
      size="small"
      label={label}
      value={value}
      onChange={({ target }) => onChange(target.value)}
      slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
      sx={[{ '& .MuiInputBase-root': { minHeight: { xs: 44, md: 36 } } }, ...(Array.isArray(sx) ? sx : [sx ?? {}])]}
    >
      {options.map(([key, words]) => (
        <MenuItem key={key} value={key} sx={{ minHeight: { xs: 44, md: 36 } }}>
          {words}
        </MenuItem>
      ))}
    </TextField>
  )
}
