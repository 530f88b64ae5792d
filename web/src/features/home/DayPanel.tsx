import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import { addDays } from '@tender-gill/core'
import type { CoverCard, Kitchen } from '@tender-gill/contract'
import { Link } from 'react-router'
import { DayLine } from '../../drawings/DayLine.tsx'
import { joinWords, ofHundred } from '../../parts/dishWords.ts'
import { nameWeekday, sayDay } from '../../parts/orderWords.ts'
import { readLocalTime } from '../../parts/readLocalTime.ts'
import { describeDay, formatMoney } from '../../reader/index.ts'
import type { MerchantOrder } from './ordersToPlace.ts'
import { WhatIsThis } from '../../parts/WhatIsThis.tsx'

const MOST_NAMED = 3
const MOST_HANG = 0.4

const coversOn = (rows: CoverCard['rows'], date: string): number => rows.reduce((sum, row) => sum + (row.date === date ? row.covers : 0), 0)

function describeCovers(rows: CoverCard['rows'], today: string): string {
  const [now, next] = [coversOn(rows, today), coversOn(rows, addDays(today, 1))]
  const some = rows.reduce((sum, row) => sum + (row.date === null ? row.covers : 0), 0)
  return [
    ...(now > 0 ? [`${now} covers today`] : []),
    ...(next > 0 ? [`${next} tomorrow`] : []),
    ...(some > 0 ? [`${some} on no day yet`] : []),
  ].join(', ')
}

const describeOrder = ({ order, fish, short }: MerchantOrder, today: string): string => {
  const named = fish.length > MOST_NAMED ? `${fish.length} fish` : joinWords(fish)
  const missing = short ? `, ${formatMoney(short.amount, short.currency)} short of their least order` : ''
  return `${named} from ${order.merchant} by ${order.orderBy.time} ${sayDay(order.orderBy.date, today)}, for ${sayDay(order.delivery, today)}${missing}`
}

/** What most covers hang on, where one thing carries many of them. */
function describeHang({ hangs, covers }: CoverCard): string | null {
  const [worst] = [...hangs].sort((a, b) => b.share - a.share)
  if (!worst || worst.share < MOST_HANG || worst.dishes.length < 2) return null
  return `${worst.covers} of ${covers} covers (${ofHundred(worst.share)} of 100) hang on ${worst.subject}.`
}

interface Props {
  readonly kitchen: Kitchen
  readonly card: CoverCard | undefined
  /** What is to be ordered, the next first; undefined while it is looked for. */
  readonly orders: readonly MerchantOrder[] | undefined
}

/** The day: what must be ordered next, until when and from whom; the hours of today on its line; what hangs on one thing. */
export function DayPanel({ kitchen, card, orders }: Props) {
  const { today } = kitchen
  const [next, ...later] = orders ?? []
  const marks = (orders ?? [])
    .filter(({ order }) => order.orderBy.date === today)
    .map(({ order }) => ({ time: order.orderBy.time, label: order.merchant }))
  const hang = card ? describeHang(card) : null
  return (
    <Paper component="section" aria-labelledby="the-day" sx={{ p: { xs: 2, md: 2.5 } }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', flexWrap: 'wrap', columnGap: 1.5 }}>
        <Typography id="the-day" variant="h1">
          {nameWeekday(today)}
        </Typography>
        <Typography color="text.secondary">
          {describeDay(today)}
          {card && card.rows.length > 0 ? `; ${describeCovers(card.rows, today)}` : ''}
        </Typography>
        <Box sx={{ display: { xs: 'none', md: 'block' }, ml: 'auto' }}>
          <WhatIsThis about="dayLine" />
        </Box>
      </Box>
      <Box sx={{ display: { xs: 'none', md: 'block' }, mt: 0.5, mb: 1.25 }}>
        <DayLine now={readLocalTime(kitchen.zone)} marks={marks} />
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1.5, minHeight: 44, mb: 0.75 }}>
        <Typography variant="h3" component="p" role="status" aria-label="What to order next" sx={{ flex: '1 1 280px' }}>
          {orders === undefined
            ? 'Looking what is to be ordered ...'
            : next
              ? next.dated
                ? `Order next: ${describeOrder(next, today)}.`
                : `Nothing must be ordered yet: no dish has a day. The next that can be had: ${describeOrder(next, today)}.`
              : 'Nothing is to be ordered.'}
        </Typography>
        <Button component={Link} to={next && !next.dated ? '/buy?undated=yes' : '/buy'} variant={next ? 'contained' : 'outlined'}>
          Buy sheet
        </Button>
        <Button component={Link} to="/counter" variant="outlined">
          Counter
        </Button>
        <Button component={Link} to="/run-sheet" variant="outlined">
          Run sheet
        </Button>
        <Button component={Link} to="/cover-card" variant="outlined">
          Cover card
        </Button>
      </Box>
      {later.map((order) => (
        <Typography key={`${order.order.merchant} ${order.order.delivery} ${order.dated}`} variant="body2">
          {order.dated ? 'Then' : 'On no day yet, could be had:'} {describeOrder(order, today)}.
        </Typography>
      ))}
      {hang && (
        <Typography variant="body2" color="text.secondary">
          {hang}
        </Typography>
      )}
    </Paper>
  )
}
