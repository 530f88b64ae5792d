import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import type { LookBack } from '@tender-gill/contract'
import { addDays, toDayNumber } from '@tender-gill/core'
import { lazy, Suspense, type ReactNode } from 'react'
import { useKitchenQuery, useLookBackQuery } from '../../api/api.ts'
import { OneOf } from '../../parts/OneOf.tsx'
import { OnePage } from '../../parts/OnePage.tsx'
import { Waiting } from '../../parts/Waiting.tsx'
import { describeDay, nameMonth } from '../../reader/index.ts'
import { useSearch } from '../../state/useSearch.ts'
import { HEADING, INK } from '../../theme.ts'
import { HouseBookRooms } from '../../parts/HouseBookRooms.tsx'
import { minutesAgainst, pricesAgainst, sayAgainst, sayFish, sayServices, yieldsAgainst } from './lookBackWords.ts'

const AgainstChart = lazy(() => import('./LookBackCharts.tsx').then(({ AgainstChart }) => ({ default: AgainstChart })))
const FishChart = lazy(() => import('./LookBackCharts.tsx').then(({ FishChart }) => ({ default: FishChart })))
const SwapChart = lazy(() => import('./LookBackCharts.tsx').then(({ SwapChart }) => ({ default: SwapChart })))

const MONTHS_BACK = 14
const pad = (n: number) => String(n).padStart(2, '0')

/** The months up to a day, the latest first, as 2026-05. */
function listMonths(today: string): readonly string[] {
  const [year = 0, month = 1] = today.split('-').map(Number)
  return Array.from({ length: MONTHS_BACK }, (_, i) => {
    const at = year * 12 + month - 1 - i
    return `${Math.floor(at / 12)}-${pad((at % 12) + 1)}`
  })
}
const lastOf = (month: string): string => {
  const [year = 0, of = 1] = month.split('-').map(Number)
  return addDays(of === 12 ? `${year + 1}-01-01` : `${year}-${pad(of + 1)}-01`, -1)
}

/** What somebody looks back over: a month, the last three, or a year. */
function readSpan(span: string, today: string): { readonly from: string; readonly to: string } {
  if (/^\d{4}-\d{2}$/.test(span)) return { from: `${span}-01`, to: lastOf(span) }
  return { from: addDays(today, span === 'quarter' ? -91 : -364), to: today }
}

/** Figures of one kind: what they come to in words, then drawn. */
function Figures({ title, says, children }: { readonly title: string; readonly says: string; readonly children?: ReactNode }) {
  return (
    <Paper component="section" aria-label={title} sx={{ p: { xs: 1.5, md: 2 }, breakInside: 'avoid' }}>
      <Typography variant="h2">{title}</Typography>
      <Typography gutterBottom>{says}</Typography>
      <Suspense fallback={null}>{children}</Suspense>
    </Paper>
  )
}

/** Merchants side by side: what came as ordered, how fresh, at what price. */
function Merchants({ merchants }: Pick<LookBack, 'merchants'>) {
  return (
    <Box
      component="table"
      sx={{
        width: '100%',
        borderCollapse: 'collapse',
        '& td, & th': { borderTop: `1px solid ${INK.hairline}`, p: 0.75, textAlign: 'left' },
      }}
    >
      <thead>
        <tr>
          <th scope="col">Merchant</th>
          <th scope="col">Came as ordered</th>
          <th scope="col">On ice on arrival</th>
          <th scope="col">Price of what was expected</th>
        </tr>
      </thead>
      <tbody>
        {merchants.map(({ merchant, lines, failed, iceDays, looks, priceShare }) => (
          <tr key={merchant}>
            <th scope="row" style={{ fontFamily: HEADING }}>
              {merchant}
            </th>
            <td>
              {lines === 0 ? 'nothing bought' : `${lines - failed} of ${lines}`}
              {lines > 0 && (
                <Box aria-hidden sx={{ height: 8, bgcolor: INK.dulse, mt: 0.5, maxWidth: 160 }}>
                  <Box sx={{ height: 8, bgcolor: INK.kelp, width: `${(100 * (lines - failed)) / lines}%` }} />
                </Box>
              )}
            </td>
            <td>{iceDays === null ? 'nobody looked' : `${iceDays.toFixed(1)} days, ${looks} looked at`}</td>
            <td>{priceShare === null ? 'not known' : `${Math.round(100 * priceShare)} of 100`}</td>
          </tr>
        ))}
      </tbody>
    </Box>
  )
}

