import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import type { Cook, CookStage, RankedFish, TakenFish } from '@tender-gill/contract'
import { listTaken } from '@tender-gill/core'
import { useMemo, type ReactNode } from 'react'
import { Link } from 'react-router'
import { useOffers } from '../../engine/index.ts'
import { useKeptOffline } from '../../offline/index.ts'
import { DishGate } from '../../parts/DishGate.tsx'
import { describeProblem } from '../../parts/dishWords.ts'
import { HourField } from '../../parts/moments.tsx'
import { HouseSays } from '../../parts/HouseSays.tsx'
import { MeasuredField } from '../../parts/MeasuredField.tsx'
import { NumberField } from '../../parts/NumberField.tsx'
import { OneOf } from '../../parts/OneOf.tsx'
import { OnePage } from '../../parts/OnePage.tsx'
import { Waiting } from '../../parts/Waiting.tsx'
import type { Dish } from '../../state/useDish.ts'
import { useSearch } from '../../state/useSearch.ts'
import { INK } from '../../theme.ts'
import { useTimers } from '../../timers/index.ts'
import { useLineUp } from '../lineUp/index.ts'
import { CookSheet } from './CookSheet.tsx'
import { toAsked } from './cookWords.ts'
import { Hands } from './Hands.tsx'
import { Instead } from './Instead.tsx'
import { LookFor } from './LookFor.tsx'
import { Schedule } from './Schedule.tsx'
import { Schools } from './Schools.tsx'
import { layTimers } from './layTimers.ts'
import { StageEditor } from './StageEditor.tsx'
import { Sureness } from './Sureness.tsx'
import { useCook, useCookHow } from './useCook.ts'
import { Windows } from './Windows.tsx'

const TWO_COLUMNS = { gridTemplateAreas: '"sheet aside" "rest aside"', gridTemplateRows: 'auto 1fr' }

function Panel({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <Paper component="section" aria-label={title} sx={{ p: { xs: 1.5, md: 2 } }}>
      <Typography variant="h2" gutterBottom>
        {title}
      </Typography>
      {children}
    </Paper>
  )
}

/** A stage's end was dragged: it keeps those minutes, the others stay as they are asked. */
const dragEnd = (cook: Cook, asked: readonly CookStage[] | undefined, stage: number, minutes: number): readonly CookStage[] =>
  (asked ?? toAsked(cook.stages)).map((one, i) => {
    if (i !== stage) return one
    const { share: _share, ...rest } = one
    return { ...rest, minutes: Math.round(minutes * 4) / 4 }
  })

interface SheetProps {
  readonly dish: Dish
  readonly taken: TakenFish
  readonly choices: readonly (readonly [offerId: string, words: string])[]
  readonly onFish: (offerId: string) => void
}

