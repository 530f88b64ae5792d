import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import type { AbsenceMove, AbsencePlan } from '@tender-gill/contract'
import { useMemo } from 'react'
import { HEADING, INK } from '../../theme.ts'
import type { TypedAbsence } from './absenceParams.ts'
import { MovedDish } from './MovedDish.tsx'
import { Supplies } from './Supplies.tsx'
import { OnlyOfferedSwitch } from '../../parts/OnlyOfferedSwitch.tsx'
import { useOnlyOffered } from '../../state/useOnlyOffered.ts'
import { useOffers } from '../../engine/index.ts'

/** The moves of a plan, as they are confirmed. */
export const listMoves = ({ dishes }: AbsencePlan): AbsenceMove[] =>
  dishes.flatMap(({ servingId, revision, move, ladder }) => {
    const rung = ladder[move ?? -1]
    return rung ? [{ servingId, revision, choice: { species: rung.species, offerId: rung.offerId, form: rung.form } }] : []
  })

const countDishes = (n: number) => `${n} ${n === 1 ? 'dish' : 'dishes'}`

function describeAnswer({ dishes }: AbsencePlan): string {
  const covers = dishes.reduce((sum, dish) => sum + dish.covers, 0)
  const served = dishes.reduce((sum, dish) => sum + (dish.move === null ? 0 : dish.covers), 0)
  if (dishes.length === 0) return 'No dish takes it in those days'
  return served === covers
    ? `${countDishes(dishes.length)}, and all ${covers} covers are served`
    : `${served} of ${covers} covers are served`
}

interface Props {
  readonly plan: AbsencePlan
  readonly typed: TypedAbsence
  readonly busy: boolean
  readonly failure: string | null
  readonly onPair: (name: 'there' | 'dish', key: string, value: string | null) => void
  readonly onConfirm: () => void
}

/** What every dish takes instead, settled together; one press moves them all. */
export function PlanView({ plan, typed, busy, failure, onPair, onConfirm }: Props) {
  const moves = listMoves(plan)
  const [only] = useOnlyOffered()
  const offers = useOffers(
    useMemo(() => plan.dishes.flatMap(({ ladder, move }) => ladder[move ?? -1]?.offerId ?? []), [plan]),
    undefined,
  )
  return (
    <>
      <Box sx={{ display: 'flex', alignItems: 'end', gap: 2, flexWrap: 'wrap' }} aria-live="polite">
        <Typography component="h2" sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: { xs: 22, md: 26 }, lineHeight: 1.15, flex: 1 }}>
          {describeAnswer(plan)}
        </Typography>
        {plan.dishes.length > 0 && (
          <Typography variant="body2" color="text.secondary" sx={{ textAlign: { sm: 'right' } }}>
            <Box component="b" sx={{ fontFamily: HEADING, fontSize: 30, lineHeight: 1, color: INK.squid, mr: 0.75 }}>
              {plan.standing.toFixed(0)}
            </Box>
            of 100: how well they stand in, over all covers
          </Typography>
        )}
      </Box>
      <OnlyOfferedSwitch onlyOffered={plan.offered > 0 && only !== false} offered={plan.offered} />
      {plan.leads.length > 0 && (
        <Typography variant="body2" sx={{ mt: 0.5 }}>
          It leads {plan.leads.map(({ dish }) => `“${dish}”`).join(', ')}, where nothing is taken yet: another will lead there.
        </Typography>
      )}
      <Box component="ul" aria-label="Dishes that move" sx={{ listStyle: 'none', p: 0, my: 1 }}>
        {plan.dishes.map((dish) => (
          <MovedDish
            key={dish.servingId}
            dish={dish}
            held={typed.holds.get(dish.servingId)}
            offers={offers}
            onHold={(species) => onPair('dish', dish.servingId, species)}
          />
        ))}
      </Box>
      {failure && (
        <Alert severity="warning" sx={{ mb: 1 }}>
          {failure}
        </Alert>
      )}
      <Button variant="contained" size="large" disabled={busy} onClick={onConfirm} sx={{ width: { xs: '100%', sm: 'auto' } }}>
        {moves.length > 0 ? `Do without it, and move ${countDishes(moves.length)}` : 'Do without it'}
      </Button>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 0.75 }}>
        Change the menu, tell the floor and the allergen sheet wherever another fish is served. One press takes all of it back.
      </Typography>
      {plan.supplies.length > 0 && (
        <Paper variant="outlined" sx={{ p: 2, mt: 2 }}>
          <Supplies supplies={plan.supplies} typed={typed.supplies} onType={(species, text) => onPair('there', species, text)} />
        </Paper>
      )}
    </>
  )
}
