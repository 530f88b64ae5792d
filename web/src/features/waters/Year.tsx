import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import type { Season, SeasonRecord } from '@tender-gill/contract'
import { useState } from 'react'
import { useRemoveSeasonMutation, useRestoreSeasonMutation } from '../../api/api.ts'
import { describeTide } from '../../drawings/Tide.tsx'
import { DraftNotice, KeptLine, useDocument } from '../../documents/index.ts'
import { NumberField } from '../../parts/NumberField.tsx'
import { MonthDayField } from '../../parts/moments.tsx'
import { LEAST_CM, setGear, setLeastCm, shiftHalfYear } from './yearEdit.ts'
import { YearPainter } from './YearPainter.tsx'
import { useUndoable } from '../../notices/index.ts'

/** The closed times of a year, as months and days. */
function Closures({ season, onChange }: { readonly season: Season; readonly onChange: (season: Season) => void }) {
  const closures = season.closures ?? []
  const set = (next: NonNullable<Season['closures']>) => onChange({ ...season, closures: next })
  const field = (at: number, end: 'from' | 'to') => (
    <MonthDayField
      label={end === 'from' ? 'Closed from' : 'to'}
      value={closures[at]?.[end] ?? '01-01'}
      onChange={(day) => day !== '' && set(closures.map((one, i) => (i === at ? { ...one, [end]: day } : one)))}
    />
  )
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      {closures.map((_, at) => (
        <Box key={at} sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
          {field(at, 'from')}
          {field(at, 'to')}
          <Button size="small" onClick={() => set(closures.filter((_one, i) => i !== at))}>
            Take it out
          </Button>
        </Box>
      ))}
      <Button size="small" sx={{ justifySelf: 'start' }} onClick={() => set([...closures, { from: '02-01', to: '03-31' }])}>
        Add a closed time
      </Button>
    </Box>
  )
}

interface YearProps {
  readonly record: SeasonRecord
  readonly name: string
  readonly month: number
  /** Opens a year of the same fish in the same water by another gear. */
  readonly onAnother: (season: Season) => void
}

/** One fish's year in one water, painted and kept. */
export function Year({ record, name, month, onAnother }: YearProps) {
  const [remove] = useRemoveSeasonMutation()
  const [restore] = useRestoreSeasonMutation()
  const undoable = useUndoable()
  const [opened] = useState(record.season)
  const { input, draft, change: changeInput } = useDocument('season', record.id, record)
  const value = input?.season ?? record.season
  const change = (season: Season) => changeInput(() => ({ season }))
  const takeAway = () =>
    void undoable(() => remove({ id: record.id, revision: record.revision }).unwrap(), {
      done: `The year of ${name} was taken away.`,
      undone: `The year of ${name} is back.`,
      undo: () => restore(record.id).unwrap(),
      redo: (back) => remove({ id: record.id, revision: back.revision }).unwrap(),
    })
  return (
    <Paper component="section" aria-label={`The year of ${name}`} sx={{ p: 2 }}>
      <Typography variant="h1" component="h2">
        {name}
      </Typography>
      <Typography color="text.secondary">{describeTide(value, month)}</Typography>
      <YearPainter season={value} curve="landings" label="Landed, of the best month" now={month - 1} onChange={change} />
      <YearPainter season={value} curve="condition" label="Condition of the flesh" now={month - 1} onChange={change} />
      <Closures season={value} onChange={change} />
      <TextField
        size="small"
        label="Caught by, where it matters"
        sx={{ mt: 1, mr: 1, width: 240 }}
        value={value.gear ?? ''}
        onChange={({ target }) => change(setGear(value, target.value))}
        slotProps={{ inputLabel: { shrink: true }, htmlInput: { maxLength: 80 } }}
      />
      <Box sx={{ display: 'inline-block', mt: 1 }}>
        <NumberField
          optional
          label="Least length landed, cm"
          width={200}
          value={value.leastCm ?? null}
          scale={LEAST_CM}
          onChange={(leastCm) => change(setLeastCm(value, leastCm))}
        />
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1.5, alignItems: 'center' }}>
        <Button size="small" onClick={() => change(opened)}>
          As it was
        </Button>
        <Button size="small" onClick={() => change(shiftHalfYear(value))}>
          Shift by six months
        </Button>
        <Button size="small" onClick={() => onAnother({ ...value, gear: 'another gear' })}>
          A year by another gear
        </Button>
        <Button size="small" onClick={takeAway}>
          Take this year away
        </Button>
        <KeptLine draft={draft} />
      </Box>
      <DraftNotice draft={draft} describe={({ season }) => describeTide(season, month)} />
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
        A year shifted by six months is a guess for southern waters: check it month by month.
      </Typography>
    </Paper>
  )
}
