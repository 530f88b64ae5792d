import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import LinearProgress from '@mui/material/LinearProgress'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import type { YearOfDish } from '@tender-gill/contract'
import { nameMonth } from '../../reader/index.ts'
import { proxy } from 'comlink'
import { lazy, Suspense, useState } from 'react'
import { Link } from 'react-router'
import { useKitchenQuery, useSeasonsQuery } from '../../api/api.ts'
import { nameQuestion, useAnswer, useSheet } from '../../engine/index.ts'
import { Waiting } from '../../parts/Waiting.tsx'
import type { Dish } from '../../state/useDish.ts'
import { HEADING, INK } from '../../theme.ts'
import { DishGate } from '../../parts/DishGate.tsx'
import { describeProblem, joinWords, ofHundred } from '../../parts/dishWords.ts'
import { MonthTable } from './MonthTable.tsx'
import { describeBest, describeYear } from './yearWords.ts'
import { WhatIsThis } from '../../parts/WhatIsThis.tsx'

const YearChart = lazy(() => import('./YearChart.tsx'))

function MonthList({ year, dish, month }: { readonly year: YearOfDish; readonly dish: Dish; readonly month: number }) {
  const name = (date: string) => () => dish.edit({ brief: { ...dish.brief, date } })
  return (
    <Box component="ol" aria-label="Month by month" sx={{ listStyle: 'none', p: 0, m: 0 }}>
      {year.months.map(({ month: at, leader, able, date }) => (
        <Box
          component="li"
          key={at}
          sx={{
            display: 'grid',
            gridTemplateColumns: '92px minmax(0, 1fr) auto',
            gap: 1,
            alignItems: 'center',
            borderTop: `1px solid ${INK.hairline}`,
            borderLeft: at === month ? `5px solid ${INK.roe}` : '5px solid transparent',
            pl: 1,
            py: 0.25,
          }}
        >
          <Typography sx={{ fontFamily: HEADING, fontWeight: 700 }}>{nameMonth(at)}</Typography>
          <div>
            <b>{leader ? leader.common : 'No fish can'}</b>
            <Typography variant="body2" color="text.secondary">
              {leader
                ? `fit ${leader.fit.toFixed(0)}, first in ${ofHundred(leader.firstShare)} of 100; ${able} can do it`
                : 'none passes what it must have'}
            </Typography>
          </div>
          {at !== month && (
            <Button
              size="small"
              component={Link}
              to={`/dishes/${dish.id}/line-up`}
              onClick={name(date)}
              aria-label={`Set the dish in ${nameMonth(at)}`}
            >
              Set it then
            </Button>
          )}
        </Box>
      ))}
    </Box>
  )
}

/** The waters whose years the kitchen keeps, named for the dish with one press. */
function NameWaters({ dish, waters }: { readonly dish: Dish; readonly waters: readonly string[] }) {
  if (waters.length === 0)
    return (
      <Button component={Link} to="/market/waters" variant="outlined">
        Keep the year of a water
      </Button>
    )
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1 }}>
      {waters.map((water) => (
        <Button key={water} variant="outlined" size="large" onClick={() => dish.edit({ brief: { ...dish.brief, waters: [water] } })}>
          It comes from {water}
        </Button>
      ))}
    </Box>
  )
}

function YearView({ dish }: { readonly dish: Dish }) {
  const { data: kitchen } = useKitchenQuery()
  const sheet = useSheet(dish.brief.date)
  const [done, setDone] = useState(0)
  const taken = dish.choice?.species
  const answer = useAnswer(sheet, sheet ? `${sheet.name}|year|${taken ?? ''}|${nameQuestion(dish.brief)}` : null, async (desk) => {
    const watch = proxy((months: number) => setDone(months))
    return await desk.year(dish.brief, taken, watch)
  })
  const { data: seasons = [] } = useSeasonsQuery()
  const waters = [...new Set(seasons.map(({ season }) => season.water))].sort()
  if (answer && !answer.value.ok) return <Alert severity="error">{answer.value.error.map(describeProblem).join('; ')}</Alert>
  const year = answer?.value.ok ? answer.value.value : undefined
  const month = Number((dish.brief.date ?? kitchen?.today ?? '2000-01-01').slice(5, 7))
  if (!year)
    return (
      <>
        <Waiting what={`the year, ${done} of 12 months`} />
        <LinearProgress variant="determinate" value={(100 * done) / 12} aria-label="Months done" />
      </>
    )
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1.5,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1.3fr) minmax(0, 1fr)' },
        alignItems: 'start',
        mt: 1,
      }}
    >
      <Paper component="section" aria-label="The year" sx={{ p: 2 }}>
        <Typography variant="h1">{year.known ? describeBest(year) : 'No year is counted'}</Typography>
        <Typography color="text.secondary" gutterBottom>
          {year.known
            ? `${dish.brief.dish}: how well it can be done in each month, and by whom, of 100. All fish of the book, since lists of other months are not known.`
            : 'The brief names no waters, so every month is alike. With the waters named, the years kept there are counted.'}
        </Typography>
        {!year.known && <NameWaters dish={dish} waters={waters} />}
        {year.known && <WhatIsThis about="year" />}
        {year.known && <MonthTable year={year} dish={dish.brief.dish} month={month} />}
        {year.known && (
          <>
            <Typography variant="h2" sx={{ mt: 2 }}>
              {describeYear(year)}
            </Typography>
            <div role="img" aria-label={`Who comes first: ${joinWords(year.fish.map(({ common }) => common))}; month by month in the list`}>
              <Suspense fallback={<Waiting what="the chart" shape="chart" />}>
                <YearChart year={year} month={month} />
              </Suspense>
            </div>
            <Typography variant="body2" color="text.secondary">
              Who comes first in how many of 100 draws. From the bottom: {joinWords(year.fish.map(({ common }) => common))}. 400 draws a
              month, the same everywhere else.
            </Typography>
          </>
        )}
      </Paper>
      {year.known && (
        <Paper component="section" aria-label="In words" sx={{ p: 2 }}>
          <MonthList year={year} dish={dish} month={month} />
        </Paper>
      )}
    </Box>
  )
}

/** A dish over the year: who leads it when, and how surely. */
export default function YearPage() {
  return <DishGate>{(dish) => <YearView key={dish.id} dish={dish} />}</DishGate>
}
