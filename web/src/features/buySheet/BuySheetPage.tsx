import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import GlobalStyles from '@mui/material/GlobalStyles'
import FormControlLabel from '@mui/material/FormControlLabel'
import Paper from '@mui/material/Paper'
import Switch from '@mui/material/Switch'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import type { BuySheet } from '@tender-gill/contract'
import { addressOf, operations } from '@tender-gill/contract/operations'
import { addDays, countDays, isDay } from '@tender-gill/core'
import { Link } from 'react-router'
import { useBuySheetQuery, useKitchenQuery } from '../../api/api.ts'
import { useAnswer, useSheet } from '../../engine/index.ts'
import { useKitchenId } from '../../kitchen/index.ts'
import { joinWords, ofHundred } from '../../parts/dishWords.ts'
import { DayField } from '../../parts/moments.tsx'
import { Waiting } from '../../parts/Waiting.tsx'
import { describeDay, formatMassToBuy, formatMoney } from '../../reader/index.ts'
import { useSearch } from '../../state/useSearch.ts'
import { HEADING } from '../../theme.ts'
import { describeNext } from './buyWords.ts'
import { OrderSheet } from './OrderSheet.tsx'
import { usePurchases } from './usePurchases.ts'

const SPANS = [
  [1, 'One day'],
  [3, 'Three days'],
  [7, 'A week'],
] as const
const USUAL_SPAN = 7

/** What cannot be put on the sheet, what waits for a day, and what was ordered for something that is no longer asked for. */
function Beside({ sheet, undated }: { readonly sheet: BuySheet; readonly undated: boolean }) {
  const { nothing, elsewhere, undated: waiting } = sheet
  const species = [...new Set(elsewhere.map(({ purchase }) => purchase.species))]
  const names = useAnswer(useSheet(), species.join(',') || null, (desk) => desk.commonNames(species))?.value
  return (
    <>
      {nothing.map(({ servingId, dish, because }) => (
        <Alert key={servingId} severity="warning" className="screen">
          <Link to={`/dishes/${servingId}/line-up`}>{dish}</Link>: {because}
        </Alert>
      ))}
      {elsewhere.map(({ id, purchase: { species: fish, orderedG, merchant, date, state } }) => (
        <Alert key={id} severity="info" className="screen">
          {formatMassToBuy(orderedG)} of {names?.[fish] ?? fish} {state === 'bought' ? 'was bought' : 'was ordered'}
          {merchant ? ` from ${merchant}` : ''} for {describeDay(date)}, and no dish asks for it in that way any more.
        </Alert>
      ))}
      {!undated && waiting.length > 0 && (
        <Typography className="screen" variant="body2" color="text.secondary">
          {joinWords(waiting.map(({ dish }) => dish))} {waiting.length === 1 ? 'waits' : 'wait'} for a day and{' '}
          {waiting.length === 1 ? 'is' : 'are'} not on it.
        </Typography>
      )}
    </>
  )
}

/** What to order from whom until when: the page a planner lives on in the morning. */
export default function BuySheetPage() {
  const [search, change] = useSearch()
  const kitchenId = useKitchenId()
  const { data: kitchen } = useKitchenQuery()
  const today = kitchen?.today ?? ''
  const asked = search.get('from')
  const from = isDay(asked) ? asked : today
  const to = isDay(search.get('to')) ? (search.get('to') ?? '') : from && addDays(from, USUAL_SPAN - 1)
  const undated = search.get('undated') === 'yes'
  const query = { from, to, ...(undated ? { undated: 'yes' as const } : {}) }
  const { data: sheet, isError } = useBuySheetQuery(query, { skip: today === '' })
  const purchases = usePurchases(today)
  const span = from && to ? countDays(from, to) + 1 : USUAL_SPAN
  const setDays = (first: string, days: number) =>
    change((params) => {
      params.set('from', first)
      params.set('to', addDays(first, days - 1))
    })
  const fileAt = (operation: 'buySheet' | 'buySheetFile', more: Record<string, string> = {}) =>
    `${addressOf(operations[operation], { kitchen: kitchenId })}?${new URLSearchParams({ ...query, ...more }).toString()}`
  if (isError) return <Alert severity="error">The sheet could not be written. Try again.</Alert>
  if (!sheet || !kitchen) return <Waiting what="the buy sheet" shape="rows" />
  const deliveries = new Set(sheet.orders.flatMap(({ merchant, delivery }) => (delivery ? [`${merchant ?? ''}|${delivery}`] : []))).size
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1.5,
        maxWidth: 1080,
        mx: 'auto',
        mt: 1,
        '@media print': { display: 'block', m: 0, '& .screen': { display: 'none' } },
      }}
    >
      <GlobalStyles styles={{ '@page': { margin: '12mm' } }} />
      <Paper component="section" aria-label="Buy sheet" className="screen" sx={{ p: { xs: 1.5, md: 2.5 } }}>
        <Typography variant="h1" sx={{ fontSize: 18 }}>
          Buy sheet, {describeDay(from)}
          {to === from ? '' : ` to ${describeDay(to)}`}
        </Typography>
        <Typography
          role="status"
          aria-label="What to order next"
          sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: { xs: 22, md: 28 }, lineHeight: 1.15, my: 0.5 }}
        >
          {describeNext(sheet)}
        </Typography>
        <Typography color="text.secondary">
          {sheet.covers} covers
          {sheet.spend.length > 0 &&
            `, about ${sheet.spend.map(({ amount, currency }) => formatMoney(amount, currency)).join(' and ')} of fish`}
          {sheet.foodCost &&
            `, ${ofHundred(sheet.foodCost.share)} of 100 of what ${sheet.foodCost.servings === 1 ? 'one dish brings' : `${sheet.foodCost.servings} dishes bring`} in${sheet.foodCost.target === null ? '' : ` (the house aims at ${ofHundred(sheet.foodCost.target)})`}`}
          {deliveries > 0 && ` in ${deliveries} ${deliveries === 1 ? 'delivery' : 'deliveries'}`}
        </Typography>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1, mt: 1 }}>
          <DayField label="From" value={from} required onChange={(day) => isDay(day) && setDays(day, span)} />
          <ToggleButtonGroup
            exclusive
            size="small"
            aria-label="How many days"
            value={span}
            onChange={(_event, days: number | null) => days && setDays(from, days)}
          >
            {SPANS.map(([days, label]) => (
              <ToggleButton key={days} value={days} sx={{ minHeight: 44, textTransform: 'none' }}>
                {label}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          <FormControlLabel
            control={
              <Switch
                checked={undated}
                onChange={(_event, on) => change((params) => (on ? params.set('undated', 'yes') : params.delete('undated')))}
              />
            }
            label={`With what has no day yet (${sheet.undated.length})`}
            sx={{ mr: 'auto', minHeight: 44 }}
          />
          <Button component={Link} to="/counter" variant="outlined">
            At the counter
          </Button>
          <Button variant="contained" onClick={() => window.print()} disabled={sheet.orders.length === 0}>
            Print
          </Button>
          <Button component="a" href={fileAt('buySheetFile', { as: 'csv' })} download>
            CSV
          </Button>
          <Button component="a" href={fileAt('buySheet')} download={`buy-sheet-${from}.json`}>
            JSON
          </Button>
        </Box>
      </Paper>
      <Beside sheet={sheet} undated={undated} />
      {sheet.orders.map((order) => (
        <OrderSheet
          key={`${order.state}|${order.merchant ?? ''}|${order.delivery ?? ''}`}
          order={order}
          kitchen={kitchen}
          query={query}
          purchases={purchases}
        />
      ))}
    </Box>
  )
}
