import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import type { Entry, EntryAct, EntryLine } from '@tender-gill/contract'
import { addressOf, operations } from '@tender-gill/contract/operations'
import { isRecordLine } from '@tender-gill/core'
import { useState } from 'react'
import { Link } from 'react-router'
import { useEntryHistoryQuery } from '../../api/api.ts'
import { useKitchenId } from '../../kitchen/index.ts'
import { describeWithWords, type NameOf } from '../../parts/entryWords.ts'
import { describeMoment } from '../../reader/index.ts'
import { useWriteLine } from './useWriteLines.ts'

const ACTS: Readonly<Record<EntryAct['act'], string>> = {
  write: 'written',
  withdraw: 'withdrawn',
  'set-aside': 'set aside as odd',
  count: 'counted again',
}
const MOST_LETTERS = 400

/** Where a line that a record wrote is changed. */
const placeOf = (id: string): readonly [path: string, words: string] =>
  id.startsWith('purchase:') ? ['/buy', 'the buy sheet'] : id.startsWith('look:') ? ['/counter', 'the counter'] : ['/cold', 'the cold']

interface Props {
  readonly line: EntryLine
  readonly nameOf: NameOf
}

/** What may be done about a line, and everything that ever was. */
export function EntryDetails({ line, nameOf }: Props) {
  const { id } = line
  const kitchen = useKitchenId()
  const { data: history } = useEntryHistoryQuery(id)
  const write = useWriteLine()
  const [words, setWords] = useState<string | null>(null)
  /** What was corrected here a moment ago stands until the page has heard of it: what is done next is done to that. */
  const [corrected, setCorrected] = useState<Pick<EntryLine, 'entry' | 'written'> | null>(null)
  const { entry, written } = corrected && line.written < corrected.written ? corrected : line
  const [isSending, setSending] = useState(false)
  const typed = words ?? entry.words ?? ''
  const own = isRecordLine(id)
  const photo = entry.kind === 'served' ? entry.photo : null
  const [path, place] = placeOf(id)
  const isEmpty = entry.kind === 'lesson' && typed.trim() === ''
  const correct = async (now: Entry) => {
    setSending(true)
    const done = await write(id, now, entry, { done: 'The words are corrected.', undone: 'The words are as before.' })
    setSending(false)
    if (!done) return
    setCorrected({ entry: now, written: written + 1 })
    // What was typed on meanwhile stays.
    setWords((typedSince) => (typedSince === words ? null : typedSince))
  }
  return (
    <Box sx={{ display: 'grid', gap: 1, py: 1, justifyItems: 'start' }}>
      {photo !== null && (
        <img src={addressOf(operations.photo, { kitchen, id: photo })} alt="The plate as it was served" style={{ maxWidth: 280 }} />
      )}
      {own ? (
        <Typography>
          It was written by <Link to={path}>{place}</Link>, and is changed there.
        </Typography>
      ) : (
        <>
          <TextField
            size="small"
            label="In words"
            value={typed}
            onChange={({ target }) => setWords(target.value.slice(0, MOST_LETTERS))}
            multiline
            sx={{ width: 'min(100%, 480px)' }}
          />
          <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
            <Button
              variant="outlined"
              disabled={words === null || isEmpty || isSending}
              onClick={() => void correct({ ...entry, words: typed.trim() === '' ? null : typed.trim() })}
            >
              Correct the words
            </Button>
            {entry.servingId !== null && (
              <Button component={Link} to={`/house-book?day=${entry.day}`}>
                Correct the rest
              </Button>
            )}
            <Button
              color="inherit"
              onClick={() => void write(id, null, entry, { done: 'The entry is withdrawn.', undone: 'The entry stands again.' })}
            >
              Withdraw it
            </Button>
          </Box>
        </>
      )}
      {history && history.acts.length > 1 && (
        <Box component="ol" aria-label="Everything that was done about it" sx={{ m: 0, pl: 2.5 }}>
          {history.acts.map(({ act, entry: said, writtenAt }, i) => (
            <li key={`${writtenAt}${i}`}>
              {describeMoment(writtenAt)}, {ACTS[act]}
              {said ? `: ${describeWithWords(said, nameOf)}` : ''}
            </li>
          ))}
        </Box>
      )}
    </Box>
  )
}
