import Autocomplete from '@mui/material/Autocomplete'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import { visuallyHidden } from '@mui/utils'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import type { BandKey, NormalisedBrief } from '@tender-gill/contract'
import { ASK_LABEL, describeValue } from '../../reader/index.ts'
import { lazy, Suspense, useState } from 'react'
import { Link } from 'react-router'
import { useServingsQuery, useKitchenQuery } from '../../api/api.ts'
import { FleshPrint } from '../../drawings/FleshPrint.tsx'
import { TraitStrip } from '../../drawings/TraitStrip.tsx'
import { nameQuestion, useAnswer, useSheet } from '../../engine/index.ts'
import { Waiting } from '../../parts/Waiting.tsx'
import { useSearch } from '../../state/useSearch.ts'
import { HEADING, INK } from '../../theme.ts'
import { MOST_COMPARED, fishPath } from '../../parts/bookWords.ts'
import { readOffer } from '../species/index.ts'
import { OneOf } from '../../parts/OneOf.tsx'
import { compareTraits } from './compareTraits.ts'
import { findStanding, pickColumns, type Column, type StandingOf } from './columns.ts'
import { MarketRows } from './MarketRows.tsx'
import { PointsCompared } from './PointsCompared.tsx'

const WorthChart = lazy(() => import('./WorthChart.tsx').then((module) => ({ default: module.WorthChart })))

/** How one fish does in the open dish, in a line. */
function Standing({ row, left }: StandingOf) {
  if (row)
    return (
      <Typography>
        <b style={{ fontFamily: HEADING, fontSize: 26 }}>{row.fit.toFixed(row.fit === 100 ? 0 : 1)}</b> of 100 in the dish
      </Typography>
    )
  return <Typography variant="body2">{left ?? ''}</Typography>
}

interface TableProps {
  readonly columns: readonly Column[]
  readonly brief: NormalisedBrief | null
  readonly onPick: (species: string, offerId: string) => void
  readonly onDrop: (species: string) => void
  readonly standings: ReadonlyMap<string, StandingOf>
}

function CompareTable({ columns, brief, onPick, onDrop, standings }: TableProps) {
  const traits = compareTraits(
    columns.map(({ offer }) => offer),
    brief,
  )
  const grid = {
    display: 'grid',
    gridTemplateColumns: `150px repeat(${columns.length}, minmax(150px, 1fr))`,
    columnGap: 2,
    alignItems: 'center',
  } as const
  return (
    <Box sx={{ overflowX: 'auto' }} tabIndex={0} role="region" aria-label="Fish side by side">
      <Box role="table" aria-label="Comparison" sx={{ minWidth: 150 + columns.length * 166 }}>
        <Box role="row" sx={{ ...grid, alignItems: 'start', pb: 1 }}>
          <span role="columnheader" style={visuallyHidden}>
            Trait
          </span>
          <span role="presentation" />
          {columns.map(({ sheet, offer }) => (
            <Box role="columnheader" key={sheet.species}>
              <FleshPrint offer={offer} name={sheet.common} size="medium" />
              <Typography component="h2" variant="h2">
                <Link to={fishPath(sheet.species)} style={{ color: INK.squid }}>
                  {sheet.common}
                </Link>
              </Typography>
              <OneOf
                label={`Which ${sheet.common}`}
                value={offer.id}
                options={sheet.offers.map(({ id, label }) => [id, label])}
                onChange={(id) => onPick(sheet.species, id)}
                sx={{ my: 1, width: '100%', maxWidth: 230 }}
              />
              {brief && <Standing {...standings.get(sheet.species)} />}
              <Button size="small" onClick={() => onDrop(sheet.species)} aria-label={`Leave ${sheet.common} out`}>
                leave out
              </Button>
            </Box>
          ))}
        </Box>
        <MarketRows
          columns={columns.map(({ sheet, offer }) => ({ species: sheet.species, offer, row: standings.get(sheet.species)?.row }))}
          brief={brief}
          grid={grid}
        />
        {traits.map(({ key, ask, matters }) => (
          <Box
            role="row"
            key={key}
            sx={{
              ...grid,
              borderTop: `1px solid ${INK.hairline}`,
              py: 0.5,
              borderLeft: `5px solid ${matters ? INK.roe : 'transparent'}`,
              pl: 1,
            }}
          >
            <Typography role="rowheader" sx={{ fontWeight: matters ? 700 : 400 }}>
              {key === 'bones' ? 'Bones in a fillet' : ASK_LABEL[key as BandKey]}
              {matters && (
                <Typography component="span" variant="body2" sx={{ display: 'block' }}>
                  {ask ? `they differ; matters ${ask.pull} of 5` : 'they differ'}
                </Typography>
              )}
            </Typography>
            {columns.map(({ sheet, offer }) => {
              const value = readOffer(offer, key)
              return (
                <Box role="cell" key={sheet.species}>
                  <TraitStrip trait={key as BandKey} value={value} name={sheet.common} width={200} wanted={ask} />
                  <Typography variant="body2">{describeValue(key as BandKey, value.typical)}</Typography>
                </Box>
              )
            })}
          </Box>
        ))}
      </Box>
    </Box>
  )
}

