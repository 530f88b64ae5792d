import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import LinearProgress from '@mui/material/LinearProgress'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import type { SpeciesImport, SpeciesImportReport } from '@tender-gill/contract'
import { useState } from 'react'
import { addressOf, operations } from '@tender-gill/contract/operations'
import { useImportSpeciesMutation, useUndoImportMutation } from '../../api/api.ts'
import { useKitchenId } from '../../kitchen/index.ts'
import { BadRows, FilePicker, useImport, type PickedFile } from '../../parts/import/index.ts'

interface ChosenFile {
  readonly name: string
  readonly format: SpeciesImport['format']
  readonly text: string
}

const EXPORTS: readonly (readonly [words: string, operation: 'exportSpecies' | 'speciesSchema', search: string])[] = [
  ['The whole book, JSON', 'exportSpecies', '?format=json'],
  ['The whole book, CSV', 'exportSpecies', '?format=csv'],
  ['The house’s hand alone, JSON', 'exportSpecies', '?format=json&what=house'],
  ['The house’s hand alone, CSV', 'exportSpecies', '?format=csv&what=house'],
  ['The schema a file must keep', 'speciesSchema', ''],
]

function describeReport({ rows, good, same, bad }: SpeciesImportReport): string {
  const unchanged = same > 0 ? `, ${same} of them just as the book has them` : ''
  return `${rows} rows: ${good} good${unchanged}, ${bad.length} bad.`
}

/** Species in and out as files. A file is checked first; nothing of it is kept until the person says so, and an import can be taken back. */
export default function FilesPage() {
  const [file, setFile] = useState<ChosenFile | null>(null)
  const kitchen = useKitchenId()
  const [bring] = useImportSpeciesMutation()
  const [undo] = useUndoImportMutation()
  const { report, failure, isLoading, run, forget } = useImport({
    bring: ({ format, text, keep }: SpeciesImport) => bring({ format, text, keep }),
    readKept: ({ importId }: SpeciesImportReport) => importId,
    takeBack: (id) => undo(id).unwrap(),
    without: () => null,
    says: {
      done: 'The file is kept.',
      undone: 'The import was taken back; everything is as it was.',
      failed: 'The file could not be read by the server. Try again.',
    },
  })
  const choose = (picked: PickedFile) => {
    const chosen: ChosenFile = { ...picked, format: picked.name.toLowerCase().endsWith('.json') ? 'json' : 'csv' }
    setFile(chosen)
    forget()
    void run({ ...chosen, keep: 'nothing' })
  }
  const { importId } = report ?? {}
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1.5,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 2fr) minmax(0, 1fr)' },
        alignItems: 'start',
        mt: 1,
      }}
    >
      <Paper component="section" aria-label="Bring a file in" sx={{ p: 2, display: 'grid', gap: 1.5 }}>
        <Typography variant="h1">Bring species in</Typography>
        <Typography>
          A CSV file with a header line, or JSON. Every row is checked as the book’s own are; nothing is kept before you say so. A row for a
          fish the book has may give only the columns it changes.
        </Typography>
        <FilePicker
          variant="contained"
          label="Choose a file"
          name="File of species"
          accept=".csv,.json,text/csv,application/json"
          onPick={choose}
        />
        {isLoading && <LinearProgress aria-label="Checking the file" />}
        {failure && <Alert severity="error">{failure}</Alert>}
        {file && report && !isLoading && (
          <>
            <Typography variant="h2" component="p" role="status">
              {file.name}. {describeReport(report)}
            </Typography>
            {importId && <Typography>{report.kept} species kept in the house’s hand.</Typography>}
            {!importId && report.good > report.same && (
              <Box sx={{ display: 'flex', gap: 1 }}>
                <Button variant="contained" onClick={() => void run({ ...file, keep: report.bad.length > 0 ? 'good' : 'all' })}>
                  {report.bad.length > 0 ? `Keep the ${report.good} good rows` : `Keep all ${report.good}`}
                </Button>
                <Button
                  onClick={() => {
                    setFile(null)
                    forget()
                  }}
                >
                  Keep nothing
                </Button>
              </Box>
            )}
            {report.bad.length > 0 && (
              <BadRows heading="Species" rows={report.bad.map(({ line, species, message }) => ({ line, at: species, message }))} />
            )}
          </>
        )}
      </Paper>
      <Paper component="section" aria-label="Take a file out" sx={{ p: 2 }}>
        <Typography variant="h2" gutterBottom>
          Take species out
        </Typography>
        <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
          {EXPORTS.map(([words, operation, search]) => (
            <li key={words} style={{ padding: '6px 0' }}>
              <a href={`${addressOf(operations[operation], { kitchen })}${search}`} download={operation === 'exportSpecies'}>
                {words}
              </a>
            </li>
          ))}
        </Box>
        <Typography variant="body2" color="text.secondary">
          What goes out comes back the same.
        </Typography>
      </Paper>
    </Box>
  )
}
