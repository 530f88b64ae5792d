import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import type { Season, Slab, SlabFish } from '@tender-gill/contract'
import { FORM_LABEL, describeMass, formatMassPrice, formatMoney, formatMoneyRange, nameMonth } from '../../reader/index.ts'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { useKitchenQuery, useMerchantsQuery, useSeasonsQuery, useSlabQuery } from '../../api/api.ts'
import { Shoal } from '../../drawings/Shoal.tsx'
import { Tide } from '../../drawings/Tide.tsx'
import { Waiting } from '../../parts/Waiting.tsx'
import { HEADING, INK } from '../../theme.ts'
import { capitalise, joinWords } from '../../parts/dishWords.ts'
import { MarketRooms } from '../../parts/MarketRooms.tsx'
import { FeedNotice } from '../merchants/index.ts'
import { sayDay, sayOrder } from '../../parts/orderWords.ts'
import { WhatIsThis } from '../../parts/WhatIsThis.tsx'

const UNKNOWN_WORDS = { price: 'its usual price', condition: 'its condition', stock: 'its stock' } as const
const FIRST_SHOWN = 12

interface FishProps {
  readonly fish: SlabFish
  readonly season: Season | undefined
  readonly today: string
  readonly portionG: number
}

/** The dishes of the house a fish would do well, each one tap away. */
function Dishes({ dishes, species, common }: Pick<SlabFish, 'dishes' | 'species' | 'common'>) {
  if (dishes.length === 0)
    return (
      <Button component={Link} to={`/fish/${encodeURIComponent(species)}`} size="small">
        What is {common} good for?
      </Button>
    )
  return (
    <Box
      component="ul"
      aria-label={`Dishes for ${common}`}
      sx={{ listStyle: 'none', p: 0, m: 0, display: 'flex', flexWrap: 'wrap', gap: 0.75 }}
    >
      {dishes.map(({ servingId, dish, fit }) => (
        <li key={servingId}>
          <Button component={Link} to={`/dishes/${servingId}/line-up`} variant="outlined" size="small">
            {dish}, fit {fit.toFixed(0)}
          </Button>
        </li>
      ))}
    </Box>
  )
}

function SlabRow({ fish, season, today, portionG }: FishProps) {
  const {
    common,
    offer,
    form,
    good,
    because,
    unknown,
    portionCost,
    perKg,
    usualPerKg,
    currency,
    merchant,
    quotes,
    latestDate,
    stock,
    order,
  } = fish
  const month = Number(today.slice(5, 7))
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '52px minmax(0, 1fr)', md: '60px minmax(0, 1fr) 330px 150px' },
        columnGap: 1.5,
        rowGap: 0.5,
        alignItems: 'start',
        borderTop: `1px solid ${INK.hairline}`,
        py: 1,
      }}
    >
      <Box
        sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: 28, lineHeight: 1, textAlign: 'right' }}
        aria-label={because.length > 0 ? `${good.toFixed(0)} of 100` : 'not scored'}
      >
        {because.length > 0 ? good.toFixed(0) : '–'}
      </Box>
      <div>
        <Typography component="h2" variant="h3">
          <Link to={`/market/prices?fish=${encodeURIComponent(fish.species)}`} style={{ color: INK.squid }}>
            {common}
          </Link>{' '}
          <Typography component="span" variant="body2" color="text.secondary">
            {offer}, {FORM_LABEL[form]}
          </Typography>
        </Typography>
        <Typography variant="body2">
          {because.length > 0 ? capitalise(`${joinWords(because)}.`) : ''}{' '}
          {unknown.length > 0 && (
            <Box component="span" sx={{ color: INK.slate }}>
              Not known: {unknown.map((one) => UNKNOWN_WORDS[one]).join(', ')}.
            </Box>
          )}
        </Typography>
      </div>
      <Box sx={{ gridColumn: { xs: '2', md: 'auto' }, gridRow: { md: 'span 2' } }}>
        <Box sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: 19, lineHeight: 1.1 }}>
          {portionCost ? formatMoney(portionCost.typical, portionCost.currency) : 'price in another currency'}
        </Box>
        <Typography variant="body2" color="text.secondary">
          {portionCost && (
            <>
              a portion of {describeMass(portionG)}, {formatMoneyRange(portionCost.low, portionCost.high, currency)}
              <br />
            </>
          )}
          {formatMassPrice(perKg.typical, currency)}
          {usualPerKg !== null && `, usually ${formatMassPrice(usualPerKg, currency)} in ${nameMonth(month)}`}
          <br />
          {quotes} {quotes === 1 ? 'quote' : 'quotes'}, last {latestDate ? sayDay(latestDate, today) : 'without a day'}
          {merchant ? `, ${merchant}` : ''}
        </Typography>
        {order && (
          <Typography variant="body2" sx={{ fontWeight: 700 }}>
            {sayOrder(order, today)}
          </Typography>
        )}
      </Box>
      <Box sx={{ display: { xs: 'none', md: 'grid' }, gap: 0.5, gridRow: 'span 2' }}>
        {season && <Tide season={season} month={month} />}
        <Shoal standing={stock} weakest={stock?.weakest ?? null} />
      </Box>
      <Box sx={{ gridColumn: '2' }}>
        <Dishes {...fish} />
      </Box>
    </Box>
  )
}