/** Up to four fish side by side, each trait on one axis, the differences that matter first. */
export default function ComparePage() {
  const [search, change] = useSearch()
  const sheet = useSheet()
  const { data: dishes = [] } = useServingsQuery()
  const { data: kitchen } = useKitchenQuery()
  const names = [...new Set(search.getAll('fish'))].slice(0, MOST_COMPARED)
  const dish = dishes.find(({ id }) => id === search.get('dish'))
  const [picked, setPicked] = useState<Readonly<Record<string, string>>>({})
  const key = sheet ? `${sheet.name}|${names.join('|')}` : null
  const sheets = useAnswer(sheet, key, (desk) => desk.sheets(names))
  const fish = useAnswer(sheet, sheet ? `fish|${sheet.name}` : null, (desk) => desk.fishNames())
  const pooled = dish && names.length > 0 ? { ...dish.brief, pool: names, allOffers: true } : null
  // The dish is answered from the offers of its own day.
  const ofDish = useSheet(dish?.brief.date, { skip: dish === undefined })
  const lineUp = useAnswer(ofDish, pooled && ofDish ? `${ofDish.name}|${nameQuestion(pooled)}` : null, async (desk) =>
    pooled ? await desk.lineUp(pooled, { shares: false, leftOut: true, rows: Infinity }) : null,
  )
  const whole = useAnswer(ofDish, dish && ofDish ? `${ofDish.name}|whole|${nameQuestion(dish.brief)}` : null, async (desk) =>
    dish ? await desk.lineUp(dish.brief, { shares: false, leftOut: false, rows: Infinity }) : null,
  )
  if (!sheets || sheets.key !== key) return <Waiting what="the comparison" />
  const answer = pooled && lineUp?.value?.ok ? lineUp.value.value.lineUp : null
  const columns = pickColumns(sheets.value, picked, answer)
  const standings = new Map(columns.map(({ sheet, offer }) => [sheet.species, findStanding(offer, answer)]))
  const setFish = (next: readonly string[]) =>
    change((params) => {
      params.delete('fish')
      for (const name of next) params.append('fish', name)
    })
  const setDish = (id: string) =>
    change((params) => {
      if (id === '') params.delete('dish')
      else params.set('dish', id)
    })
  return (
    <Paper component="section" aria-label="Side by side" sx={{ p: 2, mt: 1 }}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap', mb: 2 }}>
        <Typography variant="h1" sx={{ mr: 'auto' }}>
          Side by side
        </Typography>
        <OneOf
          label="For the dish"
          value={dish?.id ?? ''}
          options={[['', 'none: the flesh alone'], ...dishes.map(({ id, brief }) => [id, brief.dish] as const)]}
          onChange={setDish}
          sx={{ minWidth: 230 }}
        />
        {names.length < MOST_COMPARED && (
          <Autocomplete
            size="small"
            sx={{ width: 260 }}
            blurOnSelect
            value={null}
            options={(fish?.value ?? []).filter(({ species }) => !names.includes(species))}
            getOptionLabel={({ common }) => common}
            getOptionKey={({ species }) => species}
            onChange={(_event, value) => value && setFish([...names, value.species])}
            renderInput={(params) => <TextField {...params} label="Add a fish" />}
          />
        )}
      </Box>
      <Typography variant="body2" color="text.secondary" gutterBottom>
        A line is the range a buyer meets, the dot the usual fish{answer ? '; the block is what the dish wants' : ''}. Differences that
        matter stand first.
      </Typography>
      {columns.length === 0 ? (
        <Typography>Add two to four fish to see where they part.</Typography>
      ) : (
        <CompareTable
          columns={columns}
          brief={answer?.brief ?? null}
          standings={standings}
          onPick={(species, id) => setPicked({ ...picked, [species]: id })}
          onDrop={(species) => setFish(names.filter((name) => name !== species))}
        />
      )}
      {answer && answer.ranked.length > 0 && (
        <Box component="section" aria-label="Where the points go" sx={{ mt: 3 }}>
          <Typography variant="h2" gutterBottom>
            Where the points go
          </Typography>
          <PointsCompared rows={answer.ranked.filter(({ offerId }) => columns.some(({ offer }) => offer.id === offerId))} />
        </Box>
      )}
      {dish && whole?.value?.ok && (
        <Box component="section" aria-label="Fit against cost" sx={{ mt: 3 }}>
          <Typography variant="h2" gutterBottom>
            Fit against cost and stock, all who can do it
          </Typography>
          <Suspense fallback={<Waiting what="the chart" shape="chart" />}>
            <WorthChart ranked={whole.value.value.lineUp.ranked} marked={names} currency={kitchen?.currency ?? 'EUR'} />
          </Suspense>
        </Box>
      )}
    </Paper>
  )
}
