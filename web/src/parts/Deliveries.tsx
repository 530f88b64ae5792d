import Typography from '@mui/material/Typography'
import { Link } from 'react-router'
import { useAnswer, useSheet } from '../engine/index.ts'
import { sayDeliveries } from './entryWords.ts'
import { capitalise } from './dishWords.ts'

/** How surely and how fresh a merchant delivers, as this house has seen it, with one press to the entries; nothing where it has seen none. */
export function Deliveries({ merchant }: { readonly merchant: string }) {
  const learnt = useAnswer(useSheet(), merchant, (desk) => desk.delivery(merchant))?.value
  if (!learnt) return null
  const { iceDays, arrivals } = learnt
  const age = arrivals === 0 ? '' : `; on arrival about ${iceDays.typical.toFixed(1)} days on ice, from ${arrivals} looked at`
  return (
    <Typography variant="body2">
      <Link to={`/house-book/entries?merchant=${encodeURIComponent(merchant)}&kinds=bought,looked`}>
        {learnt.n === 0 ? `House${age.slice(0, 1) === ';' ? age.slice(1) : ''}` : `${capitalise(sayDeliveries(learnt))}${age}`}
      </Link>
    </Typography>
  )
}
