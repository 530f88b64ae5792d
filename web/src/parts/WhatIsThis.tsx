import Box from '@mui/material/Box'
import IconButton from '@mui/material/IconButton'
import { lazy, Suspense, useState } from 'react'
import { HEADING, INK } from '../theme.ts'
import { EXPLAINED, type Explained as About } from './explained.ts'

// Fetched when it is first asked.
const Explanation = lazy(() => import('./Explanation.tsx'))

/** A small question mark beside a drawing or a figure: what it is, in a few words, and where more of it is told. */
export function WhatIsThis({ about }: { readonly about: About }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null)
  const [opened, setOpened] = useState(false)
  const title = EXPLAINED[about]
  return (
    <Box component="span" sx={{ '@media print': { display: 'none' } }}>
      <IconButton
        size="small"
        aria-label={`What is this: ${title}?`}
        aria-haspopup="dialog"
        aria-expanded={anchor !== null}
        onClick={({ currentTarget }) => {
          setAnchor(currentTarget)
          setOpened(true)
        }}
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
      {opened && (
        <Suspense fallback={null}>
          <Explanation about={about} anchor={anchor} onClose={() => setAnchor(null)} />
        </Suspense>
      )}
    </Box>
  )
}
