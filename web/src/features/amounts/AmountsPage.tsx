import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import Paper from '@mui/material/Paper'
import TextField from '@mui/material/TextField'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import type { Form, RankedFish, TakenFish } from '@tender-gill/contract'
import { FORMS_FOR, listTaken, replaceTaken } from '@tender-gill/core'
import { useMemo, useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { useKitchenQuery } from '../../api/api.ts'
import { FleshPrint } from '../../drawings/FleshPrint.tsx'
import { nameQuestion, useAnswer, useSheet, useOffers } from '../../engine/index.ts'
import { DishGate } from '../../parts/DishGate.tsx'
import { describeProblem } from '../../parts/dishWords.ts'
import { HouseSays } from '../../parts/HouseSays.tsx'
import { Waiting } from '../../parts/Waiting.tsx'
import { WhereToOrder } from '../../parts/WhereToOrder.tsx'
import { FORM_LABEL, GRAMS_PER_MASS_UNIT } from '../../reader/index.ts'
import type { Dish } from '../../state/useDish.ts'
import { INK } from '../../theme.ts'
import { typedNumber } from '../../typed/index.ts'
import { DishAlert } from '../alerts/index.ts'
import { useDecide } from '../decisions/index.ts'
import { useLineUp } from '../lineUp/index.ts'
import { AmountAnswer } from './AmountAnswer.tsx'
import { nameInAddress, readHow, toRequest, type HowBought } from './howBought.ts'
import { ForHowMany } from './ForHowMany.tsx'
import { FormsCompared } from './FormsCompared.tsx'
import { HowBoughtForm } from './HowBoughtForm.tsx'
import { PriceField } from './PriceField.tsx'
import { PartsCompared } from './PartsCompared.tsx'
import { RestOfFish } from './RestOfFish.tsx'
import { Workings } from './Workings.tsx'

const WHOLE: ReadonlySet<Form> = new Set<Form>(['whole', 'gutted'])

interface FishAmountProps {
  readonly dish: Dish
  readonly taken: TakenFish
  /** How many fish share the portions. */
  readonly kinds: number
  readonly ranked: readonly RankedFish[]
}

function FishAmount({ dish: whole, taken, kinds, ranked }: FishAmountProps) {
  const { data: kitchen } = useKitchenQuery()
  const [typed, setTyped] = useState('')
  const [search, setSearch] = useSearchParams()
  const offers = useOffers(
    useMemo(() => [taken.offerId], [taken.offerId]),
    whole.brief.date,
  )
  const decideAll = useDecide(whole)
  // Of a pot of several each fish is bought for an even share of the portions.
  const dish = kinds === 1 ? whole : { ...whole, brief: { ...whole.brief, portionG: (whole.brief.portionG ?? 150) / kinds } }
  const decide = (fish: TakenFish) => decideAll(whole.choice ? replaceTaken(whole.choice, taken.offerId, fish) : fish)
  const offer = offers.get(taken.offerId)
  const currency = kitchen?.currency ?? 'EUR'
  const price = typedNumber(typed, { above: 0 })
  const how = readHow(search, WHOLE.has(taken.form))
  const request = {
    ...{ brief: dish.brief, species: taken.species, offerId: taken.offerId, form: taken.form },
    typed: price === undefined ? null : { perKg: (price * 1000) / GRAMS_PER_MASS_UNIT, currency },
    how: toRequest(how),
  }
  const answer = useAnswer(useSheet(dish.brief.date), nameQuestion(request), (desk) => desk.amount(request))
  if (!offer || !answer) return <Waiting what="the amount" />
  const shown = answer.value.ok ? answer.value.value : null
  const forms = FORMS_FOR[dish.brief.format].filter((form) => offer.forms.some((sold) => sold.form === form))
  const choose = (offerId: string) => {
    const fish = ranked.find((row) => row.offerId === offerId)
    if (fish) void decide({ species: fish.species, offerId, form: fish.form })
  }
  const set = (key: keyof HowBought, value: string) =>
    setSearch(
      (params) => {
        if (value === '') params.delete(nameInAddress(key))
        else params.set(nameInAddress(key), value)
        return params
      },
      { replace: true },
    )
  const inRanking = ranked.some(({ offerId }) => offerId === offer.id)
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1.5,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 3fr) minmax(0, 2fr)' },
        alignItems: 'start',
      }}
    >
      <Box sx={{ display: 'grid', gap: 1.5 }}>
        <Paper component="section" aria-label="What to buy" sx={{ p: { xs: 2, md: 3 } }}>
          <Typography color="text.secondary">For {dish.brief.dish}</Typography>
          {whole.choice && <DishAlert servingId={whole.id} />}
          <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', mt: 1 }}>
            <FleshPrint offer={offer} name={offer.common} size="medium" />
            <div>
              <Typography variant="h1">{offer.common}</Typography>
              <Typography color="text.secondary">
                <i>{offer.species}</i>, {offer.label}
              </Typography>
              <HouseSays offer={offer} />
            </div>
          </Box>
          {!answer.value.ok && (
            <Alert severity="warning" sx={{ my: 2 }}>
              {answer.value.error.map(describeProblem).join('; ')}
            </Alert>
          )}
          {shown && (
            <AmountAnswer
              amounts={shown.amounts}
              portionCost={shown.portionCost}
              foodCost={shown.foodCost}
              brief={dish.brief}
              haveG={request.how.haveG}
            />
          )}
          <WhereToOrder
            offer={offer}
            form={taken.form}
            date={dish.brief.date}
            total={shown?.amounts.cost ? { typical: shown.amounts.cost.goods, currency: shown.amounts.cost.currency } : null}
          />
          <Button component={Link} to={whole.brief.date === undefined ? '/buy?undated=yes' : '/buy'} variant="outlined" sx={{ mb: 2 }}>
            Buy sheet
          </Button>
          <ForHowMany dish={whole} />
          <HowBoughtForm how={how} onSet={set} />
          <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mb: 2 }}>
            <TextField select label="Fish" value={offer.id} onChange={(event) => choose(event.target.value)} sx={{ minWidth: 220 }}>
              {!inRanking && (
                <MenuItem value={offer.id}>
                  {offer.common}, {offer.label}
                </MenuItem>
              )}
              {ranked.slice(0, 40).map((row) => (
                <MenuItem key={row.offerId} value={row.offerId}>
                  {row.common}, {row.offer}
                </MenuItem>
              ))}
            </TextField>
            <TextField
              select
              label="Bought as"
              value={taken.form}
              onChange={(event) => void decide({ species: offer.species, offerId: offer.id, form: event.target.value as Form })}
              sx={{ minWidth: 170 }}
            >
              {forms.map((form) => (
                <MenuItem key={form} value={form}>
                  {FORM_LABEL[form]}
                </MenuItem>
              ))}
            </TextField>
          </Box>
          {kitchen && (
            <PriceField
              key={`${offer.id}|${taken.form}`}
              offer={offer}
              form={taken.form}
              currency={currency}
              today={kitchen.today}
              typed={typed}
              onType={setTyped}
            />
          )}
        </Paper>
        <Paper component="section" aria-label="Bought another way" sx={{ p: 2 }}>
          <Typography variant="h2" gutterBottom>
            Bought another way
          </Typography>
          <FormsCompared brief={dish.brief} taken={taken} onTake={(fish) => void decide(fish)} />
        </Paper>
      </Box>
      <Box sx={{ display: 'grid', gap: 1.5 }}>
        <Paper component="section" aria-label="How it is worked out" sx={{ p: 2 }}>
          <Typography variant="h2" gutterBottom>
            How it is worked out
          </Typography>
          {shown && <Workings amounts={shown.amounts} brief={dish.brief} />}
          {dish.choice === null && (
            <Typography sx={{ mt: 2, borderLeft: `4px solid ${INK.roe}`, pl: 1 }}>
              No fish is taken yet: this is for the leader of the line-up.
            </Typography>
          )}
        </Paper>
        <Paper component="section" aria-label="Parts at one price" sx={{ p: 2 }}>
          <Typography variant="h2" gutterBottom>
            Which part to ask for
          </Typography>
          <PartsCompared brief={dish.brief} taken={taken} />
        </Paper>
        <Paper component="section" aria-label="What else comes of it" sx={{ p: 2 }}>
          <Typography variant="h2" gutterBottom>
            The rest of the fish
          </Typography>
          {shown && <RestOfFish amounts={shown.amounts} body={offer.body} servingId={whole.id} />}
        </Paper>
      </Box>
    </Box>
  )
}

