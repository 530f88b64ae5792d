import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import { styled } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import useMediaQuery from '@mui/material/useMediaQuery'
import type { Method } from '@tender-gill/contract'
import { METHODS } from '@tender-gill/contract/vocabulary'
import { METHOD_LABEL } from '../../reader/index.ts'
import { useState } from 'react'
import { BOOK_TRAITS, type BookRow, type BookTrait } from '../../engine/bookRows.ts'
import { INK } from '../../theme.ts'
import { GOOD_FIT, LIST_KEYS, STEP_NAMES, TRAIT_STEPS, countSteps, describeList, type BookFilter, type StepName } from './bookFilter.ts'
import { plain } from '../../parts/bookWords.ts'
import { OneOf } from '../../parts/OneOf.tsx'

interface Props {
  readonly rows: readonly BookRow[]
  readonly filter: BookFilter
  /** Sets one part of the address; null takes it away. */
  /** Sets one part of the filter, to a value or to what an edit makes of the value it has. */
  readonly onSet: (key: string, edit: string | null | ((now: string | null) => string | null)) => void
  readonly onClear: () => void
}

const Step = styled('button')({
  font: 'inherit',
  fontSize: 13,
  flex: '1 1 0',
  minHeight: 34,
  padding: '2px 4px',
  lineHeight: 1.15,
  border: `1px solid ${INK.hairline}`,
  borderRadius: 4,
  background: INK.ice,
  color: INK.squid,
  cursor: 'pointer',
  '& small': { display: 'block', color: INK.slate, fontSize: 11.5 },
  '&[aria-pressed=true]': { background: INK.brine, border: `2px solid ${INK.kelp}`, fontWeight: 700 },
  '&[aria-pressed=true] small': { color: INK.squid },
  '@media (max-width: 900px)': { minHeight: 44, fontSize: 15 },
})

const FIRST: readonly BookTrait[] = ['firmness', 'flake', 'fat', 'flavour', 'bones']

function TraitSteps({ trait, rows, filter, onSet }: { readonly trait: BookTrait } & Pick<Props, 'rows' | 'filter' | 'onSet'>) {
  const { label, words } = TRAIT_STEPS[trait]
  const chosen = filter.traits[trait] ?? []
  const counts = countSteps(rows, filter, trait)
  const toggle = (step: StepName) => {
    onSet(trait, (now) => {
      const before = now?.split(',') ?? []
      const next = before.includes(step) ? before.filter((one) => one !== step) : [...before, step]
      return next.length > 0 && next.length < STEP_NAMES.length ? next.join(',') : null
    })
  }
  return (
    <Box role="group" aria-label={label}>
      <Typography variant="body2" sx={{ fontWeight: 700 }}>
        {label}
      </Typography>
      <Box sx={{ display: 'flex', gap: 0.5 }}>
        {STEP_NAMES.map((step, i) => (
          <Step key={step} type="button" aria-pressed={chosen.includes(step)} onClick={() => toggle(step)}>
            {words[i]}
            <small>{counts[step]}</small>
          </Step>
        ))}
      </Box>
    </Box>
  )
}

function Choose({
  label,
  value,
  options,
  onChange,
}: {
  readonly label: string
  readonly value: string | null
  readonly options: readonly (readonly [string, string])[]
  readonly onChange: (value: string | null) => void
}) {
  return (
    <OneOf
      label={label}
      value={value ?? ''}
      options={[['', 'any'], ...options]}
      onChange={(next) => onChange(next === '' ? null : next)}
      sx={{ width: '100%', mt: 0.75 }}
    />
  )
}

/** What one looks for in the book. Every choice stands in the address, so that the link keeps it; counts are of what would be left. */
export function FilterPanel({ rows, filter, onSet, onClear }: Props) {
  const narrow = useMediaQuery('(max-width: 900px)')
  const [open, setOpen] = useState(false)
  const rest = BOOK_TRAITS.filter((trait) => !FIRST.includes(trait))
  const [more, setMore] = useState(rest.some((trait) => filter.traits[trait]))
  const set = Object.keys(filter.traits).length + Object.keys(filter.lists).length + Number(filter.method !== null) + Number(filter.house)
  if (narrow && !open)
    return (
      <Button variant="outlined" onClick={() => setOpen(true)}>
        {set > 0 ? `Looking for: ${set} thing${set > 1 ? 's' : ''}. Change` : 'Look for a kind of flesh'}
      </Button>
    )
  const methods = METHODS.map((method): readonly [Method, string] => [method, METHOD_LABEL[method]])
  return (
    <Paper
      component="section"
      aria-label="Looking for"
      sx={{ p: 1.5, display: 'grid', gap: 1, overflow: 'auto', maxHeight: { md: 'calc(100vh - 84px)' }, alignContent: 'start' }}
    >
      <Box sx={{ display: 'flex', alignItems: 'baseline', justifyContent: 'space-between' }}>
        <Typography variant="h2">Looking for</Typography>
        {set > 0 && <Button onClick={onClear}>Anything</Button>}
      </Box>
      <Choose
        label={`Good for (fit ${GOOD_FIT} or more)`}
        value={filter.method}
        options={methods}
        onChange={(value) => onSet('method', value)}
      />
      {[...FIRST, ...(more ? rest : [])].map((trait) => (
        <TraitSteps key={trait} trait={trait} rows={rows} filter={filter} onSet={onSet} />
      ))}
      <Button onClick={() => setMore(!more)}>{more ? 'Fewer traits' : 'More traits'}</Button>
      {LIST_KEYS.map((key) => {
        const { label, values } = describeList(key)
        return (
          <Choose
            key={key}
            label={label}
            value={filter.lists[key] ?? null}
            options={values.map((value) => [value, plain(value)] as const)}
            onChange={(value) => onSet(key, value)}
          />
        )
      })}
      <label style={{ display: 'flex', gap: 8, alignItems: 'center', minHeight: 36 }}>
        <input type="checkbox" checked={filter.house} onChange={(event) => onSet('house', event.target.checked ? 'yes' : null)} />
        Only what the house changed, added or hid
      </label>
      {narrow && (
        <Button variant="contained" onClick={() => setOpen(false)}>
          Show them
        </Button>
      )}
    </Paper>
  )
}
