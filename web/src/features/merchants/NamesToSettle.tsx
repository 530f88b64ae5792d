import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import type { OpenName, SettledName } from '@tender-gill/contract'
import { useState } from 'react'
import { INK } from '../../theme.ts'

const NOT_FISH = 'not-fish'

interface Props {
  readonly names: readonly OpenName[]
  /** What the button says. */
  readonly action: string
  readonly onSettle: (names: readonly SettledName[]) => void
}

/** Names that stand for several fish of the book, or for none: each is asked once and remembered. */
export function NamesToSettle({ names, action, onSettle }: Props) {
  const [chosen, setChosen] = useState<Readonly<Record<string, string>>>({})
  const settled = names.flatMap(({ name }): SettledName[] => {
    const one = chosen[name]
    return one === undefined ? [] : [{ name, species: one === NOT_FISH ? null : one }]
  })
  if (names.length === 0) return null
  return (
    <Box component="section" aria-label="Names to settle">
      <Typography variant="h3" gutterBottom>
        {names.length === 1 ? 'One name is' : `${names.length} names are`} not one fish of the book
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {names.map(({ name, lines, candidates }) => (
          <Box
            component="li"
            key={name}
            sx={{
              display: 'grid',
              gridTemplateColumns: { xs: '1fr', md: 'minmax(0, 1fr) minmax(0, 1.4fr)' },
              gap: 1,
              alignItems: 'center',
              borderTop: `1px solid ${INK.hairline}`,
              py: 0.75,
            }}
          >
            <div>
              <b>{name}</b>
              <Typography variant="body2" color="text.secondary">
                line {lines.slice(0, 6).join(', ')}
                {lines.length > 6 ? ` and ${lines.length - 6} more` : ''}
              </Typography>
            </div>
            <TextField
              select
              size="small"
              label={`What is ${name}?`}
              value={chosen[name] ?? ''}
              onChange={({ target }) => setChosen((before) => ({ ...before, [name]: target.value }))}
            >
              {candidates.map(({ species, common }) => (
                <MenuItem key={species} value={species}>
                  {common}, {species}
                </MenuItem>
              ))}
              <MenuItem value={NOT_FISH}>not fish for this kitchen</MenuItem>
            </TextField>
          </Box>
        ))}
      </Box>
      <Button variant="outlined" sx={{ mt: 1 }} disabled={settled.length === 0} onClick={() => onSettle(settled)}>
        {action}
      </Button>
    </Box>
  )
}
