import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import FormControlLabel from '@mui/material/FormControlLabel'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import type { Kitchen, ServingRecord } from '@tender-gill/contract'
import { addressOf, operations } from '@tender-gill/contract/operations'
import { atHour, listTaken, USUAL_PLACES, type Places } from '@tender-gill/core'
import { useDispatch } from 'react-redux'
import { Link } from 'react-router'
import { useKitchenQuery, useServingsQuery } from '../../api/api.ts'
import { nameQuestion, useAnswer, useSheet } from '../../engine/index.ts'
import { said } from '../../notices/index.ts'
import { useKeptOffline } from '../../offline/index.ts'
import { DayField, HourField } from '../../parts/moments.tsx'
import { NumberField } from '../../parts/NumberField.tsx'
import { OnePage } from '../../parts/OnePage.tsx'
import { readLocalTime } from '../../parts/readLocalTime.ts'
import { Waiting } from '../../parts/Waiting.tsx'
import { describeDay } from '../../reader/index.ts'
import type { AppDispatch } from '../../state/store.ts'
import { useSearch } from '../../state/useSearch.ts'
import { HEADING, INK } from '../../theme.ts'
import { useNow, useTimers } from '../../timers/index.ts'
import { sayRange } from '../cook/index.ts'
import { layTasks, readClock, sayClock, type RunLine } from './layTasks.ts'
import { ASKED_PLACES, keepOwnPlace, PLACES_SCALE, readOwnPlaces } from './ownPlaces.ts'
import { RunChart } from './RunChart.tsx'
import { saveFile } from './saveFile.ts'

const USUAL_HOUR = '20:00'
/** What was due longer ago than this is not begun any more. */
const PAST_MS = 10 * 60_000
const MINUTE_MS = 60_000

interface RunProps {
  readonly kitchen: Kitchen
  readonly day: string
  readonly servings: readonly ServingRecord[]
}

