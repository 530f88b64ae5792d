import Box from '@mui/material/Box'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import { Link } from 'react-router'
import { Shoal } from '../../drawings/Shoal.tsx'
import { INK } from '../../theme.ts'
import { MarketRooms } from '../../parts/MarketRooms.tsx'

const WILD: readonly (readonly [part: string, weight: number, how: string])[] = [
  ['Biomass', 3, 'how much fish there is against the amount managers aim for: 0 at 0.3 of it, 100 at all of it'],
  ['Pressure', 3, 'how hard it is fished against the reference: 100 at 0.8 of it or less, 0 at 1.6 times it'],
  ['Gear', 2, 'what the gear does to the bed and to other animals, in described steps'],
  ['Management', 2, 'how well catches are limited, watched and kept to, in described steps'],
]
const FARMED: readonly (readonly [part: string, weight: number, how: string])[] = [
  ['Feed', 3, 'how much wild fish goes into it'],
  ['Discharge', 3, 'what leaves the farm with the water'],
  ['Escapes', 2, 'how often fish get out, and what they do then'],
  ['Disease', 2, 'how often it is treated, and what it passes on'],
]

const Parts = ({ of, rows }: { readonly of: string; readonly rows: typeof WILD }) => (
  <Box
    component="dl"
    aria-label={of}
    sx={{
      display: 'grid',
      gridTemplateColumns: { xs: 'minmax(0, 1fr) max-content', sm: 'max-content max-content 1fr' },
      columnGap: 2,
      rowGap: 0.5,
      m: 0,
    }}
  >
    {rows.map(([part, weight, how]) => (
      <Box key={part} sx={{ display: 'contents' }}>
        <Typography component="dt" sx={{ fontWeight: 700 }}>
          {part}
        </Typography>
        <Typography component="dd" sx={{ m: 0 }}>
          weighs {weight} of 10
        </Typography>
        <Typography component="dd" sx={{ m: 0, gridColumn: { xs: '1 / -1', sm: 'auto' } }} color="text.secondary">
          {how}
        </Typography>
      </Box>
    ))}
  </Box>
)

const EXAMPLES = [
  [82, 'Most of the shoal is filled: plenty of fish, fished within bounds.'],
  [38, 'Some of it: something is weak, and the page of the stock names it.'],
] as const
const standing = (typical: number) => ({ low: typical - 8, typical, high: typical + 8 })

/** What the standing of a stock is, in plain words, and who to listen to before it. */
export default function StandingPage() {
  return (
    <Box sx={{ mt: 1, maxWidth: 860 }}>
      <MarketRooms here="/market/stocks" />
      <Paper
        component="article"
        aria-label="How the standing of a stock is worked out"
        sx={{ p: 3, display: 'grid', gap: 2, gridTemplateColumns: 'minmax(0, 1fr)' }}
      >
        <Typography variant="h1" component="h2">
          A stock stands between 0 and 100
        </Typography>
        <Typography sx={{ borderLeft: `5px solid ${INK.roe}`, pl: 1.5 }}>
          Your local authority’s advice and the law come first. What stands here is worked out from the figures this house has typed in or
          brought in, and from nothing else. It is no certificate.
        </Typography>
        {EXAMPLES.map(([typical, words]) => (
          <Box key={typical} sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center' }}>
            <Shoal standing={standing(typical)} />
            <Typography>
              <b>{typical}</b> {words}
            </Typography>
          </Box>
        ))}
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center' }}>
          <Shoal standing={null} />
          <Typography>
            <b>Hollow</b> No evidence is kept. That is said, and where a dish asks for the stock it counts as middling: neither a merit nor
            a fault.
          </Typography>
        </Box>
        <Typography variant="h2">Four parts for wild fish</Typography>
        <Parts of="Parts for wild fish" rows={WILD} />
        <Typography variant="h2">Four for farmed</Typography>
        <Parts of="Parts for farmed fish" rows={FARMED} />
        <Typography variant="h2">How they come together</Typography>
        <Typography>
          As a weighted geometric mean, so one very weak part pulls the whole down and the strong ones cannot hide it. No part counts less
          than 5. A part nobody knows counts 35, somewhere from 10 to 70, and stays in: not knowing never helps. Evidence more than five
          years old is taken 20 points wider to either side. The weakest part is always named, and beside the figure stands how much of it
          rests on evidence of the last five years.
        </Typography>
        <Typography>
          A stock with less than 0.3 of the fish its managers aim for is closed in every dish, whatever the house’s floor. The house’s wish
          and floor are set in the <Link to="/house">house</Link>; a fish that is not known is left out of no dish.
        </Typography>
        <Typography>
          <Link to="/market/stocks">The stocks this house keeps</Link>
        </Typography>
      </Paper>
    </Box>
  )
}
