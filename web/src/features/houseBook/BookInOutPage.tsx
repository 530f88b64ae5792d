import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import type { HouseBookFile, HouseBookReport } from '@tender-gill/contract'
import { addressOf, operations } from '@tender-gill/contract/operations'
import { useState } from 'react'
import { Link } from 'react-router'
import { useBringHouseBookMutation, useUndoHouseBookMutation } from '../../api/api.ts'
import { useKitchenId } from '../../kitchen/index.ts'
import { BadRows, FilePicker, useImport } from '../../parts/import/index.ts'
import { HouseBookRooms } from '../../parts/HouseBookRooms.tsx'

/** What a page of paper becomes: the columns somebody fills in who brings a year of it. */
const SAMPLE = [
  'kind,day,dish,method,species,offer,form,covers,note_firmness,again,words,bought_as,bought_g,edible_g',
  'served,2025-11-02,Fish pie,poach,Haddock,"wild, fresh",fillet-skin-on,8,-1,yes,,,,',
  'weighed,2025-11-02,Fish pie,poach,Haddock,"wild, fresh",fillet-skin-on,,,,,whole,3000,1400',
  'lesson,2025-11-03,Fish pie,,Haddock,,,,,,Off the heat sooner,,,',
]

/** The house book out and in: looked through first, kept when the person says so, taken back in one press. */
export default function BookInOutPage() {
  const kitchen = useKitchenId()
  const [picked, setPicked] = useState<Pick<HouseBookFile, 'format' | 'text'>>({ format: 'csv', text: '' })
  const [bring] = useBringHouseBookMutation()
  const [undo] = useUndoHouseBookMutation()
  const { report, failure, isLoading, run } = useImport({
    bring: (asked: HouseBookFile) => bring(asked),
    readKept: ({ importId }: HouseBookReport) => (importId === null ? null : { importId }),
    takeBack: (file) => undo(file).unwrap(),
    without: () => null,
    says: {
      done: 'The file is in the house book.',
      undone: 'The file was taken back; the house book is as it was.',
      failed: 'The file could not be read by the server. Try again.',
    },
  })
  const out = (format: 'csv' | 'json') => `${addressOf(operations.houseBookFile, { kitchen })}?format=${format}`
  const fresh = report ? report.good - report.same : 0
  return (
    <Box sx={{ maxWidth: 980 }}>
      <HouseBookRooms here="/house-book/files" />
      <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: 'minmax(0, 1fr)' }}>
        <Paper component="section" aria-label="Take it out" sx={{ p: 2 }}>
          <Typography variant="h2">Take it out</Typography>
          <Typography gutterBottom>Every entry of every kind; brought in again, it reads the same.</Typography>
          <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap' }}>
            <a href={out('csv')} download>
              As CSV
            </a>
            <a href={out('json')} download>
              As JSON
            </a>
          </Box>
        </Paper>
        <Paper component="section" aria-label="Bring paper in" sx={{ p: 2 }}>
          <Typography variant="h2">Bring paper in</Typography>
          <Typography gutterBottom>
            A row an entry. Fish may be called what people call it; where a name or an offer could be several, the row is told and asks
            which. The same file brought twice is there once.
          </Typography>
          <Box component="pre" sx={{ overflowX: 'auto', fontSize: 13, m: 0, mb: 1.5 }} tabIndex={0} aria-label="How a file looks">
            {SAMPLE.join('\n')}
          </Box>
          <FilePicker
            variant="outlined"
            label="Choose a CSV or JSON file"
            name="File of the house book"
            accept=".csv,.json,text/csv,application/json"
            onPick={({ name, text }) => {
              const format = name.toLowerCase().endsWith('.json') ? 'json' : 'csv'
              setPicked({ format, text })
              void run({ format, text, keep: 'nothing' })
            }}
          />
          <div role="status">
            {isLoading && <Typography>The file is looked through…</Typography>}
            {failure && <Alert severity="error">{failure}</Alert>}
            {report && (
              <>
                <Typography sx={{ mt: 1 }}>
                  {report.rows} rows: {report.good} good{report.same > 0 ? `, ${report.same} of them written already` : ''}
                  {report.bad.length > 0 ? `, ${report.bad.length} reasons against others` : ''}.
                </Typography>
                {report.importId === null && fresh > 0 && (
                  <Button variant="contained" onClick={() => void run({ ...picked, keep: 'good' })} sx={{ mt: 1 }}>
                    {report.bad.length > 0 ? `Keep the ${fresh} good ones` : `Keep all ${fresh}`}
                  </Button>
                )}
                {report.importId !== null && (
                  <Typography>
                    {report.kept} entries are kept. <Link to="/house-book/learnt">What it taught</Link>
                  </Typography>
                )}
              </>
            )}
          </div>
          {report && <BadRows rows={report.bad.map(({ line, column, message }) => ({ line, at: column, message }))} />}
        </Paper>
      </Box>
    </Box>
  )
}
