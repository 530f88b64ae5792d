import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import { addressOf, operations } from '@tender-gill/contract/operations'
import type { UseFirst } from '@tender-gill/core'
import type { Told } from '@tender-gill/words'
import { Link } from 'react-router'
import { useKitchenId } from '../../kitchen/index.ts'
import { useKeptOffline } from '../../offline/index.ts'
import { Waiting } from '../../parts/Waiting.tsx'
import { HEADING } from '../../theme.ts'
import { sayAdvice, sayMoment } from './coldWords.ts'
import { JourneyIce } from './JourneyIce.tsx'
import { LotCard } from './LotCard.tsx'
import { Places } from './Places.tsx'
import { useHouse, type House } from './useHouse.ts'

/** The answer of the page: what to use first, and by when. */
export function describeFirst(plan: Told<UseFirst>, kitchen: NonNullable<House['kitchen']>): string {
  const [first] = plan.lots
  if (!first) return 'No fish is in the house.'
  const until = first.lastsMs && sayMoment(first.lastsMs.typical, kitchen)
  if (first.advice === 'fine' || first.advice === 'frozen')
    return `Nothing presses. ${until === null ? 'All of it is frozen.' : `${first.common} comes first, by ${until}.`}`
  const advice = sayAdvice(first.advice, until)
  return `${first.common}: ${advice.charAt(0).toLowerCase()}${advice.slice(1)}.`
}

const DISH_WEIGHT_G = 2000

/** The house with the lots that are asked for, all where nothing is said. */
export function HouseCold({ serving }: { readonly serving?: string }) {
  useKeptOffline()
  const house = useHouse()
  const kitchenId = useKitchenId()
  const { kitchen, plan, lots, places, readings, nowMs } = house
  if (!kitchen || !plan) return <Waiting what="what is in the house" shape="rows" />
  const shown = plan.lots.filter(({ servings }) => serving === undefined || servings.some(({ id }) => id === serving))
  const calendar = addressOf(operations.coldCalendar, { kitchen: kitchenId })
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1.5,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 2fr) minmax(0, 1fr)' },
        alignItems: 'start',
        maxWidth: 1180,
        mx: 'auto',
      }}
    >
      <Box sx={{ display: 'grid', gap: 1.5 }}>
        <Paper component="section" aria-label="What to use first" sx={{ p: { xs: 1.5, md: 2.5 } }}>
          <Typography variant="h1" sx={{ fontSize: 18 }}>
            {serving === undefined ? 'Use first' : 'In the house for this dish'}
          </Typography>
          <Typography
            role="status"
            aria-label="What to use first"
            sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: { xs: 24, md: 30 }, lineHeight: 1.15 }}
          >
            {shown.length === 0 && serving !== undefined
              ? 'Nothing of it is in the house yet.'
              : describeFirst({ ...plan, lots: shown }, kitchen)}
          </Typography>
          {plan.places
            .filter(({ problem }) => problem !== null)
            .map(({ id, problem }) => (
              <Typography key={id} color="error" sx={{ fontWeight: 700 }}>
                {problem}
              </Typography>
            ))}
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1 }} className="screen">
            <Button component={Link} to="/counter" variant="outlined">
              At the counter
            </Button>
            <Button component="a" href={calendar} download={`fish-${kitchen.today}.ics`}>
              Into the calendar
            </Button>
          </Box>
        </Paper>
        {shown.map((judged) => {
          const standing = lots.find(({ id }) => id === judged.id)
          return standing && <LotCard key={judged.id} judged={judged} standing={standing} places={places} kitchen={kitchen} nowMs={nowMs} />
        })}
      </Box>
      <Box sx={{ display: 'grid', gap: 1.5 }}>
        <Places places={places} warmths={plan.places} readings={readings} kitchen={kitchen} nowMs={nowMs} />
        <JourneyIce g={shown[0] ? (lots.find(({ id }) => id === shown[0]?.id)?.lot.g ?? DISH_WEIGHT_G) : DISH_WEIGHT_G} />
      </Box>
    </Box>
  )
}

/** Every lot in the house: what to cook first, what to freeze while it is worth it, what to throw away. */
export default function ColdPage() {
  return <HouseCold />
}
