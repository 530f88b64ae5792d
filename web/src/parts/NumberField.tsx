import TextField from '@mui/material/TextField'
import { useState } from 'react'
import { readTyped, type Scale } from '../typed/index.ts'

interface Props {
  readonly label: string
  readonly value: number | null
  /** What may be typed. */
  readonly scale: Scale
  /** Whether nothing may be said. */
  readonly optional?: boolean
  readonly width?: number
  readonly onChange: (value: number | null) => void
}

const write = (value: number | null): string => (value === null ? '' : String(value))

/** A number with a comma or a point; what is none yet stays as it is typed, says what is wanted, and is not kept. */
export function NumberField({ label, value, scale, optional = false, width = 150, onChange }: Props) {
  const [typed, setTyped] = useState({ of: value, text: write(value) })
  const text = typed.of === value ? typed.text : write(value)
  const read = readTyped(text, scale)
  const problem = read.kind === 'wrong' ? read.message : read.kind === 'none' && !optional ? 'a number is wanted' : undefined
  return (
    <TextField
      size="small"
      label={label}
      value={text}
      error={problem !== undefined}
      helperText={problem}
      sx={{ width }}
      slotProps={{ htmlInput: { inputMode: 'decimal' } }}
      onChange={({ target }) => {
        const next = readTyped(target.value, scale)
        const kept = next.kind === 'number' ? next.value : next.kind === 'none' && optional ? null : value
        setTyped({ of: kept, text: target.value })
        if (kept !== value) onChange(kept)
      }}
    />
  )
}
