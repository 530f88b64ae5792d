import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { Choice, Pot } from '@tender-gill/contract'
import { listTaken } from '@tender-gill/core'
import { formatMoney, formatMoneyRange } from '../../reader/index.ts'
import type { Dish } from '../../state/useDish.ts'
import { HEADING } from '../../theme.ts'
import { useDecide } from '../decisions/index.ts'

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
export function TakePot({ pot, dish, small = false }: { readonly pot: Pot; readonly dish: Dish; readonly small?: boolean }) {
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
