import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { EntryLine } from '@tender-gill/contract'
import { findOutcome } from '@tender-gill/core'
import { useState } from 'react'
import { useKitchenQuery } from '../../api/api.ts'
import { describeWithWords, describeEntryDay, type NameOf } from '../../parts/entryWords.ts'
import { HEADING, INK } from '../../theme.ts'
import { EntryDetails } from './EntryDetails.tsx'
import { useNames } from './useNames.ts'
import { useSetAside } from './useSetAside.ts'

const BAR = { good: INK.kelp, bad: INK.dulse, none: 'transparent' } as const

/** What stands below an entry: what it is about, and what was done about it. */
function sayBelow({ entry: { dish, merchant }, written, setAside }: EntryLine): string {
  const corrected = written > 1 ? [`corrected ${written === 2 ? 'once' : `${written - 1} times`}`] : []
  return [...[dish, merchant].flatMap((name) => name ?? []), ...corrected, ...(setAside ? ['set aside: an odd one'] : [])].join('; ')
}

interface RowProps {
  readonly line: EntryLine
  readonly nameOf: NameOf
  readonly today: string
}

/** One line: when, what of, what; pressed, it opens to all that was done about it. */
function EntryRow({ line, nameOf, today }: RowProps) {
  const { id, entry, setAside: aside } = line
  const [open, setOpen] = useState(false)
  const setAside = useSetAside()
  const fish = entry.species === null || entry.kind === 'swapped' ? null : nameOf(entry.species)
  return (
    <Box
      component="li"
      sx={{
        ...{
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr) auto', md: '92px minmax(0, 1fr) auto' },
          columnGap: 1.5,
          py: 0.75,
        },
        ...{ borderTop: `1px solid ${INK.hairline}`, borderLeft: `4px solid ${BAR[findOutcome(entry) ?? 'none']}`, pl: 1 },
        ...{ alignItems: 'start', opacity: aside ? 0.6 : 1 },
      }}
    >
      <Typography color="text.secondary" sx={{ gridColumn: { xs: '1 / -1', md: 'auto' }, fontSize: 14, pt: { md: 0.25 } }}>
        {describeEntryDay(entry.day, today)}
      </Typography>
      <Box sx={{ minWidth: 0 }}>
        <button
          type="button"
          aria-expanded={open}
          onClick={() => setOpen(!open)}
          style={{ all: 'unset', cursor: 'pointer', outline: 'revert', fontSize: 16, textDecoration: aside ? 'line-through' : 'none' }}
        >
          {fish && <b style={{ fontFamily: HEADING }}>{fish}: </b>}
          {describeWithWords(entry, nameOf)}
          {'\u00a0'}
          <span aria-hidden style={{ fontSize: 12 }}>
            {open ? '▴' : '▾'}
          </span>
        </button>
        <Typography variant="body2" color="text.secondary">
          {sayBelow(line)}
        </Typography>
      </Box>
      <Button size="small" onClick={() => void setAside(id, !aside, fish ?? 'The entry')} sx={{ minHeight: 36, displayPrint: 'none' }}>
        {aside ? 'Count it' : 'Odd one'}
      </Button>
      {open && (
        <Box sx={{ gridColumn: { xs: '1 / -1', md: '2 / -1' } }}>
          <EntryDetails line={line} nameOf={nameOf} />
        </Box>
      )}
    </Box>
  )
}

/** Lines of the house book. */
export function EntryList({ lines }: { readonly lines: readonly EntryLine[] }) {
  const nameOf = useNames(lines)
  const { data: kitchen } = useKitchenQuery()
  if (lines.length === 0 || !kitchen) return <Typography color="text.secondary">Nothing is written yet.</Typography>
  return (
    <Box component="ul" aria-label="Entries" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {lines.map((line) => (
        <EntryRow key={line.id} line={line} nameOf={nameOf} today={kitchen.today} />
      ))}
    </Box>
  )
}
