import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import Paper from '@mui/material/Paper'
import TextField from '@mui/material/TextField'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import type { Form, RankedFish, ResolvedOffer, TakenFish } from '@tender-gill/contract'
import { FORMS_FOR, listTaken, replaceTaken, type Amount } from '@tender-gill/core'
import { FORM_LABEL, describeMass, formatMass, formatMassToBuy, formatMoney, formatMoneyRange } from '../../reader/index.ts'
import { useMemo, useState } from 'react'
import { useSearchParams } from 'react-router'
import { toProblemDetails, useCreatePriceMutation, useKitchenQuery, useRemovePriceMutation } from '../../api/api.ts'
import { useUndoable } from '../../notices/index.ts'
import { FleshPrint } from '../../drawings/FleshPrint.tsx'
import { nameQuestion, useAnswer, useSheet, useOffers } from '../../engine/index.ts'
import { Waiting } from '../../parts/Waiting.tsx'
import type { Dish } from '../../state/useDish.ts'
import { HEADING, INK } from '../../theme.ts'
import { DishGate } from '../../parts/DishGate.tsx'
import { describeProblem } from '../../parts/dishWords.ts'
import { WhereToOrder } from '../../parts/WhereToOrder.tsx'
import { useLineUp } from '../lineUp/index.ts'
import { DishAlert } from '../alerts/index.ts'
import { useDecide } from '../decisions/index.ts'
import { typedNumber } from '../../typed/index.ts'

const percent = (share: number) => `${Math.round(share * 100)} %`

/** The figures behind the weight, each with what it rests on. */
function Workings({ amount, dish, form }: { readonly amount: Amount; readonly dish: Dish; readonly form: Form }) {
  const { yields, portions } = amount
  const { portionG = 150, portionBasis = 'cooked', covers = 1 } = dish.brief
  const rows: readonly (readonly [string, string])[] = [
    ['Portions', `${portions.toFixed(1)} for ${covers} covers (a child counts 0.6)`],
    ['On the plate', `${describeMass(portionG)} ${portionBasis} a portion`],
    [
      'Kept in cooking',
      portionBasis === 'raw'
        ? 'counted raw'
        : `${percent(yields.cooking.typical)} (${percent(yields.cooking.low)} to ${percent(yields.cooking.high)})`,
    ],
    ['Kept in trimming', percent(yields.trim)],
    [`Kept from ${FORM_LABEL[form]}`, `${percent(yields.form.typical)} (${percent(yields.form.low)} to ${percent(yields.form.high)})`],
    ...(yields.thaw < 1 ? [['Kept in thawing', percent(yields.thaw)] as const] : []),
    ...(yields.glaze > 0 ? [['Ice in the weight', percent(yields.glaze)] as const] : []),
  ]
  return (
    <>
      <Box component="dl" sx={{ display: 'grid', gridTemplateColumns: 'max-content 1fr', columnGap: 2, rowGap: 0.5, m: 0 }}>
        {rows.map(([term, value]) => (
          <Box key={term} sx={{ display: 'contents' }}>
            <Typography component="dt" color="text.secondary">
              {term}
            </Typography>
            <Typography component="dd" sx={{ m: 0 }}>
              {value}
            </Typography>
          </Box>
        ))}
      </Box>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
        Yields are compiled averages, not measured in this kitchen. Labour is not counted. What the rest of the fish is worth to you is set
        in the house.
      </Typography>
    </>
  )
}

interface PriceFieldProps {
  readonly offer: ResolvedOffer
  readonly form: Form
  readonly currency: string
  readonly today: string
  readonly typed: string
  readonly onType: (text: string) => void
}

