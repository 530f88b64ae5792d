import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import type { Pot, PotPlace, ResolvedOffer } from '@tender-gill/contract'
import { FORM_LABEL, formatMassToBuy } from '../../reader/index.ts'
import { useMemo } from 'react'
import { Link, useSearchParams } from 'react-router'
import { FleshPrint } from '../../drawings/FleshPrint.tsx'
import { nameQuestion, useAnswer, useSheet, useOffers } from '../../engine/index.ts'
import { Waiting } from '../../parts/Waiting.tsx'
import type { Dish } from '../../state/useDish.ts'
import { HEADING, INK } from '../../theme.ts'
import { fishPath } from '../../parts/bookWords.ts'
import { DishGate } from '../../parts/DishGate.tsx'
import { describeMaking, describeServing, nameCautions } from '../../parts/dishWords.ts'

const COUNTS = [2, 3, 4, 5] as const
const DEFAULT_COUNT = 3

function PlaceRow({ place, offer, at }: { readonly place: PotPlace; readonly offer: ResolvedOffer | undefined; readonly at: number }) {
  const [worst] = place.pointsLost
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gridTemplateColumns: '32px 72px minmax(0, 1fr) auto',
        columnGap: 1.5,
        alignItems: 'center',
        borderTop: `1px solid ${INK.hairline}`,
        py: 1,
      }}
    >
      <Box sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: 24, textAlign: 'center' }} aria-hidden>
        {at}
      </Box>
      {offer ? <FleshPrint offer={offer} name={place.common} /> : <span />}
      <div>
        <Typography component="h2" variant="h3">
          <Link to={fishPath(place.species)} style={{ color: INK.squid }}>
            {place.common}
          </Link>
          {place.or.length > 0 && (
            <Typography component="span" color="text.secondary">
              {' '}
              or {place.or.join(' or ')}
            </Typography>
          )}
        </Typography>
        <Typography variant="body2">
          <b>The {place.role} one</b>: {place.why}. {worst ? worst.sentence : ''}
        </Typography>
        <Typography variant="body2" color="text.secondary">
          {place.offer}; buy {formatMassToBuy(place.buyG)} {FORM_LABEL[place.form]}
        </Typography>
        {place.cautions.length > 0 && (
          <Typography variant="body2" sx={{ color: 'warning.main', fontWeight: 700 }}>
            Caution: {nameCautions(place.cautions.map(({ kind }) => kind))}
          </Typography>
        )}
      </div>
      <Box sx={{ textAlign: 'right' }}>
        <Box sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: 22 }}>{place.fit.toFixed(0)}</Box>
        <Typography variant="body2" color="text.secondary">
          {place.minutes > 0 && `about ${place.minutes} min`}
        </Typography>
      </Box>
    </Box>
  )
}

function PotList({
  pot,
  offers,
  label,
}: {
  readonly pot: Pot
  readonly offers: ReadonlyMap<string, ResolvedOffer>
  readonly label: string
}) {
  return (
    <Box component="ol" aria-label={label} sx={{ listStyle: 'none', p: 0, m: 0 }}>
      {pot.places.map((place, i) => (
        <PlaceRow key={place.species} place={place} offer={offers.get(place.offerId)} at={i + 1} />
      ))}
    </Box>
  )
}

function PotView({ dish }: { readonly dish: Dish }) {
  const [search, setSearch] = useSearchParams()
  const k = COUNTS.find((count) => String(count) === search.get('fish')) ?? DEFAULT_COUNT
  const sheet = useSheet(dish.brief.date)
  const key = sheet ? `${sheet.name}|${k}|${nameQuestion(dish.brief)}` : null
  const answer = useAnswer(sheet, key, async (desk) => await desk.pot(dish.brief, k))
  const plan = answer?.value.ok ? answer.value.value : null
  const ids = useMemo(() => (plan ? [...new Set(plan.pots.flatMap(({ places }) => places.map(({ offerId }) => offerId)))] : []), [plan])
  const offers = useOffers(ids, dish.brief.date)
  if (!plan) return <Waiting what="the pot" />
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
            onChange={(_event, count: number | null) => count && setSearch({ fish: String(count) }, { replace: true })}
          >
            {COUNTS.map((count) => (
              <ToggleButton key={count} value={count} aria-label={`${count} kinds`} sx={{ minWidth: 44, minHeight: 44 }}>
                {count}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
        </Box>
        {best ? (
          <>
            <Typography>
              The best {k} of {plan.considered} that fill the places and differ from one another, in the order in which they go in.
            </Typography>
            <PotList pot={best} offers={offers} label="Into the pot, in this order" />
          </>
        ) : (
          <Alert severity="info">{plan.emptyBecause}</Alert>
        )}
        <Button component={Link} to={`/dishes/${dish.id}/line-up`} sx={{ mt: 1 }}>
          One fish alone
        </Button>
        <Typography variant="body2" color="text.secondary">
          Minutes are from depth of flesh in the heat of this dish, ±20 %: they set the order; check the middle.
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
