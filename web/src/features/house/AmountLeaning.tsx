import TextField from '@mui/material/TextField'
import { useState } from 'react'
import { readTyped } from '../../typed/index.ts'

interface Props {
  readonly label: string
  readonly hint: string
  readonly amount: number | undefined
  /** What it is counted in. */
  readonly unit: string
  readonly digits?: number
  readonly most?: number
  readonly onSet: (amount: number | undefined) => void
}

/** An amount that is kept once the field is left or Enter is pressed; emptied, nothing is said of it. */
export function AmountLeaning({ label, hint, amount, unit, digits = 2, most = Infinity, onSet }: Props) {
  const [typed, setTyped] = useState<string | null>(null)
  const read = readTyped(typed ?? '', { above: 0, most })
  const wanted = read.kind === 'number' ? read.value : undefined
  const [kept, setKept] = useState(amount)
  if (kept !== amount) {
    setKept(amount)
    // What was typed stands here until it is kept, and gives way to it then; what has been typed since stays.
    if (wanted === amount) setTyped(null)
  }
  const wrong = typed !== null && read.kind === 'wrong'
  const keep = () => {
    if (typed === null || wrong) return
    if (wanted === amount) setTyped(null)
    else onSet(wanted)
  }
  return (
    <TextField
      label={`${label}, ${unit}`}
      value={typed ?? (amount === undefined ? '' : amount.toFixed(digits))}
      onChange={(event) => setTyped(event.target.value)}
      onBlur={keep}
      onKeyDown={(event) => {
        if (event.key === 'Enter') keep()
        if (event.key === 'Escape') setTyped(null)
      }}
      error={wrong}
      helperText={wrong ? (most < Infinity ? `A number above 0, to ${most}, or nothing` : 'A number above 0, or nothing') : hint}
      slotProps={{ htmlInput: { inputMode: 'decimal' }, inputLabel: { shrink: true } }}
      sx={{ width: { xs: '100%', sm: 340 } }}
    />
  )
}
