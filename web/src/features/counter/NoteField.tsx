import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import { useState } from 'react'

const MOST_LETTERS = 400

interface Props {
  readonly note: string
  readonly onNote: (note: string) => void
}

/** A word about a fish, kept with the look. */
export function NoteField({ note, onNote }: Props) {
  const [open, setOpen] = useState(false)
  if (!open && note === '')
    return (
      <Button variant="text" onClick={() => setOpen(true)} sx={{ mt: 1, minHeight: 44, mr: 1 }}>
        A word about it
      </Button>
    )
  return (
    <TextField
      label="A word about it"
      value={note}
      fullWidth
      multiline
      autoFocus
      sx={{ mt: 1.5 }}
      onChange={({ target }) => onNote(target.value.slice(0, MOST_LETTERS))}
    />
  )
}
