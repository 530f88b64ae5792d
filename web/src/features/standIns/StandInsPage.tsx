import Alert from '@mui/material/Alert'
import Autocomplete from '@mui/material/Autocomplete'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import TextField from '@mui/material/TextField'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import type { MissingReason, RankedFish, StandIns } from '@tender-gill/contract'
import { FORM_LABEL, formatMassToBuy, formatMoney } from '../../reader/index.ts'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { FleshPrint } from '../../drawings/FleshPrint.tsx'
import { Waiting } from '../../parts/Waiting.tsx'
import type { Dish } from '../../state/useDish.ts'
import { HEADING, INK } from '../../theme.ts'
import { absencePath } from '../absences/index.ts'
import { DishAlert } from '../alerts/index.ts'
import { useDecide } from '../decisions/index.ts'
import { describeProblem } from '../../parts/dishWords.ts'
import { OnlyOfferedSwitch } from '../../parts/OnlyOfferedSwitch.tsx'
import { DishGate } from '../../parts/DishGate.tsx'
import { useLineUp } from '../lineUp/index.ts'
import { LadderDrawing } from './LadderDrawing.tsx'
import { describeReason } from './describeReason.ts'
import { useStandIns } from './useStandIns.ts'
import { useOffers, type ShownStandIns } from '../../engine/index.ts'
import { useSearch } from '../../state/useSearch.ts'
import { WhatIsThis } from '../../parts/WhatIsThis.tsx'
import { SwapLearnt } from './SwapLearnt.tsx'

const REASONS: readonly (readonly [MissingReason, string])[] = [
  ['not-landed', 'Not landed'],
  ['too-dear', 'Too dear'],
  ['looked-bad', 'Looked bad'],
  ['wrong-size', 'Wrong size'],
  ['stock', 'Stock too low'],
  ['allergy', 'An allergy'],
  ['unsafe', 'Not safe'],
]
const SHOWN = 12
const NOBODY: readonly RankedFish[] = []

interface HeaderProps {
  readonly standIns: StandIns
  readonly print: React.ReactNode
  /** Its fit in the line-up; the stand-ins are judged by a dish that is content with it. */
  readonly fit: number | undefined
}
function MissingHeader({ standIns, print, fit }: HeaderProps) {
  const { missing } = standIns
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
      {print}
      <div>
        <Typography variant="h1">If {missing.common} isn’t there</Typography>
        <Typography color="text.secondary">
          {missing.offer}, {FORM_LABEL[missing.form]}; {fit === undefined ? '' : `fit ${fit.toFixed(1)} in this dish; `}
          {formatMassToBuy(missing.buyG)} to buy
          {missing.portionCost ? `, ${formatMoney(missing.portionCost.typical, missing.portionCost.currency)} a portion` : ''}
        </Typography>
      </div>
    </Box>
  )
}

function OrderList({ dish, shown: { standIns, onlyOffered } }: { readonly dish: Dish; readonly shown: ShownStandIns }) {
  const decide = useDecide(dish)
  const [all, setAll] = useState(false)
  const rows = useMemo(() => (all ? standIns.order : standIns.order.slice(0, SHOWN)), [all, standIns])
  const offers = useOffers(
    useMemo(() => rows.map(({ offerId }) => offerId), [rows]),
    dish.brief.date,
  )
  return (
    <Paper component="section" aria-label="Everyone who could stand in" sx={{ p: 2 }}>
      <Typography variant="h2">Everyone who could stand in</Typography>
      <Typography variant="body2" color="text.secondary" gutterBottom>
        {standIns.order.length} {onlyOffered ? 'on your lists ' : ''}pass. The score weighs likeness to {standIns.missing.common}, and fit
        in the dish as it is served with it.
      </Typography>
      <Box component="ol" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {rows.map((row) => {
          const offer = offers.get(row.offerId)
          const taken = dish.choice?.offerId === row.offerId
          return (
            <Box
              component="li"
              key={row.offerId}
              sx={{
                display: 'grid',
                gridTemplateColumns: '68px minmax(0, 1fr) auto',
                gap: 1,
                alignItems: 'center',
                py: 0.75,
                borderTop: `1px solid ${INK.hairline}`,
              }}
            >
              {offer ? <FleshPrint offer={offer} name={row.common} /> : <span />}
              <div>
                <Typography component="h3" variant="h3">
                  {row.common}
                </Typography>
                <Typography variant="body2" color="text.secondary">
                  {row.offer}; {row.alike.toFixed(0)} alike, fit {row.fit.toFixed(0)}
                  {row.portionCost ? `; ${formatMoney(row.portionCost.typical, row.portionCost.currency)}` : ''}
                </Typography>
                {row.learnt && <SwapLearnt species={row.species} learnt={row.learnt} />}
              </div>
              <Box sx={{ textAlign: 'right', display: 'flex', alignItems: 'center', gap: 1 }}>
                <Box sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: 22 }}>{row.standIn.toFixed(0)}</Box>
                <Button size="small" disabled={taken} onClick={() => decide(row)}>
                  {taken ? 'Taken' : 'Take'}
                </Button>
              </Box>
            </Box>
          )
        })}
      </Box>
      {standIns.order.length > SHOWN && (
        <Button onClick={() => setAll(!all)} sx={{ mt: 1 }}>
          {all ? 'Show the nearest twelve' : `Show all ${standIns.order.length}`}
        </Button>
      )}
    </Paper>
  )
}

