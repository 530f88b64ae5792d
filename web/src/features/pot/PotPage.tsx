import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import { useMemo } from 'react'
import { Link } from 'react-router'
import { nameQuestion, useAnswer, useSheet, useOffers } from '../../engine/index.ts'
import { OnlyOfferedSwitch } from '../../parts/OnlyOfferedSwitch.tsx'
import { Waiting } from '../../parts/Waiting.tsx'
import type { Dish } from '../../state/useDish.ts'
import { useOnlyOffered } from '../../state/useOnlyOffered.ts'
import { DishGate } from '../../parts/DishGate.tsx'
import { DishAlert } from '../alerts/index.ts'
import { describeMaking, describeServing } from '../../parts/dishWords.ts'
import { WhatIsThis } from '../../parts/WhatIsThis.tsx'
import { ByHand } from './ByHand.tsx'
import { PotList } from './PotList.tsx'
import { TakePot } from './TakePot.tsx'
import { POT_COUNTS, usePotHand } from './usePotHand.ts'

function PotView({ dish }: { readonly dish: Dish }) {
  const hand = usePotHand()
  const { k, holds, without } = hand
  const sheet = useSheet(dish.brief.date)
  const [only] = useOnlyOffered()
  const key = sheet ? `${sheet.name}|${nameQuestion([k, only, holds, without, dish.brief])}` : null
  const answer = useAnswer(sheet, key, async (desk) => await desk.pot(dish.brief, { k, holds, without }, only))
  const shown = answer?.value.ok ? answer.value.value : null
  const plan = shown?.plan
  const ids = useMemo(() => (plan ? [...new Set(plan.pots.flatMap(({ places }) => places.map(({ offerId }) => offerId)))] : []), [plan])
  const offers = useOffers(ids, dish.brief.date)
  if (!shown || !plan) return <Waiting what="the pot" shape="rows" />
  const [best, ...others] = plan.pots
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1.5,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1.5fr) minmax(0, 1fr)' },
        alignItems: 'start',
      }}
    >
      <Paper component="section" aria-label="The pot" sx={{ p: 2 }}>
        <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'center', mb: 1 }}>
          <div style={{ marginRight: 'auto' }}>
            <Typography variant="h1">{dish.brief.dish}, of several</Typography>
            <Typography color="text.secondary">
              {describeMaking(dish.brief)}; {describeServing(dish.brief)}
            </Typography>
          </div>
          <ToggleButtonGroup
            exclusive
            size="small"
            aria-label="How many kinds of fish"
            value={k}
            onChange={(_event, count: number | null) => count && hand.setCount(count)}
          >
            {POT_COUNTS.map((count) => (
              <ToggleButton key={count} value={count} aria-label={`${count} kinds`} sx={{ minWidth: 44, minHeight: 44 }}>
                {count}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
        </Box>
        {dish.choice && <DishAlert servingId={dish.id} />}
        <OnlyOfferedSwitch onlyOffered={shown.onlyOffered} offered={shown.offered} />
        {best ? (
          <>
            <Typography>
              The best {k} of {plan.considered} that fill the places and differ from one another, in the order in which they go in.{' '}
              <WhatIsThis about="pot" />
            </Typography>
            <PotList pot={best} offers={offers} label="Into the pot, in this order" hand={hand} />
            <TakePot pot={best} dish={dish} />
          </>
        ) : (
          <Alert severity="info">{plan.emptyBecause}</Alert>
        )}
        <ByHand hand={hand} />
        <Button component={Link} to={`/dishes/${dish.id}/line-up`} sx={{ mt: 1 }}>
          One fish alone
        </Button>
        <Typography variant="body2" color="text.secondary">
          Each fish is bought for an even share of the portions. The figure of a fish tells how well it does what its place asks; price and
          stock count in it as the dish asks them, so it is not its fit alone in the dish. Minutes are from depth of flesh in the heat of
          this dish, ±20 %: they set the order; check the middle.
        </Typography>
      </Paper>
      {others.length > 0 && (
        <Paper component="section" aria-label="Runners-up" sx={{ p: 2 }}>
          <Typography variant="h2" gutterBottom>
            Nearly as good
          </Typography>
          {others.map((pot) => (
            <Box key={pot.places.map(({ species }) => species).join()} sx={{ mb: 2 }}>
              <Typography sx={{ fontWeight: 700 }}>
                {pot.score.toFixed(1)} against {best?.score.toFixed(1)}
              </Typography>
              <PotList pot={pot} offers={offers} label={`A runner-up: ${pot.places.map(({ common }) => common).join(', ')}`} />
              <TakePot pot={pot} dish={dish} small />
            </Box>
          ))}
        </Paper>
      )}
    </Box>
  )
}

/** A pot, a mixed fry or a board of several fish that fill its places and differ from one another. */
export default function PotPage() {
  return <DishGate>{(dish) => <PotView key={dish.id} dish={dish} />}</DishGate>
}
