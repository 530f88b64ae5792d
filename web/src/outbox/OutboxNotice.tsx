import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { useEffect, useRef, useState } from 'react'
import { useDispatch } from 'react-redux'
import type { PurchaseRecord } from '@tender-gill/contract'
import { usePurchasesQuery } from '../api/api.ts'
import type { AppDispatch } from '../state/store.ts'
import { INK } from '../theme.ts'
import { commandSettled, type Given, type Outbox } from './outboxSlice.ts'
import { useWaiting } from './useOutbox.ts'
import { writeOver } from './writeOver.ts'

/** A command the server would not have: what it was, why, and what to do about it. */
function Refused({ given }: { readonly given: Given }) {
  const dispatch = useDispatch<AppDispatch>()
  const { data: purchases } = usePurchasesQuery(undefined, { skip: !given.command.endsWith('Purchase') })
  const mine = writeOver(given, purchases ?? ([] as readonly PurchaseRecord[]))
  const settle = (again: Given | null) => dispatch(commandSettled({ id: given.id, again }))
  return (
    <Box component="li" sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1, py: 0.5 }}>
      <span>
        <b>{given.words}</b> {given.state === 'conflict' ? 'Somebody else wrote this down otherwise.' : `Not kept: ${given.problem ?? ''}.`}
      </span>
      {mine && <Button onClick={() => settle(mine)}>Keep mine</Button>}
      <Button color="inherit" onClick={() => settle(null)}>
        {given.state === 'conflict' ? 'Keep theirs' : 'Let it go'}
      </Button>
    </Box>
  )
}

/** What is sent at once is not told: a line that comes and goes would move the page under a thumb. */
const TOLD_AFTER_MS = 2_000

/** Whether something has waited for longer than a server takes that is there; once told, until all of it is sent. */
function useWaitsLong(waiting: Outbox): boolean {
  const [long, setLong] = useState(false)
  const since = waiting.find(({ state }) => state === 'waiting')?.at
  const waits = since !== undefined
  const first = useRef(since)
  useEffect(() => {
    first.current = since
  }, [since])
  useEffect(() => {
    if (!waits) return undefined
    const waitedMs = Date.now() - Date.parse(first.current ?? '')
    const timer = setTimeout(() => setLong(true), Math.max(0, TOLD_AFTER_MS - (waitedMs || 0)))
    return () => {
      clearTimeout(timer)
      setLong(false)
    }
  }, [waits])
  return long
}

/** What waits in this browser for the server, and what it would not have: on every page until it is settled. */
export function OutboxNotice() {
  const waiting = useWaiting()
  const refused = waiting.filter(({ state }) => state !== 'waiting')
  const open = waiting.length - refused.length
  const long = useWaitsLong(waiting)
  return (
    <div role="status" aria-label="What waits to be sent">
      {open > 0 && long && (
        <Box sx={{ bgcolor: INK.ice, borderBottom: `1px solid ${INK.hairline}`, px: 2, py: 0.5, fontSize: 14 }}>
          {open === 1 ? '1 note is kept here' : `${open} notes are kept here`} and sent as soon as there is a connection.
        </Box>
      )}
      {refused.length > 0 && (
        <Box component="ul" sx={{ bgcolor: INK.ice, borderBottom: `3px solid ${INK.brass}`, m: 0, px: 2, py: 0.5, listStyle: 'none' }}>
          {refused.map((given) => (
            <Refused key={given.id} given={given} />
          ))}
        </Box>
      )}
    </div>
  )
}
