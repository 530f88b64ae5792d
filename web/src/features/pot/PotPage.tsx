import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import type { Choice, Pot, PotPlace, ResolvedOffer } from '@tender-gill/contract'
import { FORM_LABEL, formatMassToBuy, formatMoney, formatMoneyRange } from '../../reader/index.ts'
import { listTaken } from '@tender-gill/core'
import { useMemo } from 'react'
import { Link, useSearchParams } from 'react-router'
import { FleshPrint } from '../../drawings/FleshPrint.tsx'
import { nameQuestion, useAnswer, useSheet, useOffers } from '../../engine/index.ts'
import { OnlyOfferedSwitch } from '../../parts/OnlyOfferedSwitch.tsx'
import { Waiting } from '../../parts/Waiting.tsx'
import type { Dish } from '../../state/useDish.ts'
import { useOnlyOffered } from '../../state/useOnlyOffered.ts'
import { HEADING, INK } from '../../theme.ts'
import { fishPath } from '../../parts/bookWords.ts'
import { DishGate } from '../../parts/DishGate.tsx'
import { DishAlert } from '../alerts/index.ts'
import { useDecide } from '../decisions/index.ts'
import { describeMaking, describeServing, nameCautions } from '../../parts/dishWords.ts'
import { WhatIsThis } from '../../parts/WhatIsThis.tsx'

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
          {place.portionCost
            ? `; ${formatMoney(place.portionCost.typical, place.portionCost.currency)} of the portion`
            : '; its price is not known'}
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
          in its place
          {place.minutes > 0 && (
            <>
              <br />
              about {place.minutes} min
            </>
          )}
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

/** The fish of a pot as they are taken: the first that goes in, and the others beside it. */
function toChoice({ places }: Pot): Choice | null {
  const [first, ...beside] = places.map(({ species, offerId, form }) => ({ species, offerId, form }))
  return first ? (beside.length > 0 ? { ...first, beside } : first) : null
}
const nameFish = (choice: Choice): string =>
  listTaken(choice)
    .map(({ offerId }) => offerId)
    .sort()
    .join('|')
const isSame = (a: Choice | null, b: Choice | null): boolean => a !== null && b !== null && nameFish(a) === nameFish(b)

/** What a portion of all of them costs, and the press that takes them. */
function TakePot({ pot, dish, small = false }: { readonly pot: Pot; readonly dish: Dish; readonly small?: boolean }) {
  const decide = useDecide(dish)
  const choice = toChoice(pot)
  const taken = isSame(dish.choice, choice)
  const { portionCost } = pot
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 2, rowGap: 1, mt: 1 }}>
      <Typography>
        {portionCost ? (
          <>
            <Box component="b" sx={{ fontFamily: HEADING, fontSize: small ? 19 : 28, lineHeight: 1 }}>
              {formatMoney(portionCost.typical, portionCost.currency)}
            </Box>{' '}
            a portion, {formatMoneyRange(portionCost.low, portionCost.high, portionCost.currency)}
          </>
        ) : (
          'A portion cannot be priced: not every price is known.'
        )}
      </Typography>
      <Button
        variant={small ? 'outlined' : 'contained'}
        size={small ? 'medium' : 'large'}
        disabled={taken || choice === null}
        onClick={() => choice && void decide(choice)}
        sx={{ ml: { md: 'auto' }, width: { xs: '100%', md: 'auto' } }}
      >
        {taken ? 'These are taken' : `Take these ${pot.places.length}`}
      </Button>
    </Box>
  )
}

function PotView({ dish }: { readonly dish: Dish }) {
  const [search, setSearch] = useSearchParams()
  const k = COUNTS.find((count) => String(count) === search.get('fish')) ?? DEFAULT_COUNT
  const sheet = useSheet(dish.brief.date)
  const [only] = useOnlyOffered()
  const key = sheet ? `${sheet.name}|${k}|${only}|${nameQuestion(dish.brief)}` : null
  const answer = useAnswer(sheet, key, async (desk) => await desk.pot(dish.brief, k, only))
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
            onChange={(_event, count: number | null) => count && setSearch({ fish: String(count) }, { replace: true })}
          >
            {COUNTS.map((count) => (
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
            <PotList pot={best} offers={offers} label="Into the pot, in this order" />
            <TakePot pot={best} dish={dish} />
          </>
        ) : (
          <Alert severity="info">{plan.emptyBecause}</Alert>
        )}
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
