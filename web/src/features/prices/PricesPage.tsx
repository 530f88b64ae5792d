import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import type { PriceHistory } from '@tender-gill/contract'
import { FORM_LABEL, MASS_PRICED, describeMass, formatMassPrice, formatMoney, formatMoneyRange } from '../../reader/index.ts'
import { lazy, Suspense, useMemo } from 'react'
import { useKitchenQuery, usePriceHistoryQuery, useSlabQuery } from '../../api/api.ts'
import { FishSearch } from '../../parts/fishSearch/index.ts'
import { Waiting } from '../../parts/Waiting.tsx'
import { useSearch } from '../../state/useSearch.ts'
import { HEADING } from '../../theme.ts'
import { MarketRooms } from '../../parts/MarketRooms.tsx'
import { RoomGrid } from '../../parts/SideList.tsx'
import { describeBasis, describeUsual } from './priceWords.ts'
import { Rates } from './Rates.tsx'

const PriceChart = lazy(() => import('./PriceChart.tsx'))

const keyOf = ({ offerId, form }: PriceHistory['series'][number]) => `${offerId}~${form}`

/** One fish over time, in one of the ways it is sold. */
function History({
  history,
  chosen,
  onChoose,
}: {
  readonly history: PriceHistory
  readonly chosen: string | null
  readonly onChoose: (key: string) => void
}) {
  const series = history.series.find((one) => keyOf(one) === chosen) ?? history.series[0]
  if (!series)
    return (
      <Paper component="section" aria-label="Price" sx={{ p: 2 }}>
        <Typography variant="h1" component="h2">
          {history.common}
        </Typography>
        <Typography>No price of it is kept. It is not guessed from other fish.</Typography>
      </Paper>
    )
  const { now, currency, portionCost } = series
  return (
    <Paper component="section" aria-label="Price" sx={{ p: 2 }}>
      <Typography variant="h1" component="h2">
        {history.common}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, my: 1 }}>
        {history.series.map((one) => (
          <Button
            key={keyOf(one)}
            size="small"
            variant={one === series ? 'contained' : 'outlined'}
            aria-pressed={one === series}
            onClick={() => onChoose(keyOf(one))}
          >
            {one.offer}, {FORM_LABEL[one.form]}
          </Button>
        ))}
      </Box>
      <Typography sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: { xs: 26, md: 32 }, lineHeight: 1.1 }}>
        {portionCost ? `${formatMoney(portionCost.typical, currency)} a portion` : formatMassPrice(now.perKg.typical, currency)}
      </Typography>
      <Typography>
        {portionCost
          ? `${describeMass(150)} cooked and edible, ${formatMoneyRange(portionCost.low, portionCost.high, currency)}, from ${formatMassPrice(now.perKg.typical, currency)}. `
          : ''}
        <b>{describeUsual(series)}</b>
      </Typography>
      <Typography variant="body2" color="text.secondary" gutterBottom>
        {describeBasis(series)} Labour and the rest of the fish are not counted here.
      </Typography>
      <div
        role="img"
        aria-label={`Price of ${history.common} over the year: ${series.quotes.length} quotes, and the estimate with its range`}
      >
        <Suspense fallback={<Waiting what="the chart" shape="chart" />}>
          <PriceChart series={series} date={history.date} />
        </Suspense>
      </div>
      <Typography variant="body2" color="text.secondary">
        {MASS_PRICED}, {currency}. Dots are what merchants asked, the line is what could be made of it on that day, the band where nine in
        ten days lie{series.usualPerKg === null ? '' : ', the dashes its usual price for this month'}.
      </Typography>
    </Paper>
  )
}

/** What fish cost: one over the year, with what its price rests on. */
export default function PricesPage() {
  const [search, change] = useSearch()
  const { data: kitchen } = useKitchenQuery()
  const { data: slab } = useSlabQuery()
  const fish = useMemo(
    () => [...new Map((slab?.fish ?? []).map(({ species, common }) => [species, common]))].sort(([, a], [, b]) => (a < b ? -1 : 1)),
    [slab],
  )
  const species = search.get('fish') ?? fish[0]?.[0]
  const { data: history, error } = usePriceHistoryQuery({ name: species ?? '' }, { skip: species === undefined })
  if (!kitchen || !slab) return <Waiting what="the prices" shape="panels" />
  const pick = (name: string) =>
    change((params) => {
      params.set('fish', name)
      params.delete('as')
    })
  return (
    <Box sx={{ mt: 1 }}>
      <MarketRooms here="/market/prices" />
      <RoomGrid side="320px">
        {/* On a phone the answer stands before the lists. */}
        <Box sx={{ display: { xs: 'contents', md: 'grid' }, gap: 1.5 }}>
          <Paper component="section" aria-label="Fish with a price" sx={{ p: 2 }}>
            <FishSearch label="The price of which fish?" onPick={pick} />
            <Box
              component="ul"
              aria-label="On the lists"
              sx={{ listStyle: 'none', p: 0, m: 0, mt: 1, display: { xs: 'none', md: 'flex' }, flexWrap: 'wrap', gap: 0.5 }}
            >
              {fish.map(([name, common]) => (
                <li key={name}>
                  <Button
                    size="small"
                    aria-current={name === species}
                    variant={name === species ? 'contained' : 'text'}
                    onClick={() => pick(name)}
                  >
                    {common}
                  </Button>
                </li>
              ))}
            </Box>
          </Paper>
          <Box sx={{ order: { xs: 2, md: 0 } }}>
            <Rates kitchen={kitchen} />
          </Box>
        </Box>
        {history && history.species === species ? (
          <History history={history} chosen={search.get('as')} onChoose={(key) => change((params) => params.set('as', key))} />
        ) : error ? (
          <Typography>
            {(error as { readonly status?: unknown }).status === 404
              ? `No fish of the book is called “${species ?? ''}”. Name another.`
              : 'That price could not be read. Try again.'}
          </Typography>
        ) : species === undefined ? (
          <Typography>No price is kept yet. Name a fish, or bring a merchant’s list in.</Typography>
        ) : (
          <Waiting what="the price" />
        )}
      </RoomGrid>
    </Box>
  )
}
