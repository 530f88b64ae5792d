import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import { addDays } from '@tender-gill/core'
import { useMemo } from 'react'
import { Link, useNavigate } from 'react-router'
import { useBuySheetQuery, useCoverCardQuery, useKitchenQuery, useServingsQuery, usePricesQuery, useSlabQuery } from '../../api/api.ts'
import { useAnswer, useSheet } from '../../engine/index.ts'
import { FishSearch } from '../../parts/fishSearch/index.ts'
import { Waiting } from '../../parts/Waiting.tsx'
import { ColdAlerts, useHouse } from '../cold/index.ts'
import { StandingAbsences } from '../absences/index.ts'
import { DayPanel } from './DayPanel.tsx'
import { Dishes, FirstDish } from './Dishes.tsx'
import { describeHere, describeServings, listOrders } from './ordersToPlace.ts'
import { GoodToday, SinceYesterday, WriteDown } from './SidePanels.tsx'

const MOST_ON_LIST = 14

/** Fish the kitchen has a price for: the ones most likely in front of somebody. */
function OnTheLists() {
  const { data: prices = [] } = usePricesQuery()
  const species = useMemo(() => [...new Set(prices.map(({ price }) => price.species))].slice(0, MOST_ON_LIST), [prices])
  const names = useAnswer(useSheet(), species.join(',') || null, (desk) => desk.commonNames(species))?.value
  if (!names) return null
  return (
    <>
      <Typography variant="h3" component="h2" sx={{ mt: 2, mb: 1 }}>
        On your lists
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0, display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
        {species.map((name) => (
          <li key={name}>
            <Button component={Link} to={`/fish/${encodeURIComponent(name)}`} variant="outlined" size="small">
              {names[name] ?? name}
            </Button>
          </li>
        ))}
      </Box>
    </>
  )
}

/** The second door: from a fish to a dish. */
function FishDoor() {
  const navigate = useNavigate()
  return (
    <Paper component="section" aria-labelledby="door-fish" sx={{ p: 2 }}>
      <Typography id="door-fish" variant="h2" gutterBottom>
        I have this fish
      </Typography>
      <Typography variant="body2" gutterBottom>
        Seen one that looks good? See which of your dishes it does best, and how to cook it otherwise.
      </Typography>
      <FishSearch label="Which fish?" onPick={(species) => void navigate(`/fish/${encodeURIComponent(species)}`)} />
      <OnTheLists />
    </Paper>
  )
}

const DAYS_AHEAD = 6

/** The day: what to order next, the dishes to come, what changed, what is good; and both doors, from a dish and from a fish. */
export function HomePage() {
  const { data: records } = useServingsQuery()
  const { data: kitchen } = useKitchenQuery()
  const today = kitchen?.today ?? ''
  const { data: card } = useCoverCardQuery({ from: today, to: today && addDays(today, DAYS_AHEAD) }, { skip: today === '' })
  const { data: slab } = useSlabQuery()
  const { data: sheet } = useBuySheetQuery({ from: today, to: today && addDays(today, DAYS_AHEAD), undated: 'yes' }, { skip: today === '' })
  const orders = useMemo(() => sheet && listOrders(sheet), [sheet])
  const { plan } = useHouse()
  const states = useMemo(() => new Map([...(sheet ? describeServings(sheet) : []), ...describeHere(plan?.lots ?? [])]), [sheet, plan])
  const empty = records?.length === 0
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1.5,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 2fr) minmax(0, 1fr)' },
        alignItems: 'start',
        mt: 1,
      }}
    >
      <Box sx={{ display: 'grid', gap: 1.5 }}>
        {kitchen && !empty && <DayPanel kitchen={kitchen} card={card} orders={orders} />}
        <Paper component="section" aria-labelledby="door-dish" sx={{ p: { xs: 2, md: 2.5 } }}>
          <Box sx={{ display: 'flex', alignItems: 'center', flexWrap: 'wrap', gap: 1, mb: 1 }}>
            <Typography id="door-dish" variant="h2" sx={{ flex: 1 }}>
              I have a dish
            </Typography>
            <Button component={Link} to="/missing">
              A fish is missing
            </Button>
            <Button component={Link} to="/dishes/new" variant="contained">
              New dish
            </Button>
          </Box>
          <StandingAbsences />
          {!records ? <Waiting what="the dishes" shape="rows" /> : empty ? <FirstDish /> : <Dishes records={records} states={states} />}
        </Paper>
      </Box>
      <Box sx={{ display: 'grid', gap: 1.5 }}>
        <ColdAlerts plan={plan} />
        {kitchen && !empty && <WriteDown />}
        {kitchen && !empty && <SinceYesterday kitchen={kitchen} />}
        <GoodToday slab={slab?.fish} />
        <FishDoor />
      </Box>
    </Box>
  )
}
