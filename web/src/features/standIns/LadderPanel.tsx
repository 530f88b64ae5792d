import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import type { RankedFish } from '@tender-gill/contract'
import { memo } from 'react'
import { Link } from 'react-router'
import type { Dish } from '../../state/useDish.ts'
import { useDecide } from '../decisions/index.ts'
import { LadderDrawing } from './LadderDrawing.tsx'
import { useStandIns } from './useStandIns.ts'

interface Props {
  readonly dish: Dish
  readonly leader: RankedFish | undefined
}

/** Beside the line-up: what to take if the fish taken, or else the leader, is not there. */
export const LadderPanel = memo(function LadderPanel({ dish, leader }: Props) {
  const missing = dish.choice ?? leader
  const decide = useDecide(dish)
  const answer = useStandIns(dish.brief, missing && { species: missing.species, offerId: missing.offerId })
  if (!leader || !missing) return null
  const standIns = answer?.value.ok ? answer.value.value.standIns : undefined
  const take = () => decide(leader)
  return (
    <Paper component="section" aria-label="If it is not there" sx={{ p: 2 }}>
      <Typography variant="h2">If it isn’t there</Typography>
      <Typography variant="body2" color="text.secondary">
        {standIns ? `Standing in for ${standIns.missing.common} (${standIns.missing.offer}), in this dish` : 'Looking for stand-ins ...'}
      </Typography>
      {standIns && <LadderDrawing standIns={standIns} changes={3} />}
      {dish.choice ? (
        <Button component={Link} to={`/dishes/${dish.id}/amounts`} variant="contained" fullWidth sx={{ mt: 1 }}>
          How much to buy
        </Button>
      ) : (
        // The ladder pushes it down when it comes: until then it is not there to be missed.
        <Button variant="contained" fullWidth onClick={take} disabled={answer === undefined} sx={{ mt: 1 }}>
          Take {leader.common}
          {standIns && standIns.ladder.length > 0 ? `, keep ${standIns.ladder.length} stand-ins` : ''}
        </Button>
      )}
    </Paper>
  )
})
