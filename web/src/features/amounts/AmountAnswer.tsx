import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Amounts, Brief, PortionCost } from '@tender-gill/contract'
import type { FoodCost } from '@tender-gill/core'
import { ofHundred } from '../../parts/dishWords.ts'
import { FORM_LABEL, formatMass, formatMoney } from '../../reader/index.ts'
import { HEADING, INK } from '../../theme.ts'

/** What to ask for, as it is sold: a number of fish of a size, packs, or a weight. */
function describePurchase({ buy, grade }: Amounts): { readonly ask: string; readonly comes: string | null } {
  if (buy.packs !== null) return { ask: `${buy.packs} ${buy.packs === 1 ? 'pack' : 'packs'}`, comes: formatMass(buy.g) }
  if (buy.count !== null && grade)
    return {
      ask: `${buy.count} of ${formatMass(grade.fromG)} to ${formatMass(grade.toG)}`,
      comes: `about ${formatMass(buy.g)}`,
    }
  return { ask: formatMass(buy.g), comes: null }
}

const describeFeeds = ({ feeds }: Amounts, haveG: number | undefined): string =>
  haveG === undefined
    ? `Feeds ${feeds} portions.`
    : `What is there, ${formatMass(haveG)}, feeds ${feeds} ${feeds === 1 ? 'portion' : 'portions'}.`

/** The fish as a share of the price on the menu, with its range, against what the house aims at. */
function FoodCostLine({ foodCost: { share, menuPrice, target } }: { readonly foodCost: FoodCost }) {
  const { low, typical, high } = share
  const range = ofHundred(low) === ofHundred(high) ? '' : ` (${ofHundred(low)} to ${ofHundred(high)})`
  const over = target !== null && typical > target
  return (
    <Typography sx={{ borderLeft: `5px solid ${over ? INK.brass : INK.kelp}`, pl: 1, mt: 1 }}>
      <b>
        {ofHundred(typical)} of 100{range}
      </b>{' '}
      of the {formatMoney(menuPrice.perPortion, menuPrice.currency)} on the menu
      {target === null ? '.' : over ? `; the house aims at ${ofHundred(target)}.` : `, within the ${ofHundred(target)} the house aims at.`}
    </Typography>
  )
}

interface Props {
  readonly amounts: Amounts
  readonly portionCost: PortionCost | null
  readonly brief: Brief
  readonly foodCost: FoodCost | null
  readonly haveG: number | undefined
}

/** The answer: what to ask for, how surely it is enough, what it feeds, and what it costs. */
export function AmountAnswer({ amounts, portionCost, foodCost, brief, haveG }: Props) {
  const { form, weightG, buy, shortChance, cost, grade, portions } = amounts
  const { ask, comes } = describePurchase(amounts)
  return (
    <Box sx={{ my: 2 }} aria-live="polite">
      <Typography sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: { xs: 36, md: 52 }, lineHeight: 1.05 }}>{ask}</Typography>
      <Typography sx={{ fontSize: 18 }}>
        {FORM_LABEL[form]} to buy{comes ? `, ${comes}` : ''}; falls short in {ofHundred(shortChance)} of 100.{' '}
        {describeFeeds(amounts, haveG)}
      </Typography>
      <Typography variant="body2" color="text.secondary">
        {formatMass(weightG)} are needed for {portions.toFixed(1)} portions
        {buy.roundedUpG > 0.5 ? `; ${formatMass(buy.roundedUpG)} more come with the way it is sold` : ''}.
      </Typography>
      {grade?.suits === false && (
        <Alert severity="warning" sx={{ mt: 1 }}>
          Fish of that size do not suit: one leaves {brief.wholeServes && brief.wholeServes !== 1 ? 'its eaters' : 'its eater'} too little,
          or far too much.
        </Alert>
      )}
      {cost ? (
        <Typography sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: 24, mt: 1 }}>
          {formatMoney(cost.goods, cost.currency)}{' '}
          <Box component="span" sx={{ font: 'inherit', fontSize: 16, fontWeight: 400 }}>
            in all
            {portionCost &&
              `; ${formatMoney(portionCost.typical, portionCost.currency)} a portion as it usually comes out, as in the line-up`}
            {cost.credit > 0 &&
              `, once ${formatMoney(cost.credit, cost.currency)} is taken off for head, frame and trim that the house uses`}
          </Box>
        </Typography>
      ) : (
        <Typography sx={{ mt: 1 }}>No price is known for this form. Type one in and the cost stands here.</Typography>
      )}
      {foodCost && <FoodCostLine foodCost={foodCost} />}
      {brief.budget && portionCost && portionCost.currency === brief.budget.currency && portionCost.typical > brief.budget.perPortion && (
        <Alert severity="warning" sx={{ mt: 1 }}>
          {formatMoney(portionCost.typical - brief.budget.perPortion, portionCost.currency)} a portion above the{' '}
          {formatMoney(brief.budget.perPortion, portionCost.currency)} of the brief.
        </Alert>
      )}
    </Box>
  )
}