function Run({ kitchen, day, servings }: RunProps) {
  const [search, change] = useSearch()
  const { set } = useTimers()
  const dispatch = useDispatch<AppDispatch>()
  const at = search.get('at') ?? USUAL_HOUR
  const skipped = new Set((search.get('without') ?? '').split(' '))
  const places: Places = { ...USUAL_PLACES, ...readOwnPlaces(localStorage, kitchen.id, (place) => search.get(place)) }
  const asked = servings
    .filter(({ id }) => !skipped.has(id))
    .map(({ id, brief, choice }) => ({
      ...{ id, brief, taken: (choice ? listTaken(choice)[0] : undefined) ?? null },
      serveAtMin: readClock(search.get(`at-${id}`)) ?? readClock(at) ?? 20 * 60,
    }))
  const answer = useAnswer(useSheet(day), nameQuestion([asked, places]), (desk) => desk.runSheet(asked, places))
  const now = new Date(useNow(30_000))
  const nowMin = (day === kitchen.today ? readClock(readLocalTime(kitchen.zone, now)) : undefined) ?? -1
  const atMinute = (date: string, minutes: number): number =>
    atHour(date, Math.floor(minutes / 60), kitchen.zone) + (minutes % 60) * MINUTE_MS
  const dishOf = (id: string) => servings.find((one) => one.id === id)?.brief.dish ?? ''
  const put = (name: string, value: string) => change((params) => (value === '' ? params.delete(name) : params.set(name, value)))
  const toggle = (id: string, on: boolean) =>
    put(
      'without',
      [...skipped]
        .filter((one) => one !== '' && one !== id)
        .concat(on ? [] : [id])
        .join(' '),
    )
  const plan = answer?.value.plan
  const lines = answer && plan ? layTasks(plan, answer.value.cooked, dishOf) : []
  const heat = lines.find(({ kind }) => kind === 'stage')
  const startTimers = () => {
    const ahead = lines
      .filter(({ kind }) => kind !== 'serve' && kind !== 'prepare')
      .map(({ id, servingId, atMin, what, then, earlyMin }) => ({
        ...{ id, what, then, path: `/dishes/${servingId}/cook`, endsMs: atMinute(kitchen.today, atMin) },
        fromMs: atMinute(kitchen.today, atMin - earlyMin),
      }))
      .filter(({ endsMs }) => endsMs > Date.now() - PAST_MS)
    set(ahead)
    if (ahead.length === 0) dispatch(said('failed', `It is past the time of everything on it: say another hour than ${at}.`))
  }
  const toCalendar = async () => {
    const tasks = lines.map(({ id, atMin, what, then }) => ({
      id: `${day} ${id}`,
      at: new Date(atMinute(day, atMin)).toISOString(),
      minutes: 1,
      title: `${then}: ${what}`,
    }))
    const got = await fetch(addressOf(operations.runCalendar, { kitchen: kitchen.id }), {
      ...{ method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify({ tasks }) },
    }).catch(() => undefined)
    if (got?.ok) saveFile('run-sheet.ics', 'text/calendar', await got.text())
    else dispatch(said('failed', 'The calendar could not be written just now.'))
  }
  return (
    <>
      <OnePage />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', mb: 1, displayPrint: 'none' }}>
        <DayField label="Day" value={day} onChange={(value) => put('day', value)} size="small" />
        <HourField label="On the table at" value={at} onChange={(value) => put('at', value)} size="small" width={150} />
        {ASKED_PLACES.map(([place, label]) => (
          <NumberField
            key={place}
            label={label}
            value={places[place]}
            scale={PLACES_SCALE}
            width={104}
            onChange={(value) => {
              keepOwnPlace(localStorage, kitchen.id, place, String(value ?? ''))
              put(place, String(value ?? ''))
            }}
          />
        ))}
        <Box sx={{ flex: 1 }} />
        <Button variant="contained" onClick={startTimers} disabled={lines.length === 0} sx={{ minHeight: 44 }}>
          Start the timers
        </Button>
        <Button variant="outlined" onClick={() => void toCalendar()} disabled={lines.length === 0} sx={{ minHeight: 44 }}>
          To a calendar
        </Button>
        <Button variant="outlined" onClick={() => window.print()} sx={{ minHeight: 44 }}>
          Print
        </Button>
      </Box>
      {!answer || !plan ? (
        <Waiting what="the run sheet" />
      ) : (
        <Box sx={{ display: 'grid', gap: 1.5, '& > *': { minWidth: 0 } }}>
          <Paper component="section" aria-label="What begins when" sx={{ p: { xs: 1.5, md: 3 } }}>
            <Typography variant="h1" sx={{ fontSize: { xs: 26, md: 32 } }}>
              <span role="status" aria-label="When to begin">
                {heat ? `Begin at ${sayClock(heat.atMin)} for ${at}` : 'Nothing is cooked on this day.'}
              </span>
            </Typography>
            <Typography color="text.secondary" sx={{ mb: 1 }}>
              {describeDay(day)}
              {lines[0]?.kind === 'prepare' && `; prepare from ${sayClock(lines[0].atMin)}, by hands used to it`}; times are good to a
              fifth: check the middle.
              {plan.rows.some(({ shiftMin }) => shiftMin > 0) &&
                ` Moved: ${plan.rows
                  .filter(({ shiftMin }) => shiftMin > 0)
                  .map(({ id, shiftMin }) => `${dishOf(id)} is ready ${shiftMin} min early and waits`)
                  .join('; ')}.`}
            </Typography>
            {plan.clashes.map(({ sentence, fromMin, toMin }) => (
              <Alert key={`${sentence}${fromMin}`} severity="warning" sx={{ mb: 1 }}>
                {sayClock(fromMin)} to {sayClock(toMin)}: {sentence}
              </Alert>
            ))}
            {plan.rows
              .filter(({ batches }) => batches > 1)
              .map(({ id, batches }) => (
                <Alert key={id} severity="info" sx={{ mb: 1 }}>
                  {dishOf(id)} does not fit at once: {batches} batches, one after the other; the first waits for the last. More burners or
                  fryers make it fewer.
                </Alert>
              ))}
            {plan.rows.length > 0 && <RunChart plan={plan} cooked={answer.value.cooked} dishOf={dishOf} nowMin={nowMin} />}
          </Paper>
          <Box
            sx={{
              display: 'grid',
              gap: 1.5,
              gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 2fr) minmax(0, 1fr)' },
              alignItems: 'start',
            }}
          >
            <Paper component="section" aria-label="In order" sx={{ p: { xs: 1.5, md: 2 } }}>
              <Lines lines={lines} />
            </Paper>
            <Paper component="section" aria-label="Dishes of the day" sx={{ p: { xs: 1.5, md: 2 }, displayPrint: 'none' }}>
              <Typography variant="h2" gutterBottom>
                Dishes of the day
              </Typography>
              {servings.map(({ id, brief }) => {
                const one = answer.value.cooked[id]
                return (
                  <Box key={id} sx={{ borderTop: `1px solid ${INK.hairline}`, py: 0.75 }}>
                    <FormControlLabel
                      control={<Checkbox checked={!skipped.has(id)} onChange={(_event, on) => toggle(id, on)} />}
                      label={`${brief.dish}, ${brief.covers ?? 1}`}
                    />
                    {!skipped.has(id) && (
                      <Box sx={{ pl: 4, display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center' }}>
                        {one ? (
                          <Link to={`/dishes/${id}/cook`}>
                            {one.common}: {sayRange(one.cook.pull.minutes)}
                          </Link>
                        ) : (
                          <Typography color="text.secondary">no minutes: it is not cooked, or no fish can do it</Typography>
                        )}
                        <HourField
                          label="At"
                          value={search.get(`at-${id}`) ?? at}
                          onChange={(value) => put(`at-${id}`, value)}
                          size="small"
                          width={120}
                        />
                      </Box>
                    )}
                  </Box>
                )
              })}
              {servings.length === 0 && <Typography color="text.secondary">No dish is on the menu of this day.</Typography>}
            </Paper>
          </Box>
        </Box>
      )}
    </>
  )
}

/** What is done, in order, each readable across a kitchen. */
function Lines({ lines }: { readonly lines: readonly RunLine[] }) {
  return (
    <Box component="ol" sx={{ listStyle: 'none', m: 0, p: 0, '@media print': { columns: 2, '& li': { breakInside: 'avoid' } } }}>
      {lines.map(({ id, atMin, then, what, kind, earlyMin }) => (
        <Box
          component="li"
          key={id}
          sx={{
            display: 'grid',
            gridTemplateColumns: '96px 1fr',
            gap: 1,
            py: 0.75,
            borderBottom: `1px solid ${INK.hairline}`,
            alignItems: 'baseline',
          }}
        >
          <Box component="b" sx={{ fontFamily: HEADING, fontSize: 28, lineHeight: 1 }}>
            {sayClock(atMin)}
          </Box>
          <span>
            <b>{then}</b>: {what}
            {kind === 'out' && earlyMin >= 0.5 && <>; look from {sayClock(atMin - earlyMin)}</>}
          </span>
        </Box>
      ))}
    </Box>
  )
}

/** Servings of one day, ready together: starts worked back, clashes solved by order or said. */
export default function RunSheetPage() {
  useKeptOffline()
  const [search] = useSearch()
  const { data: kitchen } = useKitchenQuery()
  const { data: records } = useServingsQuery()
  if (!kitchen || !records) return <Waiting what="the run sheet" />
  const there = records.filter(({ deletedAt }) => deletedAt === null)
  const days = there.flatMap(({ brief: { date } }) => (date === undefined || date < kitchen.today ? [] : [date])).sort()
  const day = search.get('day') ?? days[0] ?? kitchen.today
  return <Run key={day} kitchen={kitchen} day={day} servings={there.filter(({ brief: { date } }) => (date ?? kitchen.today) === day)} />
}