/** A price typed in: counts at once here, and for the line-up once it is kept. */
function PriceField({ offer, form, currency, today, typed, onType }: PriceFieldProps) {
  const [keep, { isLoading, error }] = useCreatePriceMutation()
  const [remove] = useRemovePriceMutation()
  const undoable = useUndoable()
  const known = offer.prices.find((price) => price.form === form)
  const price = typedNumber(typed, { above: 0 })
  const wrong = typed.trim() !== '' && price === undefined
  const submit = async () => {
    if (price === undefined) return
    const { species, origin, state, part } = offer
    const quote = { species, origin, state, part, form, price, currency, unit: 'kg' as const, date: today }
    const done = await undoable(() => keep({ price: quote }).unwrap(), {
      done: `The price of ${offer.common} is kept. The line-up counts it from now on.`,
      undone: `The price of ${offer.common} was taken back.`,
      undo: ({ id, revision }) => remove({ id, revision }).unwrap(),
    })
    if (done) onType('')
  }
  return (
    <Box
      component="form"
      onSubmit={(event) => {
        event.preventDefault()
        void submit()
      }}
      sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'flex-start' }}
    >
      <TextField
        label={`Price a kilo, ${FORM_LABEL[form]}`}
        value={typed}
        onChange={(event) => onType(event.target.value)}
        error={wrong}
        placeholder={known ? known.perKg.typical.toFixed(2) : 'as on the list'}
        helperText={
          wrong
            ? 'A price is a number above 0'
            : known
              ? `${formatMoney(known.perKg.typical, known.currency)} kept${known.latestDate ? ` of ${known.latestDate}` : ''}${known.merchant ? `, ${known.merchant}` : ''}`
              : 'No price is kept for this form'
        }
        slotProps={{ htmlInput: { inputMode: 'decimal' } }}
      />
      <Button type="submit" variant="outlined" disabled={isLoading || wrong || typed.trim() === ''} sx={{ mt: 1 }}>
        Keep this price
      </Button>
      <Box role="status" sx={{ flexBasis: '100%' }}>
        {error && (
          <Alert severity="error">{toProblemDetails(error)?.detail ?? 'It could not be kept. What you typed is still here.'}</Alert>
        )}
      </Box>
    </Box>
  )
}

function Answer({ amount, dish, form }: { readonly amount: Amount; readonly dish: Dish; readonly form: Form }) {
  const { buyG, pieces, cost } = amount
  return (
    <Box sx={{ my: 2 }}>
      <Typography sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: { xs: 40, md: 56 }, lineHeight: 1 }}>
        {formatMassToBuy(buyG.typical)}
      </Typography>
      <Typography sx={{ fontSize: 18 }}>
        {FORM_LABEL[form]} to buy, {formatMassToBuy(buyG.low)} to {formatMassToBuy(buyG.high)} as yields fall
        {pieces ? `; ${pieces.count} fish of about ${formatMass(pieces.eachG)}` : ''}
      </Typography>
      {cost ? (
        <Typography sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: 24, mt: 1 }}>
          {formatMoney(cost.total.typical, cost.currency)}{' '}
          <Box component="span" sx={{ font: 'inherit', fontSize: 16, fontWeight: 400 }}>
            in all ({formatMoneyRange(cost.total.low, cost.total.high, cost.currency)})
            {cost.perPortion && `, ${formatMoney(cost.perPortion.typical, cost.currency)} a portion`}
            {cost.credit > 0 &&
              `, once ${formatMoney(cost.credit, cost.currency)} is taken off for head, frame and trim that the house uses`}
          </Box>
        </Typography>
      ) : (
        <Typography sx={{ mt: 1 }}>No price is known for this form. Type one in and the cost stands here.</Typography>
      )}
      {dish.brief.budget &&
        cost?.perPortion &&
        cost.currency === dish.brief.budget.currency &&
        cost.perPortion.typical > dish.brief.budget.perPortion && (
          <Alert severity="warning" sx={{ mt: 1 }}>
            {formatMoney(cost.perPortion.typical - dish.brief.budget.perPortion, cost.currency)} a portion above the{' '}
            {formatMoney(dish.brief.budget.perPortion, cost.currency)} of the brief.
          </Alert>
        )}
    </Box>
  )
}

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
  const request = {
    brief: dish.brief,
    offerId: taken.offerId,
    form: taken.form,
    typed: price === undefined ? null : { perKg: price, currency },
  }
  const answer = useAnswer(useSheet(dish.brief.date), nameQuestion(request), (desk) => desk.amount(request))
  if (!offer || !answer) return <Waiting what="the amount" />
  const amount = answer.value
  const forms = FORMS_FOR[dish.brief.format].filter((form) => offer.forms.some((sold) => sold.form === form))
  const choose = (offerId: string) => {
    const fish = ranked.find((row) => row.offerId === offerId)
    if (fish) void decide({ species: fish.species, offerId, form: fish.form })
  }
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
          </div>
        </Box>
        {amount && <Answer amount={amount} dish={dish} form={taken.form} />}
        <WhereToOrder
          offer={offer}
          form={taken.form}
          date={dish.brief.date}
          total={amount?.cost ? { typical: amount.cost.total.typical, currency: amount.cost.currency } : null}
        />
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
      <Paper component="section" aria-label="How it is worked out" sx={{ p: 2 }}>
        <Typography variant="h2" gutterBottom>
          How it is worked out
        </Typography>
        {amount && <Workings amount={amount} dish={dish} form={taken.form} />}
        {dish.choice === null && (
          <Typography sx={{ mt: 2, borderLeft: `4px solid ${INK.roe}`, pl: 1 }}>
            No fish is taken yet: this is for the leader of the line-up.
          </Typography>
        )}
      </Paper>
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
  const lineUp = useLineUp(dish.brief)
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
