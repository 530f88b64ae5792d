import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import type { Kitchen, SlabFish } from '@tender-gill/contract'
import { addDays } from '@tender-gill/core'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { useAfterServiceQuery, useAlertsQuery, usePriceListsQuery } from '../../api/api.ts'
import { FleshPrint } from '../../drawings/FleshPrint.tsx'
import { useOffers } from '../../engine/index.ts'
import { joinWords } from '../../parts/dishWords.ts'
import { sayDay } from '../../parts/orderWords.ts'
import { formatMoney } from '../../reader/index.ts'
import { INK } from '../../theme.ts'

const MOST_LISTS = 3

/** What happened that touches a dish, and which lists came in. */
export function SinceYesterday({ kitchen: { today } }: { readonly kitchen: Kitchen }) {
  const { data: alerts } = useAlertsQuery()
  const { data: lists } = usePriceListsQuery()
  if (!alerts || !lists) return null
  const fresh = lists.filter(({ date }) => date >= addDays(today, -1)).slice(0, MOST_LISTS)
  return (
    <Paper
      component="section"
      aria-labelledby="since"
      sx={{ p: 2, borderLeft: alerts.length > 0 ? `5px solid ${INK.roe}` : undefined, display: 'grid', gap: 1 }}
    >
      <Typography id="since" variant="h2">
        Since yesterday
      </Typography>
      {alerts.map(({ servingId, dish, sentence }) => (
        <Typography key={servingId}>
          <Link to={`/dishes/${servingId}/line-up`} style={{ color: INK.squid, fontWeight: 700 }}>
            {dish}
          </Link>
          : {sentence}
        </Typography>
      ))}
      {alerts.length === 0 && <Typography>Nothing happened to a fish you have taken.</Typography>}
      {fresh.map(({ id, merchant, date, quotes }) => (
        <Typography key={id} variant="body2">
          {merchant}: {quotes === 1 ? 'one price' : `${quotes} prices`} of {sayDay(date, today)}.
        </Typography>
      ))}
    </Paper>
  )
}

/** Dishes of today that nobody has written down yet; nothing where all are, or none was served. */
export function WriteDown() {
  const { data } = useAfterServiceQuery({})
  const open = data?.dishes.filter(({ lines }) => !lines.some(({ entry }) => entry.kind === 'served')) ?? []
  if (open.length === 0) return null
  return (
    <Paper component="section" aria-label="After service" sx={{ p: 2 }}>
      <Typography variant="h2">After service</Typography>
      <Typography>
        {joinWords(open.map(({ dish }) => dish))} {open.length === 1 ? 'is' : 'are'} still to be written down.{' '}
        <Link to="/house-book">A few taps</Link>
      </Typography>
    </Paper>
  )
}

const MOST_GOOD = 3

/** The best buys of the day. */
export function GoodToday({ slab }: { readonly slab: readonly SlabFish[] | undefined }) {
  const best = useMemo(() => (slab ?? []).filter(({ because }) => because.length > 0).slice(0, MOST_GOOD), [slab])
  const offers = useOffers(
    useMemo(() => best.map(({ offerId }) => offerId), [best]),
    undefined,
  )
  if (best.length === 0) return null
  return (
    <Paper component="section" aria-labelledby="good" sx={{ p: 2 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', mb: 0.5 }}>
        <Typography id="good" variant="h2" sx={{ flex: 1 }}>
          Good today
        </Typography>
        <Button component={Link} to="/market" size="small">
          All of it
        </Button>
      </Box>
      <Box component="ul" aria-label="Good today" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {best.map(({ species, common, offerId, portionCost, because }) => {
          const offer = offers.get(offerId)
          return (
            <Box
              component="li"
              key={species}
              sx={{ display: 'flex', gap: 1, alignItems: 'center', borderTop: `1px solid ${INK.hairline}`, minHeight: 56, py: 0.5 }}
            >
              {offer ? <FleshPrint offer={offer} name={common} /> : <Box sx={{ width: 64 }} />}
              <Box sx={{ minWidth: 0 }}>
                <Typography component="h3" variant="h3">
                  <Link to={`/fish/${encodeURIComponent(species)}`} style={{ color: INK.squid }}>
                    {common}
                  </Link>
                </Typography>
                <Typography variant="body2" color="text.secondary">
                  {portionCost ? `${formatMoney(portionCost.typical, portionCost.currency)} a portion; ` : ''}
                  {joinWords(because)}
                </Typography>
              </Box>
            </Box>
          )
        })}
      </Box>
    </Paper>
  )
}
