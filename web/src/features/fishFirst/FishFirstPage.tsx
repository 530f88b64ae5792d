import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import type { MethodForSeen } from '@tender-gill/contract'
import { pickPerDish } from '@tender-gill/core'
import { FORMAT_LABEL } from '../../reader/index.ts'
import { useEffect, useRef, useState } from 'react'
import { Link, useParams } from 'react-router'
import { useServingsQuery, useKitchenQuery } from '../../api/api.ts'
import { nameQuestion, useAnswer, useSheet, useSheets } from '../../engine/index.ts'
import { useOnlyOffered } from '../../state/useOnlyOffered.ts'
import { FishSearch } from '../../parts/fishSearch/index.ts'
import { Waiting } from '../../parts/Waiting.tsx'
import { useSearch } from '../../state/useSearch.ts'
import { INK } from '../../theme.ts'
import NothingHere from '../../shell/NothingHere.tsx'
import { DishesForSeen, FitFigure, SEEN_ROW } from './DishesForSeen.tsx'
import { SeenCard } from './SeenCard.tsx'
import { blankFish, readSeenList, toSeenFish, writeSeenList, type TypedFish } from './seenParams.ts'

const MOST_FISH = 6

function MethodList({ rows, several }: { readonly rows: readonly MethodForSeen[]; readonly several: boolean }) {
  return (
    <Box component="ol" aria-label="Ways to cook it" sx={{ listStyle: 'none', p: 0, m: 0 }}>
      {rows.map(({ method, label, format, fit, common, sentence }) => (
        <Box component="li" key={method} sx={SEEN_ROW}>
          <div>
            <Typography component="h3" variant="h3">
              {fit === null ? (
                label
              ) : (
                <Link to={`/dishes/new?method=${method}`} style={{ color: INK.squid }}>
                  {label}
                </Link>
              )}
            </Typography>
            <Typography variant="body2" color="text.secondary">
              {several && fit !== null && <b>{common}. </b>}
              {fit === null ? '' : `As ${FORMAT_LABEL[format]}. `}
              {sentence}
            </Typography>
          </div>
          <FitFigure value={fit} />
        </Box>
      ))}
    </Box>
  )
}

/** What was seen: begun from the address, kept here while it is typed, and written back so that a reload or a link brings it again. */
function useSeen(species: string) {
  const [search, change] = useSearch()
  const [fish, setFish] = useState(() => readSeenList(search, species))
  const first = useRef(true)
  useEffect(() => {
    if (!first.current) change((params) => writeSeenList(params, fish))
    first.current = false
  }, [fish, change])
  return {
    fish,
    edit: (at: number, patch: Partial<TypedFish>) => setFish((before) => before.map((one, i) => (i === at ? { ...one, ...patch } : one))),
    add: (name: string) => setFish((before) => [...before, blankFish(name)]),
    remove: (at: number) => setFish((before) => before.filter((_, i) => i !== at)),
  }
}

/** From fish that were seen: which of the kitchen's dishes they do best, and the ways to cook them, by the same desk. */
function FishFirst({ species }: { readonly species: string }) {
  const { data: servings } = useServingsQuery()
  const { data: kitchen } = useKitchenQuery()
  const currency = kitchen?.currency ?? 'EUR'
  // A dish stands once, however often it is served.
  const records = servings && kitchen ? pickPerDish(servings, kitchen.today) : undefined
  const { fish, edit, add, remove } = useSeen(species)
  const names = fish.map((one) => one.species)
  const sheet = useSheet()
  const offers = useAnswer(sheet, names.join('|'), (desk) => Promise.all(names.map((name) => desk.offersOf(name))))
  const seen = fish.map((one) => toSeenFish(one, currency))
  const [only] = useOnlyOffered()
  // Each dish is answered from the offers of its own day.
  const ofDays = useSheets((records ?? []).flatMap(({ brief }) => brief.date ?? []))
  const days = [...ofDays.values()].map(({ name }) => name)
  const key = records ? nameQuestion({ seen, only, days, dishes: records.map(({ id, revision }) => `${id}.${revision}`) }) : null
  const shown = useAnswer(sheet, key, (desk) => desk.fishFirst(seen, records ?? [], { only, ofDays }))?.value
  const found = offers?.key === names.join('|') ? offers.value : undefined
  if (found?.[0]?.length === 0) return <NothingHere />
  if (!offers) return <Waiting what="the fish" />
  const several = fish.length > 1
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1.5,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '340px minmax(0, 1fr)', lg: '340px minmax(0, 1.3fr) minmax(0, 1fr)' },
        alignItems: 'start',
        mt: 1,
      }}
    >
      <Paper component="section" aria-label="What was seen" sx={{ p: 2, display: 'grid', gap: 2 }}>
        {fish.map((one, i) => (
          <SeenCard
            key={`${i}|${one.species}`}
            fish={one}
            offers={offers.value.find((own) => own[0]?.species === one.species) ?? []}
            currency={currency}
            main={i === 0}
            onChange={(patch) => edit(i, patch)}
            onRemove={i === 0 ? null : () => remove(i)}
          />
        ))}
        {fish.length < MOST_FISH && (
          <Box sx={{ borderTop: `1px solid ${INK.hairline}`, pt: 1.5 }}>
            <FishSearch label="Another fish beside it?" onPick={add} />
          </Box>
        )}
      </Paper>
      <Paper component="section" aria-label="Your dishes" sx={{ p: 2 }}>
        <Typography variant="h2" gutterBottom>
          Your dishes for {several ? 'them' : 'it'}
        </Typography>
        {records?.length === 0 && (
          <Button component={Link} to="/dishes/new">
            Start a first dish
          </Button>
        )}
        {shown?.mistaken.map(({ id, brief }) => (
          <Alert key={id} severity="warning">
            The brief of <Link to={`/dishes/${id}/brief`}>{brief.dish}</Link> has a mistake.
          </Alert>
        ))}
        {shown ? <DishesForSeen dishes={shown.answer.dishes} records={shown.records} several={several} /> : <Waiting what="your dishes" />}
      </Paper>
      <Paper component="section" aria-label="Ways to cook it" sx={{ p: 2, gridColumn: { md: '2', lg: 'auto' } }}>
        <Typography variant="h2" gutterBottom>
          Ways to cook {several ? 'them' : 'it'}
        </Typography>
        {shown ? <MethodList rows={shown.answer.methods} several={several} /> : <Waiting what="the ways to cook it" />}
      </Paper>
    </Box>
  )
}

export default function FishFirstPage() {
  const { species = '' } = useParams()
  return <FishFirst key={species} species={species} />
}
