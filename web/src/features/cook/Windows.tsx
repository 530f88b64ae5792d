import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { PrepareWindow } from '@tender-gill/contract'
import { useState } from 'react'
import { terms } from '../../reader/index.ts'
import { INK } from '../../theme.ts'
import { sayMinutes, saySalt } from './cookWords.ts'

/** The whole of a window's bar, as a share of the longest; long ones are drawn on a scale of roots, so that minutes are seen beside days. */
const place = (minutes: number, most: number): number => Math.sqrt(minutes / most) * 100

function Window({ window, fishG, most }: { readonly window: PrepareWindow; readonly fishG: number; readonly most: number }) {
  const { kind, fromMinutes, toMinutes, from, to, takenG, how, tooShort, tooLong } = window
  const salt = saySalt(window, fishG)
  return (
    <Box component="li" sx={{ py: 1, borderTop: `1px solid ${INK.hairline}` }}>
      <Typography variant="h3">
        {terms.window[kind]}: {sayMinutes(fromMinutes)} to {sayMinutes(toMinutes)}
      </Typography>
      <Box sx={{ position: 'relative', height: 12, background: INK.slab, borderRadius: 1, my: 0.5 }} aria-hidden="true">
        <Box
          sx={{
            ...{ position: 'absolute', top: 0, bottom: 0, background: INK.brine, borderRadius: 1 },
            ...{ left: `${place(from.low, most)}%`, right: `${100 - place(to.high, most)}%` },
          }}
        />
        <Box
          sx={{
            ...{ position: 'absolute', top: 2, bottom: 2, background: INK.kelp, borderRadius: 1 },
            ...{ left: `${place(fromMinutes, most)}%`, right: `${100 - place(toMinutes, most)}%` },
          }}
        />
      </Box>
      <Typography>
        {salt && <b>{salt}. </b>}
        {how}
        {takenG !== null && ` In the middle of that time it has taken up about ${takenG.toFixed(1)} g of salt in 100 g.`}
      </Typography>
      <Typography variant="body2" color="text.secondary">
        Too short: {tooShort} Too long: {tooLong} It may open at {sayMinutes(from.low)} or only at {sayMinutes(from.high)}: how fast it goes
        in is known to an order of magnitude.
      </Typography>
    </Box>
  )
}

/** What can be done to the fish before it is cooked. */
export function Windows({ windows, fishG }: { readonly windows: readonly PrepareWindow[]; readonly fishG: number }) {
  const [all, setAll] = useState(false)
  const usual = windows.filter((window) => window.usual)
  const shown = all || usual.length === 0 ? windows : usual
  const most = Math.max(...shown.map(({ to }) => to.high))
  return (
    <>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {shown.map((window) => (
          <Window key={window.kind} window={window} fishG={fishG} most={most} />
        ))}
      </Box>
      {usual.length > 0 && usual.length < windows.length && (
        <Button onClick={() => setAll(!all)}>
          {all ? 'Only what is usual here' : `${windows.length - usual.length} more, less usual with this`}
        </Button>
      )}
    </>
  )
}