interface PotFishProps {
  readonly all: readonly TakenFish[]
  readonly taken: TakenFish
  readonly date: string | undefined
  readonly onPick: (offerId: string) => void
}

/** The fish of a pot of several, one of which is looked at. */
function PotFish({ all, taken, date, onPick }: PotFishProps) {
  const offers = useOffers(
    useMemo(() => all.map(({ offerId }) => offerId), [all]),
    date,
  )
  return (
    <ToggleButtonGroup
      exclusive
      size="small"
      aria-label="Which fish of the pot"
      value={taken.offerId}
      onChange={(_event, of: string | null) => of && onPick(of)}
      sx={{ mb: 1, flexWrap: 'wrap' }}
    >
      {all.map(({ offerId, species }) => (
        <ToggleButton key={offerId} value={offerId} sx={{ minHeight: 44, textTransform: 'none' }}>
          {offers.get(offerId)?.common ?? species}
        </ToggleButton>
      ))}
    </ToggleButtonGroup>
  )
}

function AmountsView({ dish }: { readonly dish: Dish }) {
  const [search, setSearch] = useSearchParams()
  const lineUp = useLineUp(dish.brief, { fitAlone: true })
  if (lineUp.status === 'refused') return <Alert severity="error">{lineUp.problems.map(describeProblem).join('; ')}</Alert>
  if (lineUp.status === 'waiting') return <Waiting what="the line-up" />
  const { ranked } = lineUp.lineUp
  const all = dish.choice ? listTaken(dish.choice) : ranked.slice(0, 1)
  const taken = all.find(({ offerId }) => offerId === search.get('of')) ?? all[0]
  if (!taken) return <Alert severity="info">No fish can do this dish as it stands. See the line-up for what would let one in.</Alert>
  return (
    <>
      {all.length > 1 && <PotFish all={all} taken={taken} date={dish.brief.date} onPick={(of) => setSearch({ of }, { replace: true })} />}
      <FishAmount key={taken.offerId} dish={dish} taken={taken} kinds={all.length} ranked={ranked} />
    </>
  )
}

export default function AmountsPage() {
  return <DishGate>{(dish) => <AmountsView key={dish.id} dish={dish} />}</DishGate>
}
