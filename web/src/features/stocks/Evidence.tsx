import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import type { Stock, StockRecord } from '@tender-gill/contract'
import { computeStockStanding } from '@tender-gill/core'
import { useState } from 'react'
import { useRemoveStockMutation, useRestoreStockMutation } from '../../api/api.ts'
import { Shoal } from '../../drawings/Shoal.tsx'
import { HEADING } from '../../theme.ts'
import { ofHundred } from '../../parts/dishWords.ts'
import { readTyped } from '../../typed/index.ts'
import { describePlace } from '../../parts/describePlace.ts'
import { partsOf, setPart, setPlace, setYear, type PartField } from './stockForm.ts'
import { DraftNotice, KeptLine, useDocument } from '../../documents/index.ts'
import { useUndoable } from '../../notices/index.ts'

const OLDEST_YEAR = 1950

interface PartProps {
  readonly stock: Stock
  readonly field: PartField
  readonly year: number
  readonly onChange: (stock: Stock) => void
}

/** One part of the evidence, with the year it is from; emptied, nothing is known of it. */
function PartInput({ stock, field: { part, label, hint, most }, year, onChange }: PartProps) {
  const evidence = stock[part]
  const [typed, setTyped] = useState<{ readonly value: string; readonly year: string }>({
    value: evidence ? String(evidence.value) : '',
    year: evidence?.year === undefined ? '' : String(evidence.year),
  })
  const value = readTyped(typed.value, { least: 0, most })
  const years = { least: OLDEST_YEAR, most: year }
  const wrongYear = readTyped(typed.year, years).kind === 'wrong'
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) 96px', gap: 1, alignItems: 'start' }}>
      <TextField
        size="small"
        label={label}
        value={typed.value}
        error={value.kind === 'wrong'}
        helperText={value.kind === 'wrong' ? value.message : hint}
        onChange={({ target }) => {
          setTyped({ ...typed, value: target.value })
          const next = readTyped(target.value, { least: 0, most })
          if (next.kind !== 'wrong') onChange(setPart(stock, part, next.kind === 'number' ? next.value : undefined, year))
        }}
        slotProps={{ htmlInput: { inputMode: 'decimal' }, inputLabel: { shrink: true } }}
      />
      <TextField
        size="small"
        label="of year"
        value={typed.year}
        error={wrongYear}
        helperText={wrongYear ? 'a year past' : undefined}
        disabled={!evidence}
        onChange={({ target }) => {
          setTyped({ ...typed, year: target.value })
          const next = readTyped(target.value, years)
          if (next.kind !== 'wrong') onChange(setYear(stock, part, next.kind === 'number' ? next.value : undefined))
        }}
        slotProps={{ htmlInput: { inputMode: 'numeric', 'aria-label': `${label}, of year` }, inputLabel: { shrink: true } }}
      />
    </Box>
  )
}

interface ViewProps {
  readonly value: Stock
  readonly name: string
  readonly year: number
  readonly change: (stock: Stock) => void
}

/** The standing of a stock, what it rests on, and the parts to say it by. */
function EvidenceView({ value, name, year, change }: ViewProps) {
  const standing = computeStockStanding(value, year)
  return (
    <>
      <Typography variant="h1" component="h2">
        {name}
      </Typography>
      <Typography color="text.secondary">{describePlace(value)}</Typography>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, my: 1.5, flexWrap: 'wrap' }} aria-live="polite">
        <Box sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: 44, lineHeight: 1 }}>{standing.typical.toFixed(0)}</Box>
        <Box>
          <Shoal standing={standing} weakest={standing.weakest} />
          <Typography variant="body2">
            {standing.low.toFixed(0)} to {standing.high.toFixed(0)} of 100; weakest: {standing.weakest}; {ofHundred(standing.confidence)} of
            100 of the weight rests on evidence of the last five years
          </Typography>
        </Box>
      </Box>
      {standing.spent && <Alert severity="warning">Under 0.3 of its target: it is left alone, whatever the floor.</Alert>}
      <Box sx={{ display: 'grid', gap: 2, maxWidth: 520, mt: 1 }}>
        {value.origin !== 'farmed' && (
          <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
            {(['water', 'gear'] as const).map((key) => (
              <TextField
                key={key}
                size="small"
                label={key === 'water' ? 'Water' : 'Caught by'}
                value={value[key] ?? ''}
                onChange={({ target }) => change(setPlace(value, key, target.value))}
                slotProps={{ inputLabel: { shrink: true }, htmlInput: { maxLength: 80 } }}
              />
            ))}
          </Box>
        )}
        {partsOf(value).map((field) => (
          <PartInput key={field.part} stock={value} field={field} year={year} onChange={change} />
        ))}
      </Box>
    </>
  )
}

