import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { styled } from '@mui/material/styles'
import { useState } from 'react'
import { Link, useLocation } from 'react-router'
import { INK } from '../theme.ts'
import { FLOATS, type Float } from './floats.ts'

const Line = styled('ol')({
  listStyle: 'none',
  margin: 0,
  padding: '4px 28px 6px',
  display: 'flex',
  justifyContent: 'space-between',
  position: 'relative',
  '&:before': { content: '""', position: 'absolute', left: 28, right: 28, top: 13, borderTop: `2px solid ${INK.hairline}` },
})
const Stop = styled(Link)({
  display: 'flex',
  flexDirection: 'column',
  alignItems: 'center',
  gap: 3,
  minWidth: 76,
  color: INK.slate,
  textDecoration: 'none',
  position: 'relative',
  '&[aria-current]': { color: INK.squid, fontWeight: 700 },
})
const Bob = styled('span')({
  width: 16,
  height: 16,
  borderRadius: 8,
  background: INK.slab,
  border: `2px solid ${INK.slate}`,
  '&[data-state=done]': { background: INK.kelp, borderColor: INK.kelp },
  '&[data-state=here]': { background: INK.roe, borderColor: INK.squid },
})

/** The dish in the address, and the float one stands at. */
function readPlace(pathname: string): { id: string | undefined; slug: string | undefined } {
  const [, first, id, slug] = pathname.split('/')
  return first === 'dishes' && id ? { id, slug: id === 'new' ? 'brief' : slug } : { id: undefined, slug: undefined }
}

const addressOf = (id: string | undefined, slug: string) => (!id || id === 'new' ? '/dishes/new' : `/dishes/${id}/${slug}`)

function Item({ float, at, index, here }: { readonly float: Float; readonly at: string; readonly index: number; readonly here: number }) {
  const state = index === here ? 'here' : index < here ? 'done' : 'open'
  return (
    <li>
      <Stop to={at} aria-current={index === here ? 'step' : undefined}>
        <Bob data-state={state} />
        {float.label}
      </Stop>
    </li>
  )
}

const BESIDE = 'line-up'

/** The line of floats; on a phone one step with previous, next and a sheet of all eight. */
export function FloatLine() {
  const { pathname } = useLocation()
  const { id, slug } = readPlace(pathname)
  const [open, setOpen] = useState(false)
  const here = FLOATS.findIndex((float) => float.slug === slug)
  if (!slug) return null
  const isBeside = here < 0
  const next = isBeside ? undefined : FLOATS[here + 1]
  // What stands beside the line, a pot or the year of a dish, was reached from its line-up.
  const before = isBeside ? FLOATS.slice(0, FLOATS.findIndex((float) => float.slug === BESIDE) + 1) : FLOATS.slice(0, here)
  const previous = before.at(-1)
  return (
    <Box component="nav" aria-label="The line" sx={{ '@media print': { display: 'none' } }}>
      <Box sx={{ display: { xs: 'none', md: 'block' } }}>
        <Line>
          {FLOATS.map((float, index) => (
            <Item key={float.slug} float={float} at={addressOf(id, float.slug)} index={index} here={here} />
          ))}
        </Line>
      </Box>
      <Box sx={{ display: { xs: 'flex', md: 'none' }, alignItems: 'center', gap: 1, px: 1, py: 0.5 }}>
        <Button component={Link} to={previous ? addressOf(id, previous.slug) : '/'} aria-label={`Back to ${previous?.label ?? 'home'}`}>
          ‹ {previous?.label ?? 'Home'}
        </Button>
        <Button onClick={() => setOpen(!open)} aria-expanded={open} sx={{ flex: 1, color: INK.squid }}>
          {isBeside ? 'The line' : `${FLOATS[here]?.label ?? ''}, ${here + 1} of ${FLOATS.length}`}
        </Button>
        {next && id !== 'new' ? (
          <Button component={Link} to={addressOf(id, next.slug)}>
            {next.label} ›
          </Button>
        ) : (
          <Box sx={{ width: 64 }} />
        )}
      </Box>
      {open && (
        <Box
          component="ul"
          sx={{ display: { md: 'none' }, listStyle: 'none', m: 1, p: 1, bgcolor: 'background.paper', border: `1px solid ${INK.hairline}` }}
        >
          {FLOATS.map((float) => (
            <li key={float.slug}>
              <Button
                component={Link}
                to={addressOf(id, float.slug)}
                onClick={() => setOpen(false)}
                fullWidth
                sx={{ justifyContent: 'flex-start' }}
              >
                {float.label}
              </Button>
            </li>
          ))}
        </Box>
      )}
    </Box>
  )
}
