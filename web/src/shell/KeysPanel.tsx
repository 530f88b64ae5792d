import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { FLOATS } from './floats.ts'
import { areKeysOn, setKeysOn } from './useKeys.ts'

const ROWS: readonly (readonly [string, string])[] = [
  ['/', 'find a fish'],
  ...FLOATS.map(({ key, label }) => [`g ${key}`, label.toLowerCase()] as const),
  ['s', 'stand-ins'],
  ['up, down', 'along a list'],
  ['Escape', 'puts a dragged band back, closes'],
  ['?', 'these keys'],
]

/** The keys, and the switch that rests them. */
export function KeysPanel({ onClose }: { readonly onClose: () => void }) {
  const [on, setOn] = useState(areKeysOn())
  const flip = () => {
    setKeysOn(!on)
    setOn(!on)
  }
  return (
    <Paper role="dialog" aria-label="Keys" sx={{ position: 'fixed', zIndex: 50, right: 24, bottom: 24, p: 2, minWidth: 280 }}>
      <Typography variant="h2">Keys</Typography>
      <dl>
        {ROWS.map(([key, what]) => (
          <div key={key} style={{ display: 'flex', gap: 12 }}>
            <dt style={{ width: 72, fontWeight: 700 }}>{key}</dt>
            <dd style={{ margin: 0 }}>{what}</dd>
          </div>
        ))}
      </dl>
      <Button onClick={flip}>{on ? 'Switch single keys off' : 'Switch single keys on'}</Button>
      <Button onClick={onClose} autoFocus>
        Close
      </Button>
    </Paper>
  )
}
