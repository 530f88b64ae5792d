import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { PriceList } from '@tender-gill/contract'
import { useState } from 'react'
import { usePriceListQuery, usePutListBackMutation, useSettleNamesMutation, useTakeListBackMutation } from '../../api/api.ts'
import { INK } from '../../theme.ts'
import { useAnswer, useSheet } from '../../engine/index.ts'
import { BadRows } from '../../parts/import/index.ts'
import { NamesToSettle } from './NamesToSettle.tsx'
import { QuoteGrid } from './QuoteGrid.tsx'
import { sayDay } from '../../parts/orderWords.ts'
import { useUndoable } from '../../notices/index.ts'

const FIRST_SHOWN = 8

/** A list with its rows, the names that wait on it, and what could not be kept. */
function OpenList({ id }: { readonly id: string }) {
  const { data } = usePriceListQuery(id)
  const [settle] = useSettleNamesMutation()
  const species = [...new Set(data?.quotes.map((quote) => quote.species))]
  const names = useAnswer(useSheet(), species.join(',') || null, (desk) => desk.commonNames(species))?.value ?? {}
  if (!data) return null
  return (
    <Box sx={{ pl: 2, pb: 1, display: 'grid', gap: 1 }}>
      <NamesToSettle names={data.open} action="Settle these names" onSettle={(names) => void settle({ names: [...names] })} />
      <BadRows rows={data.bad.map(({ line, column, message }) => ({ line, at: column, message }))} />
      <QuoteGrid quotes={data.quotes} names={names} />
    </Box>
  )
}

/** A merchant's lists, the newest first; each can be looked into and taken back. */
export function ListRows({ lists, today }: { readonly lists: readonly PriceList[]; readonly today: string }) {
  const [open, setOpen] = useState<string | null>(null)
  const [all, setAll] = useState(false)
  const undoable = useUndoable()
  const [takeBack] = useTakeListBackMutation()
  const [putBack] = usePutListBackMutation()
  const take = ({ id, date }: PriceList) =>
    void undoable(() => takeBack(id).unwrap(), {
      done: `The list of ${sayDay(date, today)} was taken back; its prices no longer count.`,
      undone: `The list of ${sayDay(date, today)} counts again.`,
      undo: () => putBack(id).unwrap(),
      redo: () => takeBack(id).unwrap(),
    })
  const shown = all ? lists : lists.slice(0, FIRST_SHOWN)
  return (
    <>
      {lists.length === 0 && <Typography>No list is kept yet.</Typography>}
      <Box component="ul" aria-label="Lists" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {shown.map((list) => (
          <Box component="li" key={list.id} sx={{ borderTop: `1px solid ${INK.hairline}` }}>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
              <Button size="small" aria-expanded={open === list.id} onClick={() => setOpen(open === list.id ? null : list.id)}>
                {sayDay(list.date, today)}
              </Button>
              <Typography variant="body2" sx={{ flex: 1 }}>
                {list.quotes} prices{list.bad > 0 ? `, ${list.bad} rows not kept` : ''},{' '}
                {list.source === 'feed' ? 'from the feed' : (list.fileName ?? 'typed in')}
              </Typography>
              <Button size="small" aria-label={`Take the list of ${sayDay(list.date, today)} back`} onClick={() => take(list)}>
                Take back
              </Button>
            </Box>
            {open === list.id && <OpenList id={list.id} />}
          </Box>
        ))}
      </Box>
      {lists.length > shown.length && (
        <Button size="small" onClick={() => setAll(true)}>
          Show the other {lists.length - shown.length}
        </Button>
      )}
    </>
  )
}
