import Box from '@mui/material/Box'
import IconButton from '@mui/material/IconButton'
import Popover from '@mui/material/Popover'
import Typography from '@mui/material/Typography'
import { useState } from 'react'
import { Link } from 'react-router'
import { HEADING, INK } from '../theme.ts'
import { EXPLANATIONS, type Explained } from './explanations.ts'

/** A small question mark beside a drawing or a figure: what it is, in a few words, and where more of it is told. */
export function WhatIsThis({ about }: { readonly about: Explained }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null)
  const { title, words, at } = EXPLANATIONS[about]
  const close = () => setAnchor(null)
  return (
    <Box component="span" sx={{ '@media print': { display: 'none' } }}>
      <IconButton
        size="small"
        aria-label={`What is this: ${title}?`}
        aria-haspopup="dialog"
        aria-expanded={anchor !== null}
        onClick={({ currentTarget }) => setAnchor(currentTarget)}
        sx={{
          // Drawn small beside what it explains, and as large as a thumb to press.
          width: 24,
          height: 24,
          position: 'relative',
          fontFamily: HEADING,
          fontSize: 14,
          fontWeight: 700,
          color: INK.kelp,
          border: `1px solid ${INK.hairline}`,
          '&::after': { content: '""', position: 'absolute', inset: { xs: -10, md: -2 } },
        }}
      >
        ?
      </IconButton>
      <Popover
        open={anchor !== null}
        anchorEl={anchor}
        onClose={close}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
        slotProps={{ paper: { role: 'dialog', 'aria-label': title, sx: { maxWidth: 360, p: 2 } } }}
      >
        <Typography component="h2" variant="h3" gutterBottom>
          {title}
        </Typography>
        <Typography gutterBottom>{words}</Typography>
        <Link to={`/help#${at}`} onClick={close} style={{ color: INK.kelp }}>
          How it is worked out
        </Link>
      </Popover>
    </Box>
  )
}
