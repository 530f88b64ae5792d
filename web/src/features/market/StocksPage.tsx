import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import type { Stock, StockRecord } from '@tender-gill/contract'
import { computeStockStanding } from '@tender-gill/core'
import { useState } from 'react'
import {
  useCreateStockMutation,
  useKitchenQuery,
  useRemoveStockMutation,
  useRestoreStockMutation,
  useSaveStockMutation,
  useStocksQuery,
} from '../../api/api.ts'
import { Shoal } from '../../drawings/Shoal.tsx'
import { useAnswer, useSheet } from '../../engine/useEngine.ts'
import { FishSearch } from '../../shell/FishSearch.tsx'
import { Waiting } from '../../shell/Waiting.tsx'
import { useSearch } from '../../state/useSearch.ts'
import { HEADING, INK } from '../../theme.ts'
import { ofHundred } from '../dishWords.ts'
import { MarketRooms } from './MarketRooms.tsx'
import { partsOf, readNumber, setPart, setYear, type PartField } from './stockForm.ts'
import { useKept } from './useKept.ts'

const OLDEST_YEAR = 1950

const describePlace = ({ origin, water, gear }: Stock): string =>
  origin === 'farmed' ? 'farmed' : [water ?? 'any water', ...(gear ? [`by ${gear}`] : [])].join(', ')

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
  const value = readNumber(typed.value, most)
  const from = readNumber(typed.year, year)
  const wrongYear = from.kind === 'wrong' || (from.kind === 'number' && (from.value < OLDEST_YEAR || !Number.isInteger(from.value)))
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) 96px', gap: 1, alignItems: 'start' }}>
      <TextField
        size="small"
        label={label}
        value={typed.value}
        error={value.kind === 'wrong'}
        helperText={value.kind === 'wrong' ? `a number from 0 to ${most}` : hint}
        onChange={({ target }) => {
          setTyped({ ...typed, value: target.value })
          const next = readNumber(target.value, most)
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
          const next = readNumber(target.value, year)
          if (next.kind === 'none') onChange(setYear(stock, part, undefined))
          if (next.kind === 'number' && next.value >= OLDEST_YEAR && Number.isInteger(next.value))
            onChange(setYear(stock, part, next.value))
        }}
        slotProps={{ htmlInput: { inputMode: 'numeric', 'aria-label': `${label}, of year` }, inputLabel: { shrink: true } }}
      />
    </Box>
  )
}

interface EvidenceProps {
  readonly record: StockRecord
  readonly name: string
  readonly year: number
  readonly onGone: (record: StockRecord) => void
}

