import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { EntryLine } from '@tender-gill/contract'
import { findOutcome } from '@tender-gill/core'
import { useSetEntryAsideMutation } from '../../api/api.ts'
import { useUndoable } from '../../notices/index.ts'
import { describeEntry } from '../../parts/entryWords.ts'
import { describeDay } from '../../reader/index.ts'
import { HEADING, INK } from '../../theme.ts'
import { useNames } from './useNames.ts'

/** Sets a line or a learnt value aside, or counts it again; undone in one press. */
export function useSetAside() {
  const [set] = useSetEntryAsideMutation()
  const undoable = useUndoable()
  return (about: string, aside: boolean, what: string) =>
    undoable(() => set({ about, aside }).unwrap(), {
      done: aside ? `${what} is set aside: it counts for nothing.` : `${what} counts again.`,
      undone: aside ? `${what} counts again.` : `${what} is set aside again.`,
      undo: () => set({ about, aside: !aside }).unwrap(),
      redo: () => set({ about, aside }).unwrap(),
    })
}

const BAR = { good: INK.kelp, bad: INK.dulse, none: 'transparent' } as const

/** Lines of the book: when, what of, what; each can be set aside as odd. */
export function EntryList({ lines }: { readonly lines: readonly EntryLine[] }) {
  const nameOf = useNames(lines)
  const setAside = useSetAside()
  if (lines.length === 0) return <Typography color="text.secondary">Nothing is written yet.</Typography>
  return (
    <Box component="ul" aria-label="Entries" sx={{ listStyle: 'none', m: 0, p: 0 }}>
      {lines.map(({ id, entry, setAside: aside, written }) => {
        const fish = entry.species === null || entry.kind === 'swapped' ? null : nameOf(entry.species)
        const about = [entry.dish, entry.merchant].filter(Boolean).join('; ')
        return (
          <Box
            component="li"
            key={id}
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
              {describeDay(entry.day)}
              {entry.day.slice(0, 4) === new Date().toISOString().slice(0, 4) ? '' : ` ${entry.day.slice(0, 4)}`}
            </Typography>
            <Box sx={{ minWidth: 0 }}>
              <Box sx={{ fontSize: 16, textDecoration: aside ? 'line-through' : 'none' }}>
                {fish && <b style={{ fontFamily: HEADING }}>{fish}: </b>}
                {describeEntry(entry, nameOf)}
              </Box>
              <Typography variant="body2" color="text.secondary">
                {[
                  about,
                  ...(written > 1 ? [`corrected ${written - 1 === 1 ? 'once' : `${written - 1} times`}`] : []),
                  ...(aside ? ['set aside: an odd one'] : []),
                ]
                  .filter(Boolean)
                  .join('; ')}
              </Typography>
            </Box>
            <Button
              size="small"
              onClick={() => void setAside(id, !aside, fish ?? 'The entry')}
              sx={{ minHeight: 36, displayPrint: 'none' }}
            >
              {aside ? 'Count it' : 'Odd one'}
            </Button>
          </Box>
        )
      })}
    </Box>
  )
}
