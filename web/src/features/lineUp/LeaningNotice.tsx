import Typography from '@mui/material/Typography'
import type { HouseLean, LineUp } from '@tender-gill/contract'
import { Link } from 'react-router'
import { ASK_LABEL } from '../../reader/index.ts'

const LEAN_WORDS: Readonly<Record<HouseLean, string>> = {
  usualPortionCost: 'cost of a portion',
  origin: 'wild or farmed',
  bought: 'whole or cut',
  trim: 'the worth of trim',
  stockFloor: 'the stocks it buys from',
  doneness: 'how far it cooks',
}

/** What the house's leanings did to the order. */
export function LeaningNotice({
  leaning,
  leader,
}: {
  readonly leaning: NonNullable<LineUp['houseLeaning']>
  readonly leader: string | undefined
}) {
  const leans = [...leaning.traits.map((key) => ASK_LABEL[key].toLowerCase()), ...leaning.leans.map((lean) => LEAN_WORDS[lean])]
  if (leans.length === 0) return null
  const without =
    leaning.leaderWithout === (leader ?? null)
      ? 'the first three would be others, or stand or be bought otherwise'
      : `${leaning.leaderWithout ?? 'nobody'} would lead`
  return (
    <Typography variant="body2" sx={{ px: 1.5, pt: 0.5 }}>
      <Link to="/house">The house leans</Link> on {[...new Set(leans)].join(', ')}.{' '}
      {leaning.changed ? `Without that ${without}.` : 'It changes nothing among the first three.'}
    </Typography>
  )
}