function Evidence({ record, name, year, onGone }: EvidenceProps) {
  const [save] = useSaveStockMutation()
  const [remove] = useRemoveStockMutation()
  const { value, change, state } = useKept<Stock>(record.stock, async (stock) => {
    const { data } = await save({ id: record.id, revision: record.revision, input: { stock } })
    return data !== undefined
  })
  const standing = computeStockStanding(value, year)
  return (
    <Paper component="section" aria-label={`Evidence on ${name}`} sx={{ p: 2 }}>
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
        {partsOf(value).map((field) => (
          <PartInput key={field.part} stock={value} field={field} year={year} onChange={change} />
        ))}
      </Box>
      <Box sx={{ display: 'flex', gap: 1, mt: 1.5, alignItems: 'center', flexWrap: 'wrap' }}>
        <Button size="small" onClick={() => void remove(record).then(({ data }) => data && onGone(data))}>
          Take this evidence away
        </Button>
        <Typography variant="body2" role="status" color="text.secondary">
          {state === 'kept'
            ? 'Kept.'
            : state === 'typed'
              ? 'Keeping ...'
              : 'Not kept: something of it must be known, or the server is away.'}
        </Typography>
      </Box>
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

/** What the kitchen keeps on the stocks it buys from, each with its standing and what that rests on. */
export default function StocksPage() {
  const [search, change] = useSearch()
  const { data: kitchen } = useKitchenQuery()
  const { data: records } = useStocksQuery()
  const [create] = useCreateStockMutation()
  const [restore] = useRestoreStockMutation()
  const [gone, setGone] = useState<StockRecord | null>(null)
  const [origin, setOrigin] = useState<'wild' | 'farmed'>('wild')
  const species = records?.map(({ stock }) => stock.species) ?? []
  const names = useAnswer(useSheet(), species.join(',') || null, (engine) => engine.commonNames(species))?.value ?? {}
  if (!records || !kitchen) return <Waiting what="the stocks" />
  const year = Number(kitchen.today.slice(0, 4))
  const rows = records
    .map((record) => ({ record, standing: computeStockStanding(record.stock, year) }))
    .sort((a, b) => b.standing.typical - a.standing.typical || (a.record.id < b.record.id ? -1 : 1))
  const chosen = records.find(({ id }) => id === search.get('stock')) ?? rows[0]?.record
  const add = async (fish: string) => {
    const first = origin === 'farmed' ? { feed: { value: 50, year } } : { managementScore: { value: 50, year } }
    const { data } = await create({ stock: { species: fish, origin, ...first } })
    if (data) change((params) => params.set('stock', data.id))
  }
  return (
    <Box sx={{ mt: 1 }}>
      <MarketRooms here="/market/stocks" />
      <Box
        sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '440px minmax(0, 1fr)' }, alignItems: 'start' }}
      >
        <Paper component="section" aria-label="Stocks" sx={{ p: 2 }}>
          <Box sx={{ display: 'flex', gap: 1, mb: 1 }}>
            {(['wild', 'farmed'] as const).map((one) => (
              <Button
                key={one}
                size="small"
                variant={one === origin ? 'contained' : 'outlined'}
                aria-pressed={one === origin}
                onClick={() => setOrigin(one)}
              >
                {one}
              </Button>
            ))}
          </Box>
          <FishSearch label={`Add a ${origin} stock`} onPick={(fish) => void add(fish)} />
          <div role="status">
            {gone && (
              <Alert
                severity="info"
                action={<Button onClick={() => void restore(gone.id).then(() => setGone(null))}>Put it back</Button>}
                sx={{ mt: 1 }}
              >
                The evidence on {names[gone.stock.species] ?? gone.stock.species} was taken away.
              </Alert>
            )}
          </div>
          {rows.length === 0 && (
            <Typography sx={{ mt: 1 }}>No evidence is kept on any stock. Every shoal is hollow until some is.</Typography>
          )}
          <Box component="ul" aria-label="Stocks, the best standing first" sx={{ listStyle: 'none', p: 0, m: 0, mt: 1 }}>
            {rows.map(({ record: { id, stock }, standing }) => (
              <Box
                component="li"
                key={id}
                sx={{
                  display: 'grid',
                  gridTemplateColumns: '36px minmax(0, 1fr) auto',
                  alignItems: 'center',
                  gap: 1,
                  borderTop: `1px solid ${INK.hairline}`,
                  borderLeft: id === chosen?.id ? `5px solid ${INK.roe}` : '5px solid transparent',
                  pl: 1,
                  py: 0.5,
                }}
              >
                <Box sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: 20 }}>{standing.typical.toFixed(0)}</Box>
                <div>
                  <Button
                    onClick={() => change((params) => params.set('stock', id))}
                    aria-current={id === chosen?.id}
                    sx={{ p: 0, minHeight: 28, justifyContent: 'start', textAlign: 'left', color: INK.squid }}
                  >
                    {names[stock.species] ?? stock.species}
                  </Button>
                  <Typography variant="body2" color="text.secondary">
                    {describePlace(stock)}
                  </Typography>
                </div>
                <Shoal standing={standing} weakest={standing.weakest} />
              </Box>
            ))}
          </Box>
          <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
            Invented in the demo. Wish and floor are set in the <a href="/house">house</a>.
          </Typography>
        </Paper>
        {chosen && (
          <Evidence
            key={chosen.id}
            record={chosen}
            name={names[chosen.stock.species] ?? chosen.stock.species}
            year={year}
            onGone={setGone}
          />
        )}
      </Box>
    </Box>
  )
}
