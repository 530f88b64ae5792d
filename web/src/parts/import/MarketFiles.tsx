import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { MarketFileReport } from '@tender-gill/contract'
import { useState } from 'react'
import { addressOf, operations } from '@tender-gill/contract/operations'
import {
  useBringSeasonsFileMutation,
  useBringStocksFileMutation,
  useUndoSeasonsFileMutation,
  useUndoStocksFileMutation,
} from '../../api/api.ts'
import { useKitchenId } from '../../kitchen/index.ts'
import { BadRows } from './BadRows.tsx'
import { FilePicker } from './FilePicker.tsx'
import { useImport } from './useImport.ts'

const WORDS = { seasons: 'years', stocks: 'rows of evidence' } as const

/** Years or evidence out and in as a CSV file: looked through first, kept when the person says so, taken back in one press. */
export function MarketFiles({ what }: { readonly what: 'seasons' | 'stocks' }) {
  const [text, setText] = useState('')
  const kitchen = useKitchenId()
  const [bringSeasons] = useBringSeasonsFileMutation()
  const [bringStocks] = useBringStocksFileMutation()
  const [undoSeasons] = useUndoSeasonsFileMutation()
  const [undoStocks] = useUndoStocksFileMutation()
  const [bring, undo] = what === 'seasons' ? [bringSeasons, undoSeasons] : [bringStocks, undoStocks]
  const { report, failure, run } = useImport({
    bring: (asked: { readonly text: string; readonly keep: 'nothing' | 'good' }) => bring(asked),
    readKept: ({ brought, replaced }: MarketFileReport) => (brought.length > 0 ? { brought, replaced } : null),
    takeBack: (ids) => undo(ids).unwrap(),
    without: () => null,
    says: {
      done: 'The file is kept.',
      undone: 'The file was taken back; everything is as it was.',
      failed: 'The file could not be read by the server. Try again.',
    },
  })
  const kept = report !== null && report.brought.length > 0
  return (
    <Box component="section" aria-label="As a file" sx={{ mt: 1.5 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        <a href={addressOf(operations[`${what}File`], { kitchen })} download>
          Take out as CSV
        </a>
        <FilePicker
          size="small"
          label="Bring a CSV in"
          name={`File of ${WORDS[what]}`}
          accept=".csv,text/csv"
          onPick={(picked) => {
            setText(picked.text)
            void run({ text: picked.text, keep: 'nothing' })
          }}
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
              <Button variant="contained" size="small" onClick={() => void run({ text, keep: 'good' })}>
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