/** What was expected and what came: charts to be looked at, each with what it comes to in words; a month prints on one page. */
export default function LookBackPage() {
  const { data: kitchen } = useKitchenQuery()
  const [search, change] = useSearch()
  const span = search.get('span') ?? 'year'
  const { from, to } = readSpan(span, kitchen?.today ?? '2000-01-01')
  const { data } = useLookBackQuery({ from, to }, { skip: !kitchen })
  if (!kitchen || !data) return <Waiting what="what came and what was expected" shape="chart" />
  const prices = pricesAgainst(data)
  const yields = yieldsAgainst(data)
  const minutes = minutesAgainst(data)
  // Drawn from the first of it on: a book that was begun in winter has no summer to show.
  const firstDay = Math.min(...[...prices, ...yields, ...minutes].map(({ day }) => day))
  const days = { from: Math.max(toDayNumber(from), Number.isFinite(firstDay) ? firstDay - 3 : 0), to: toDayNumber(to) }
  const spans: readonly (readonly [string, string])[] = [
    ['year', 'the last year'],
    ['quarter', 'the last three months'],
    ...listMonths(kitchen.today).map((month) => [month, `${nameMonth(Number(month.slice(5)))} ${month.slice(0, 4)}`] as const),
  ]
  return (
    <Box sx={{ maxWidth: 1180, '@media print': { '& .recharts-wrapper svg': { maxWidth: '100%' } } }}>
      <OnePage />
      <HouseBookRooms here="/house-book/look-back" />
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap', mb: 1.5 }}>
        <Box sx={{ displayPrint: 'none' }}>
          <OneOf
            label="Over"
            value={span}
            options={spans}
            onChange={(value) => change((params) => params.set('span', value))}
            sx={{ minWidth: 220 }}
          />
        </Box>
        <Typography
          role="status"
          aria-label="What the time came to"
          sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: { xs: 20, md: 24 }, flex: 1, minWidth: 280 }}
        >
          {sayServices(data)}
        </Typography>
        <Button variant="outlined" onClick={() => window.print()} sx={{ minHeight: 44, displayPrint: 'none' }}>
          Print
        </Button>
      </Box>
      <Typography color="text.secondary" gutterBottom>
        {describeDay(from)} {from.slice(0, 4)} to {describeDay(to)} {to.slice(0, 4)}. Entries set aside are left out.
      </Typography>
      <Box
        sx={{
          ...{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'repeat(2, minmax(0, 1fr))' } },
          '@media print': { gridTemplateColumns: 'repeat(2, minmax(0, 1fr))', gap: '6px' },
        }}
      >
        <Figures
          title="Price against the estimate"
          says={sayAgainst(prices, { more: 'more than expected', less: 'less than expected', what: 'prices' })}
        >
          {prices.length > 0 && <AgainstChart points={prices} band={[95, 105]} {...days} />}
        </Figures>
        <Figures
          title="Minutes against the sheet"
          says={sayAgainst(minutes, { more: 'longer than the sheet', less: 'shorter than the sheet', what: 'dishes timed' })}
        >
          {minutes.length > 0 && <AgainstChart points={minutes} band={[80, 120]} {...days} />}
        </Figures>
        <Figures
          title="Yield against the book"
          says={sayAgainst(yields, { more: 'more than the book', less: 'less than the book', what: 'fish weighed' })}
        >
          {yields.length > 0 && <AgainstChart points={yields} band={[90, 110]} {...days} />}
        </Figures>
        <Figures title="Where fish went" says={sayFish(data)}>
          {data.fish.length > 0 && <FishChart fish={data.fish} />}
        </Figures>
        <Figures
          title="Merchants side by side"
          says={data.merchants.length === 0 ? 'Nothing was bought in this time.' : 'What came, how fresh, and at what price.'}
        >
          {data.merchants.length > 0 && <Merchants merchants={data.merchants} />}
        </Figures>
        <Figures
          title="Which swaps held"
          says={data.swaps.length === 0 ? 'No swap was written down in this time.' : 'Taken again, or not.'}
        >
          {data.swaps.length > 0 && <SwapChart swaps={data.swaps} />}
        </Figures>
      </Box>
    </Box>
  )
}