/** Any fish of the line-up may be the one that is missing. */
function MissingChoice({
  ranked,
  species,
  onChoose,
}: {
  readonly ranked: readonly RankedFish[]
  readonly species: string
  readonly onChoose: (fish: RankedFish) => void
}) {
  const value = ranked.find((fish) => fish.species === species) ?? null
  if (ranked.length === 0) return null
  return (
    <Autocomplete
      size="small"
      options={ranked}
      value={value}
      disableClearable={value !== null}
      getOptionLabel={({ common }) => common}
      isOptionEqualToValue={(one, other) => one.species === other.species}
      onChange={(_event, fish) => fish && onChoose(fish)}
      renderInput={(params) => <TextField {...params} label="Which fish is missing" />}
      sx={{ mt: 1.5, maxWidth: 320 }}
    />
  )
}

function StandInsView({ dish }: { readonly dish: Dish }) {
  const [search, changeSearch] = useSearch()
  const because = REASONS.find(([reason]) => reason === search.get('because'))?.[0] ?? null
  const setBecause = (reason: MissingReason | null) =>
    changeSearch((params) => (reason ? params.set('because', reason) : params.delete('because')))
  const lineUp = useLineUp(dish.brief, { fitAlone: true })
  const ranked = lineUp.status === 'ready' ? lineUp.lineUp.ranked : NOBODY
  const leader = ranked[0]
  const [missing, setMissing] = useState(dish.choice)
  const fish = missing ?? leader
  const answer = useStandIns(dish.brief, fish && { species: fish.species, offerId: fish.offerId, because: because ?? undefined })
  const plain = useStandIns(dish.brief, fish && { species: fish.species, offerId: fish.offerId })
  const decide = useDecide(dish)
  const shown = answer?.value.ok ? answer.value.value : undefined
  const standIns = shown?.standIns
  const without = plain?.value.ok ? plain.value.value.standIns : undefined
  const offers = useOffers(
    useMemo(() => (standIns ? [standIns.missing.offerId] : []), [standIns]),
    dish.brief.date,
  )
  if (answer && !answer.value.ok) return <Alert severity="error">{answer.value.error.map(describeProblem).join('; ')}</Alert>
  if (lineUp.status === 'ready' && !fish)
    return (
      <Alert severity="info">
        No fish can do this dish as it stands, so there is nothing to stand in for. See the line-up for who came close.
      </Alert>
    )
  if (!shown || !standIns) return <Waiting what="the stand-ins" shape="rows" />
  const offer = offers.get(standIns.missing.offerId)
  if (missing === null && dish.choice !== null) setMissing(dish.choice)
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1.5,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) minmax(0, 1fr)' },
        alignItems: 'start',
      }}
    >
      <Paper component="section" aria-label="The ladder" sx={{ p: 2 }}>
        {dish.choice && <DishAlert servingId={dish.id} />}
        <MissingHeader
          standIns={standIns}
          fit={ranked.find(({ species }) => species === standIns.missing.species)?.fit}
          print={offer ? <FleshPrint offer={offer} name={standIns.missing.common} size="medium" /> : null}
        />
        <MissingChoice ranked={ranked} species={standIns.missing.species} onChoose={setMissing} />
        <Typography component="h2" variant="h3" sx={{ mt: 1.5 }}>
          Why is it missing? <WhatIsThis about="ladder" />
        </Typography>
        <ToggleButtonGroup
          exclusive
          value={because}
          onChange={(_event, value: MissingReason | null) => setBecause(value)}
          aria-label="Why it is missing"
          sx={{
            flexWrap: 'wrap',
            gap: 0.75,
            my: 1,
            '& .MuiToggleButton-root': {
              border: `1px solid ${INK.slate}`,
              borderRadius: '4px',
              m: 0,
              color: INK.squid,
              '&.Mui-selected': { bgcolor: INK.brine, borderColor: INK.kelp },
            },
          }}
        >
          {REASONS.map(([reason, label]) => (
            <ToggleButton key={reason} value={reason} sx={{ minHeight: 44, textTransform: 'none', px: 1.5 }}>
              {label}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
        {because && without && (
          <Typography role="status" sx={{ fontWeight: 700 }}>
            {describeReason(because, without, standIns)}
          </Typography>
        )}
        <OnlyOfferedSwitch onlyOffered={shown.onlyOffered} offered={shown.offered} />
        <LadderDrawing standIns={standIns} onTake={(rung) => void decide(rung)} takenId={dish.choice?.offerId} />
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1 }}>
          <Button component={Link} to={absencePath({ ...standIns.missing, because: because ?? undefined })} variant="outlined">
            The whole kitchen does without it
          </Button>
          <Button component={Link} to={`/book/swaps?method=${dish.brief.method}&fish=${encodeURIComponent(standIns.missing.species)}`}>
            Swap map
          </Button>
        </Box>
      </Paper>
      <OrderList dish={dish} shown={shown} />
    </Box>
  )
}

export default function StandInsPage() {
  return <DishGate>{(dish) => <StandInsView key={dish.id} dish={dish} />}</DishGate>
}