function FishCook({ dish, taken, choices, onFish }: SheetProps) {
  const { how, setStages, setFigure, setServeAt } = useCookHow()
  const { set } = useTimers()
  const offer = useOffers(
    useMemo(() => [taken.offerId], [taken.offerId]),
    dish.brief.date,
  ).get(taken.offerId)
  const { answer, instead, stale, insteadStale } = useCook(dish, offer, how)
  if (!offer || !answer) return <Waiting what="the cook sheet" />
  const { brief } = dish
  const { format } = brief
  const cook = answer.ok ? answer.value : null
  const skinOn = brief.skin !== 'off' && ['whole', 'fillet-skin-on', 'portion', 'steak'].includes(format)
  const start = () => cook && set(layTimers(cook, { id: dish.id, dish: brief.dish, common: offer.common, nowMs: Date.now() }))
  return (
    <>
      <OnePage />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', mb: 1, displayPrint: 'none' }}>
        <Typography color="text.secondary" sx={{ mr: 1 }}>
          {brief.dish}
        </Typography>
        <OneOf label="Fish" value={taken.offerId} options={choices} onChange={onFish} sx={{ minWidth: 220 }} />
        {format === 'whole' ? (
          <NumberField
            key={taken.offerId}
            label="One weighs, g"
            value={how.weightG ?? null}
            scale={{ least: 5, most: 20_000 }}
            optional
            width={140}
            onChange={(g) => setFigure('weightG', g)}
          />
        ) : (
          <NumberField
            key={taken.offerId}
            label="Thick, mm"
            value={how.thicknessMm ?? (cook ? Math.round(cook.depthMm) : null)}
            scale={{ least: 3, most: 120 }}
            optional
            width={110}
            onChange={(mm) => setFigure('thicknessMm', mm)}
          />
        )}
        <MeasuredField
          label="From"
          measure="celsius"
          value={how.startC ?? 5}
          scale={{ least: -40, most: 40 }}
          width={100}
          onChange={(startC) => setFigure('startC', startC)}
        />
        <HourField label="On the table at" value={how.serveAt ?? ''} onChange={setServeAt} size="small" width={170} />
        <Box sx={{ flex: 1 }} />
        {cook && (
          <Button variant="contained" onClick={start} sx={{ minHeight: 44 }}>
            Start now
          </Button>
        )}
        <Button variant="outlined" component={Link} to="/run-sheet" sx={{ minHeight: 44 }}>
          Run sheet
        </Button>
        <Button variant="outlined" onClick={() => window.print()} sx={{ minHeight: 44 }}>
          Print
        </Button>
      </Box>
      {!answer.ok && (
        <Alert severity="warning" sx={{ mb: 1 }}>
          {answer.error.map(describeProblem).join('; ')}
        </Alert>
      )}
      <Box
        sx={{
          ...{ display: 'grid', gap: 1.5, alignItems: 'start', '& > *': { minWidth: 0 } },
          ...{ gridTemplateColumns: 'minmax(0, 1fr)', gridTemplateAreas: '"sheet" "aside" "rest"' },
          [`@media (min-width: 900px)`]: { ...TWO_COLUMNS, gridTemplateColumns: 'minmax(0, 2.6fr) minmax(0, 1fr)' },
          '@media print': { ...TWO_COLUMNS, gridTemplateColumns: 'minmax(0, 2.2fr) minmax(0, 1fr)' },
        }}
      >
        {cook && (
          <CookSheet
            cook={cook}
            common={offer.common}
            dish={brief.dish}
            round={format === 'whole' && cook.stages.every(({ face, rest }) => rest || face === 'all')}
            skinOn={skinOn}
            stale={stale}
            long={brief.longCooking || brief.method === 'braise'}
            onEnd={(stage, minutes) => setStages(dragEnd(cook, how.stages, stage, minutes))}
          />
        )}
        {cook && (
          <Box sx={{ display: 'grid', gap: 1.5, gridArea: 'aside' }}>
            <Panel title="Look for">
              <LookFor signs={cook.signs} />
            </Panel>
            {cook.schedule && (
              <Panel title="Worked back">
                <Schedule schedule={cook.schedule} />
              </Panel>
            )}
            <Panel title="How far">
              <Schools {...cook} onChoose={(doneness) => dish.edit({ brief: { ...brief, doneness } })} />
            </Panel>
            <Panel title="If the fish changes">
              {instead ? (
                <Instead instead={instead} stale={insteadStale} cook={cook} path={`/dishes/${dish.id}/stand-ins`} />
              ) : (
                <Waiting what="its stand-ins" />
              )}
            </Panel>
            <Paper component="section" aria-label="What can hurt" sx={{ p: { xs: 1.5, md: 2 }, borderLeft: `4px solid ${INK.brass}` }}>
              <Box component="ul" sx={{ m: 0, pl: 2 }}>
                {cook.cautions.map(({ kind, sentence }) => (
                  <li key={`${kind}${sentence}`}>{sentence}</li>
                ))}
              </Box>
            </Paper>
            <Box sx={{ displayPrint: 'none' }}>
              <Panel title="What the minutes rest on">
                <Sureness cook={cook} />
                <HouseSays offer={offer} />
              </Panel>
            </Box>
          </Box>
        )}
        <Box sx={{ display: 'grid', gap: 1.5, gridArea: 'rest' }}>
          <Box sx={{ displayPrint: 'none' }}>
            <Panel title="Stages">
              <StageEditor shown={cook?.stages ?? []} asked={how.stages} onChange={setStages} />
            </Panel>
          </Box>
          {cook && (
            <Panel title="Before it is cooked">
              <Windows windows={cook.windows} fishG={(brief.portionG ?? 150) * (brief.covers ?? 1)} />
            </Panel>
          )}
          <Box sx={{ displayPrint: 'none' }}>
            <Panel title="Hands">
              <Hands offer={offer} form={taken.form} brief={brief} />
            </Panel>
          </Box>
        </Box>
      </Box>
    </>
  )
}

/** What may be cooked: what is taken, then the line-up, each once. */
function listChoices(all: readonly TakenFish[], ranked: readonly RankedFish[], taken: TakenFish): readonly (readonly [string, string])[] {
  const rows = ranked.slice(0, 40).map(({ offerId, common, offer }) => [offerId, `${common}, ${offer}`] as const)
  const missing = [taken, ...all].filter(
    ({ offerId }, i, list) => !rows.some(([id]) => id === offerId) && list.findIndex((one) => one.offerId === offerId) === i,
  )
  return [...missing.map(({ offerId, species }) => [offerId, species] as const), ...rows]
}

function CookView({ dish }: { readonly dish: Dish }) {
  useKeptOffline()
  const [search, change] = useSearch()
  const lineUp = useLineUp(dish.brief, { fitAlone: true })
  if (lineUp.status === 'refused') return <Alert severity="error">{lineUp.problems.map(describeProblem).join('; ')}</Alert>
  if (lineUp.status === 'waiting') return <Waiting what="the line-up" />
  const { ranked } = lineUp.lineUp
  const all = dish.choice ? listTaken(dish.choice) : []
  const of = search.get('of')
  const fromRow = ranked.find(({ offerId }) => offerId === of)
  const taken: TakenFish | undefined =
    all.find(({ offerId }) => offerId === of) ??
    (fromRow && { species: fromRow.species, offerId: fromRow.offerId, form: fromRow.form }) ??
    all[0] ??
    ranked[0]
  if (!taken) return <Alert severity="info">No fish can do this dish as it stands. See the line-up for what would let one in.</Alert>
  const pick = (offerId: string) => change((params) => params.set('of', offerId))
  return <FishCook key={taken.offerId} dish={dish} taken={taken} choices={listChoices(all, ranked, taken)} onFish={pick} />
}

export default function CookPage() {
  return <DishGate>{(dish) => <CookView key={dish.id} dish={dish} />}</DishGate>
}