/** The answer in one line: what to buy today, and why. */
function headline({ fish }: Slab): string {
  const weighed = fish.filter(({ because }) => because.length > 0)
  const [first] = weighed
  const second = weighed.find(({ species }) => species !== first?.species)
  if (!first) return 'Nothing on the lists can be weighed yet'
  return second ? `${first.common} is the buy of the day, then ${second.common}` : `${first.common} is the buy of the day`
}

/** What is good today: fish by price against their own month, by condition and by stock, each with the dishes of the house it would do. */
export default function SlabPage() {
  const { data: kitchen } = useKitchenQuery()
  const { data: slab } = useSlabQuery()
  const { data: merchants = [] } = useMerchantsQuery()
  const { data: seasons } = useSeasonsQuery()
  const [all, setAll] = useState(false)
  const yearOf = useMemo(() => new Map((seasons ?? []).map(({ season }) => [`${season.species}|${season.water}`, season])), [seasons])
  if (!slab || !kitchen) return <Waiting what="the slab" shape="rows" />
  const shown = all ? slab.fish : slab.fish.slice(0, FIRST_SHOWN)
  return (
    <Box sx={{ mt: 1 }}>
      <MarketRooms here="/market" />
      <Paper component="section" aria-label="Good today" sx={{ p: 2 }}>
        <Typography sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: { xs: 24, md: 30 }, lineHeight: 1.1 }}>
          {headline(slab)}
        </Typography>
        <Typography color="text.secondary" gutterBottom>
          Each against its own usual price for the month, its condition and its stock; cost of an edible portion, labour and the rest of the
          fish not counted. <WhatIsThis about="good" /> <WhatIsThis about="standing" /> <WhatIsThis about="tide" />
        </Typography>
        <FeedNotice merchants={merchants} today={kitchen.today} />
        {slab.fish.length === 0 && (
          <Typography sx={{ my: 2 }}>
            No list of the last days is kept. <Link to="/market/merchants">Bring one in from a merchant</Link>, or type a price beside a
            dish.
          </Typography>
        )}
        <Box component="ul" aria-label="Fish of the day, the best buy first" sx={{ listStyle: 'none', p: 0, m: 0, mt: 1 }}>
          {shown.map((fish) => (
            <SlabRow
              key={fish.offerId}
              fish={fish}
              season={fish.season ? yearOf.get(`${fish.species}|${fish.season.water}`) : undefined}
              today={kitchen.today}
              portionG={slab.portionG}
            />
          ))}
        </Box>
        {shown.length < slab.fish.length && (
          <Button onClick={() => setAll(true)} variant="outlined" sx={{ mt: 1 }}>
            Show the other {slab.fish.length - shown.length}
          </Button>
        )}
      </Paper>
    </Box>
  )
}