interface NewEvidenceProps {
  readonly species: string
  readonly origin: 'wild' | 'farmed'
  readonly name: string
  readonly year: number
  /** Keeps it; whether it was kept. */
  readonly onKeep: (stock: Stock) => Promise<boolean>
}

/** Evidence on a stock of which nothing is known yet: kept once something is said, and nothing is made up before. */
export function NewEvidence({ species, origin, name, year, onKeep }: NewEvidenceProps) {
  const [value, setValue] = useState<Stock>({ species, origin })
  const isKnown = partsOf(value).some(({ part }) => value[part] !== undefined)
  return (
    <Paper component="section" aria-label={`Evidence on ${name}`} sx={{ p: 2 }}>
      <EvidenceView value={value} name={name} year={year} change={setValue} />
      <Box sx={{ display: 'flex', gap: 2, mt: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
        <Button variant="contained" disabled={!isKnown} onClick={() => void onKeep(value)}>
          Keep it
        </Button>
        {!isKnown && (
          <Typography variant="body2" color="text.secondary">
            Nothing is known of it yet: say what you know of one part.
          </Typography>
        )}
      </Box>
    </Paper>
  )
}

interface EvidenceProps {
  readonly record: StockRecord
  readonly name: string
  readonly year: number
}

/** The evidence on one stock, its standing and what that rests on; kept as it is typed. */
export function Evidence({ record, name, year }: EvidenceProps) {
  const [remove] = useRemoveStockMutation()
  const [restore] = useRestoreStockMutation()
  const undoable = useUndoable()
  const { input, draft, change: changeInput } = useDocument('stock', record.id, record)
  const value = input?.stock ?? record.stock
  const change = (stock: Stock) => changeInput(() => ({ stock }))
  const takeAway = () =>
    void undoable(() => remove({ id: record.id, revision: record.revision }).unwrap(), {
      done: `The evidence on ${name} was taken away.`,
      undone: `The evidence on ${name} is back.`,
      undo: () => restore(record.id).unwrap(),
      redo: (back) => remove({ id: record.id, revision: back.revision }).unwrap(),
    })
  return (
    <Paper component="section" aria-label={`Evidence on ${name}`} sx={{ p: 2 }}>
      <EvidenceView value={value} name={name} year={year} change={change} />
      <Box sx={{ display: 'flex', gap: 1, mt: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
        <Button size="small" onClick={takeAway}>
          Take this evidence away
        </Button>
        <KeptLine draft={draft} />
      </Box>
      <DraftNotice
        draft={draft}
        describe={({ stock }) => `${describePlace(stock)}, ${computeStockStanding(stock, year).typical.toFixed(0)} of 100`}
      />
      <Box component="details" sx={{ mt: 2 }}>
        <summary>How it is worked out</summary>
        <Typography variant="body2" sx={{ mt: 1, maxWidth: 640 }}>
          How much is left counts 0 at 0.3 of its target and 100 on target; fishing pressure 100 up to 0.8 of its reference and 0 at 1.6.
          The parts are joined by a weighted geometric mean (3, 3, 2, 2; for farms 3, 2, 2, 3), so that one bad part is not bought back by
          good ones. A part of which nothing is known counts 35, somewhere from 10 to 70, and is never left out; evidence over five years
          old is spread by 20 either way. Your local authority’s advice comes first.
        </Typography>
      </Box>
    </Paper>
  )
}
