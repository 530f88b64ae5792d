import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import type { Season, SeasonRecord } from '@tender-gill/contract'
import { useState } from 'react'
import {
  useCreateSeasonMutation,
  useKitchenQuery,
  useRemoveSeasonMutation,
  useRestoreSeasonMutation,
  useSaveSeasonMutation,
  useSeasonsQuery,
} from '../../api/api.ts'
import { Tide, describeTide } from '../../drawings/Tide.tsx'
import { useAnswer, useSheet } from '../../engine/useEngine.ts'
import { FishSearch } from '../../shell/FishSearch.tsx'
import { Waiting } from '../../shell/Waiting.tsx'
import { useSearch } from '../../state/useSearch.ts'
import { INK } from '../../theme.ts'
import { MarketRooms } from './MarketRooms.tsx'
import { useKept } from './useKept.ts'
import { shiftHalfYear, startYear } from './yearEdit.ts'
import { YearPainter } from './YearPainter.tsx'

type Names = Readonly<Record<string, string>>

function Closures({ season, onChange }: { readonly season: Season; readonly onChange: (season: Season) => void }) {
  const closures = season.closures ?? []
  const set = (next: NonNullable<Season['closures']>) => onChange({ ...season, closures: next })
  // A closure is months and days; the year in the field is any that has a 29 February.
  const field = (at: number, end: 'from' | 'to') => (
    <TextField
      size="small"
      type="date"
      label={end === 'from' ? 'Closed from' : 'to'}
      value={`2024-${closures[at]?.[end] ?? '01-01'}`}
      onChange={({ target }) => target.value && set(closures.map((one, i) => (i === at ? { ...one, [end]: target.value.slice(5) } : one)))}
      slotProps={{ inputLabel: { shrink: true } }}
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
  readonly onGone: (record: SeasonRecord) => void
}

/** One fish's year in one water, painted and kept. */
function Year({ record, name, month, onGone }: YearProps) {
  const [save] = useSaveSeasonMutation()
  const [remove] = useRemoveSeasonMutation()
  const [opened] = useState(record.season)
  const { value, change, state } = useKept<Season>(record.season, async (season) => {
    const { data } = await save({ id: record.id, revision: record.revision, input: { season } })
    return data !== undefined
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
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1.5, alignItems: 'center' }}>
        <Button size="small" onClick={() => change(opened)}>
          As it was
        </Button>
        <Button size="small" onClick={() => change(shiftHalfYear(value))}>
          Shift by six months
        </Button>
        <Button size="small" onClick={() => void remove(record).then(({ data }) => data && onGone(data))}>
          Take this year away
        </Button>
        <Typography variant="body2" role="status" color="text.secondary">
          {state === 'kept'
            ? 'Kept.'
            : state === 'typed'
              ? 'Keeping ...'
              : 'Not kept: it was changed elsewhere, or the server is away. Paint again to retry.'}
        </Typography>
      </Box>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
        A year shifted by six months is a guess for southern waters: check it month by month.
      </Typography>
    </Paper>
  )
}

interface ListProps {
  readonly rows: readonly SeasonRecord[]
  readonly names: Names
  readonly chosen: string | undefined
  readonly month: number
  readonly onChoose: (id: string) => void
}

const FishOfWater = ({ rows, names, chosen, month, onChoose }: ListProps) => (
  <Box component="ul" aria-label="Fish of this water" sx={{ listStyle: 'none', p: 0, m: 0 }}>
    {rows.map(({ id, season }) => (
      <Box
        component="li"
        key={id}
        sx={{
          display: 'grid',
          gridTemplateColumns: 'minmax(0, 1fr) auto',
          alignItems: 'center',
          gap: 1,
          borderTop: `1px solid ${INK.hairline}`,
          borderLeft: id === chosen ? `5px solid ${INK.roe}` : '5px solid transparent',
          pl: 1,
          py: 0.5,
        }}
      >
        <Button
          onClick={() => onChoose(id)}
          aria-current={id === chosen}
          sx={{ justifyContent: 'start', textAlign: 'left', color: INK.squid }}
        >
          {names[season.species] ?? season.species}
        </Button>
        <Tide season={season} month={month} />
      </Box>
    ))}
  </Box>
)

