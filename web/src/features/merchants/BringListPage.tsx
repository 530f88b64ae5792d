import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import LinearProgress from '@mui/material/LinearProgress'
import Paper from '@mui/material/Paper'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import type { Kitchen, ListReading, MerchantRecord, PriceListInput, PriceListReport, SettledName } from '@tender-gill/contract'
import { useState } from 'react'
import { Link, useParams } from 'react-router'
import { useBringListMutation, useKitchenQuery, useMerchantsQuery, useTakeListBackMutation } from '../../api/api.ts'
import { BadRows, FilePicker, useImport } from '../../parts/import/index.ts'
import { DayField } from '../../parts/moments.tsx'
import { Waiting } from '../../parts/Waiting.tsx'
import { INK } from '../../theme.ts'
import { MarketRooms } from '../../parts/MarketRooms.tsx'
import { NamesToSettle } from './NamesToSettle.tsx'
import { ReadingForm } from './ReadingForm.tsx'

/** The first rows as they stand in the list. */
function Sample({ headings, sample }: Pick<PriceListReport, 'headings' | 'sample'>) {
  return (
    <Box sx={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label="The first rows">
      <Box
        component="table"
        sx={{
          borderCollapse: 'collapse',
          fontSize: 14,
          '& th, & td': { border: `1px solid ${INK.hairline}`, textAlign: 'left', px: 1, py: 0.25 },
        }}
      >
        <thead>
          <tr>
            {headings.map((heading, i) => (
              <th key={i} scope="col">
                {heading}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {sample.map((row, i) => (
            <tr key={i}>
              {row.map((cell, at) => (
                <td key={at}>{cell}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </Box>
    </Box>
  )
}

function describeReport({ rows, good, bad, open }: PriceListReport): string {
  const waiting = open.reduce((sum, { lines }) => sum + lines.length, 0)
  return [
    `${rows} ${rows === 1 ? 'row' : 'rows'}: ${good} can be kept`,
    ...(waiting > 0 ? [`${waiting} ${waiting === 1 ? 'waits' : 'wait'} for a name`] : []),
    ...(bad.length > 0 ? [`${bad.length} cannot be read`] : []),
  ].join(', ')
}

/** What the button keeps. */
function describeKeep({ good, bad, open }: PriceListReport): string {
  const whole = bad.length + open.length === 0
  if (good === 1) return whole ? 'Keep the row' : 'Keep the good row'
  return whole ? `Keep all ${good}` : `Keep the ${good} good rows`
}

function Bring({ record, kitchen }: { readonly record: MerchantRecord; readonly kitchen: Kitchen }) {
  const [text, setText] = useState('')
  const [fileName, setFileName] = useState<string>()
  const [date, setDate] = useState(kitchen.today)
  const [reading, setReading] = useState<ListReading>()
  const [names, setNames] = useState<readonly SettledName[]>([])
  const [bring] = useBringListMutation()
  const [takeBack] = useTakeListBackMutation()
  const { report, failure, isLoading, run } = useImport({
    bring: (patch: Partial<PriceListInput>) =>
      bring({
        ...{ merchantId: record.id, date, text, names: [...names], keep: 'nothing' as const },
        ...(fileName === undefined ? {} : { fileName }),
        ...(reading === undefined ? {} : { reading }),
        ...patch,
      }),
    readKept: ({ list, same }: PriceListReport) => (list && !same ? list.id : null),
    takeBack: (id) => takeBack(id).unwrap(),
    without: (now) => ({ ...now, list: null }),
    says: {
      done: 'The list is kept.',
      undone: 'The list was taken back; everything is as it was.',
      failed: 'The list could not be read by the server. What you pasted is still here.',
    },
    onReport: (now) => setReading(now.reading),
  })
  const reread = (next: ListReading) => {
    setReading(next)
    if (/^[A-Z]{3}$/.test(next.currency)) void run({ reading: next })
  }
  const settle = (settled: readonly SettledName[]) => {
    const all = [...names.filter(({ name }) => !settled.some((one) => one.name === name)), ...settled]
    setNames(all)
    void run({ names: all })
  }
  const kept = report?.list
  return (
    <Paper component="section" aria-label={`A list of ${record.merchant.name}`} sx={{ p: 2, display: 'grid', gap: 1.5 }}>
      <Typography variant="h1" component="h2">
        A list of {record.merchant.name}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        <DayField required label="Of the day" value={date} onChange={(day) => day !== '' && setDate(day)} />
        <FilePicker
          variant="contained"
          label="Choose a file"
          name="File of the list"
          accept=".csv,.tsv,.txt,text/csv,text/plain"
          onPick={(picked) => {
            setText(picked.text)
            setFileName(picked.name)
            void run({ text: picked.text, fileName: picked.name })
          }}
        />
        <Typography color="text.secondary">CSV with a line of headings; or paste it here, straight from a spreadsheet.</Typography>
      </Box>
      <TextField
        multiline
        minRows={3}
        maxRows={8}
        label="The list"
        placeholder={'Fish;Cut;Price\nHaddock;fillet;17,90'}
        value={text}
        onChange={({ target }) => {
          setText(target.value)
          setFileName(undefined)
        }}
        slotProps={{ inputLabel: { shrink: true }, htmlInput: { style: { fontFamily: 'monospace', fontSize: 14 } } }}
      />
      <Button variant="outlined" disabled={text.trim() === '' || isLoading} onClick={() => void run({})} sx={{ justifySelf: 'start' }}>
        Look through it
      </Button>
      {isLoading && <LinearProgress aria-label="Reading the list" />}
      {failure && <Alert severity="error">{failure}</Alert>}
      {report && reading && (
        <>
          <Typography variant="h2" component="p" role="status">
            {describeReport(report)}.
          </Typography>
          {kept && (
            <Alert severity="success">
              {report.same
                ? 'This list was here already; nothing changed.'
                : kept.quotes === 1
                  ? 'One price counts from now on.'
                  : `${kept.quotes} prices count from now on.`}{' '}
              <Link to="/market">See the slab</Link>
            </Alert>
          )}
          {!kept && report.good > 0 && (
            <Button
              variant="contained"
              sx={{ justifySelf: 'start' }}
              onClick={() => void run({ keep: report.bad.length + report.open.length > 0 ? 'good' : 'all' })}
            >
              {describeKeep(report)}
            </Button>
          )}
          {!reading.columns.name || !reading.columns.price ? (
            <Alert severity="warning">Say which column names the fish and which the price.</Alert>
          ) : null}
          <NamesToSettle
            key={report.open.map(({ name }) => name).join('|')}
            names={report.open}
            action="Take these names so"
            onSettle={settle}
          />
          <BadRows rows={report.bad.map(({ line, column, message }) => ({ line, at: column, message }))} />
          <Sample headings={report.headings} sample={report.sample} />
          <Typography variant="body2" color="text.secondary">
            How it is read is remembered for {record.merchant.name}.
          </Typography>
          <ReadingForm reading={reading} headings={report.headings} onChange={reread} />
        </>
      )}
    </Paper>
  )
}

/** A merchant's list brought in: looked through first, kept when the person says so, and taken back in one press. */
export default function BringListPage() {
  const { id } = useParams()
  const { data: kitchen } = useKitchenQuery()
  const { data: records } = useMerchantsQuery()
  if (!kitchen || !records) return <Waiting what="the merchant" />
  const record = records.find((one) => one.id === id)
  return (
    <Box sx={{ mt: 1 }}>
      <MarketRooms here="/market/merchants" />
      {record ? (
        <Bring record={record} kitchen={kitchen} />
      ) : (
        <Typography>
          There is no such merchant here. <Link to="/market/merchants">All merchants</Link>
        </Typography>
      )}
    </Box>
  )
}
