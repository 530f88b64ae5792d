import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { MarketFileReport } from '@tender-gill/contract'
import { useRef, useState, type ChangeEvent } from 'react'
import { addressOf, operations } from '@tender-gill/contract/operations'
import {
  toProblemDetails,
  useBringSeasonsFileMutation,
  useBringStocksFileMutation,
  useUndoSeasonsFileMutation,
  useUndoStocksFileMutation,
} from '../api/api.ts'
import { useKitchenId } from '../kitchen/index.ts'
import { useUndoable } from '../notices/index.ts'
import { BadRows } from './BadRows.tsx'
import { readPicked } from './readPicked.ts'

const WORDS = { seasons: 'years', stocks: 'rows of evidence' } as const

/** Years or evidence out and in as a CSV file: looked through first, kept when the person says so, taken back in one press. */
export function MarketFiles({ what }: { readonly what: 'seasons' | 'stocks' }) {
  const input = useRef<HTMLInputElement>(null)
  const [text, setText] = useState('')
  const [report, setReport] = useState<MarketFileReport | null>(null)
  const [failure, setFailure] = useState<string>()
  const kitchen = useKitchenId()
  const undoable = useUndoable()
  const [bringSeasons] = useBringSeasonsFileMutation()
  const [bringStocks] = useBringStocksFileMutation()
  const [undoSeasons] = useUndoSeasonsFileMutation()
  const [undoStocks] = useUndoStocksFileMutation()
  const [bring, undo] = what === 'seasons' ? [bringSeasons, undoSeasons] : [bringStocks, undoStocks]
  const run = async (content: string, keep: 'nothing' | 'all' | 'good') => {
    setFailure(undefined)
    const { data, error } = await bring({ text: content, keep })
    if (data) {
      const { brought, replaced } = data
      setReport(data)
      if (brought.length > 0)
        void undoable(() => Promise.resolve({ brought, replaced }), {
          done: 'The file is kept.',
          undone: 'The file was taken back; everything is as it was.',
          undo: async (ids) => {
            await undo(ids).unwrap()
            setReport(null)
          },
        })
    } else setFailure(toProblemDetails(error)?.detail ?? 'The file could not be read by the server. Try again.')
  }
  const choose = async (event: ChangeEvent<HTMLInputElement>) => {
    const picked = await readPicked(event)
    if (!picked) return
    setText(picked.text)
    await run(picked.text, 'nothing')
  }
  const kept = report !== null && report.brought.length > 0
  return (
    <Box component="section" aria-label="As a file" sx={{ mt: 1.5 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        <a href={addressOf(operations[`${what}File`], { kitchen })} download>
          Take out as CSV
        </a>
        <Button size="small" onClick={() => input.current?.click()}>
          Bring a CSV in
        </Button>
        <input
          ref={input}
          type="file"
          accept=".csv,text/csv"
          hidden
          aria-label={`File of ${WORDS[what]}`}
          onChange={(event) => void choose(event)}
        />
      </Box>
      <div role="status">
        {failure && <Alert severity="error">{failure}</Alert>}
        {report && (
          <>
            <Typography>
              {report.rows} rows: {report.good} good{report.bad.length > 0 ? `, ${report.bad.length} bad` : ''}.
            </Typography>
            {!kept && report.good > 0 && (
              <Button variant="contained" size="small" onClick={() => void run(text, 'good')}>
                Keep the good {WORDS[what]}
              </Button>
            )}
            {kept && (
              <Typography>
                {report.brought.length} {WORDS[what]} kept, {report.replaced.length} replaced.
              </Typography>
            )}
          </>
        )}
      </div>
      {report && <BadRows rows={report.bad.map(({ line, column, message }) => ({ line, at: column, message }))} />}
    </Box>
  )
}
