import Box from '@mui/material/Box'
import type { StandIn } from '@tender-gill/contract'
import { Link } from 'react-router'
import { sayHouseSwap } from '../../parts/entryWords.ts'
import { INK } from '../../theme.ts'

interface Props {
  readonly species: string
  readonly learnt: NonNullable<StandIn['learnt']>
}

/** How this swap went here before, with the book's likeness beside it, and one press to the entries behind it. */
export const SwapLearnt = ({ species, learnt }: Props) => (
  <Box sx={{ borderLeft: `4px solid ${INK.roe}`, pl: 1, fontSize: 14 }}>
    <Link to={`/house-book/entries?species=${encodeURIComponent(species)}&kinds=swapped`}>{sayHouseSwap(learnt)}</Link>; by the book{' '}
    {learnt.alikeWas.toFixed(0)} alike
  </Box>
)