/** The waters a kitchen buys from: for each fish twelve months of landings and of condition, and when it is closed. */
export default function WatersPage() {
  const [search, change] = useSearch()
  const { data: kitchen } = useKitchenQuery()
  const { data: records } = useSeasonsQuery()
  const [create] = useCreateSeasonMutation()
  const [restore] = useRestoreSeasonMutation()
  const [gone, setGone] = useState<SeasonRecord | null>(null)
  const [other, setOther] = useState('')
  const species = records?.map(({ season }) => season.species) ?? []
  const names = useAnswer(useSheet(), species.join(',') || null, (engine) => engine.commonNames(species))?.value ?? {}
  if (!records || !kitchen) return <Waiting what="the waters" />
  const waters = [...new Set(records.map(({ season }) => season.water))].sort()
  const water = search.get('water') ?? waters[0] ?? ''
  const rows = records
    .filter(({ season }) => season.water === water)
    .sort((a, b) => ((names[a.season.species] ?? '') < (names[b.season.species] ?? '') ? -1 : 1))
  const chosen = rows.find(({ id }) => id === search.get('year')) ?? rows[0]
  const month = Number(kitchen.today.slice(5, 7))
  const add = async (fish: string) => {
    const there = rows.find(({ season }) => season.species === fish)
    const made = there ?? (await create({ season: startYear(fish, water) })).data
    if (made) change((params) => params.set('year', made.id))
  }
  return (
    <Box sx={{ mt: 1 }}>
      <MarketRooms here="/market/waters" />
      <Box
        sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '380px minmax(0, 1fr)' }, alignItems: 'start' }}
      >
        <Paper component="section" aria-label="Waters" sx={{ p: 2 }}>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mb: 1.5 }}>
            {waters.map((name) => (
              <Button
                key={name}
                variant={name === water ? 'contained' : 'outlined'}
                aria-pressed={name === water}
                onClick={() =>
                  change((params) => {
                    params.set('water', name)
                    params.delete('year')
                  })
                }
              >
                {name}
              </Button>
            ))}
          </Box>
          <Box
            component="form"
            onSubmit={(event) => {
              event.preventDefault()
              if (other.trim() !== '') change((params) => params.set('water', other.trim()))
              setOther('')
            }}
            sx={{ display: 'flex', gap: 1, mb: 1.5 }}
          >
            <TextField
              size="small"
              label="Another water"
              value={other}
              onChange={({ target }) => setOther(target.value)}
              sx={{ flex: 1 }}
            />
            <Button type="submit">Open</Button>
          </Box>
          <div role="status">
            {gone && (
              <Alert
                severity="info"
                action={<Button onClick={() => void restore(gone.id).then(() => setGone(null))}>Put it back</Button>}
                sx={{ mb: 1 }}
              >
                The year of {names[gone.season.species] ?? gone.season.species} was taken away.
              </Alert>
            )}
          </div>
          {rows.length === 0 && (
            <Typography gutterBottom>
              Nothing is kept of {water === '' ? 'any water' : water} yet. Name a fish that comes from it.
            </Typography>
          )}
          {water !== '' && <FishSearch label={`Add a fish of ${water}`} onPick={(fish) => void add(fish)} />}
          <FishOfWater
            rows={rows}
            names={names}
            chosen={chosen?.id}
            month={month}
            onChoose={(id) => change((params) => params.set('year', id))}
          />
          <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
            Invented in the demo. A dish counts the year once its brief names the waters.
          </Typography>
        </Paper>
        {chosen && (
          <Year
            key={chosen.id}
            record={chosen}
            name={names[chosen.season.species] ?? chosen.season.species}
            month={month}
            onGone={setGone}
          />
        )}
      </Box>
    </Box>
  )
}
