import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { Brief, FormCompared, TakenFish } from '@tender-gill/contract'
import { useState } from 'react'
import { WorthBar } from '../../drawings/WorthBar.tsx'
import { nameQuestion, useAnswer, useSheet } from '../../engine/index.ts'
import { FORM_LABEL, formatMass, formatMassPrice, formatMoney } from '../../reader/index.ts'
import { INK } from '../../theme.ts'

const days = ({ low, high }: FormCompared['daysLeft']): string =>
  low === high ? `${high.toFixed(0)} days once thawed` : `${low.toFixed(0)} to ${high.toFixed(0)} days left`

/** What one way of buying costs against the cheapest, and the price at which it would be the better buy. */
function describePrice({ perPortion, perKg, currency, breakEvenPerKg }: FormCompared, cheapest: FormCompared | undefined): string {
  const known = cheapest?.currency ?? currency
  if (perPortion === null || perKg === null || currency === null)
    return breakEvenPerKg !== null && known
      ? `No price is known. Worth up to ${formatMassPrice(breakEvenPerKg, known)}.`
      : 'No price is known.'
  const even = breakEvenPerKg === null ? '' : `; level with the next at ${formatMassPrice(breakEvenPerKg, currency)}`
  return `${formatMassPrice(perKg, currency)}${even}.`
}

/** What of a portion's cost is work, and what comes back for the rest of the fish; nothing where neither counts. */
function describeShares({ workPerPortion, creditPerPortion, currency }: FormCompared): string {
  if (currency === null) return ''
  const told = [
    ...(workPerPortion > 0.005 ? [`${formatMoney(workPerPortion, currency)} of it is work`] : []),
    ...(creditPerPortion > 0.005 ? [`${formatMoney(creditPerPortion, currency)} comes back for the rest of the fish`] : []),
  ]
  return told.length > 0 ? ` ${told.join(', ')}.` : ''
}

/** So many ways are shown until all are asked for. */
const FEW = 4

interface Props {
  readonly brief: Brief
  readonly taken: TakenFish
  readonly onTake: (fish: TakenFish) => void
}

/** The same fish in every form it can be bought in: what an edible portion costs, drawn to one scale, and the work each leaves. */
export function FormsCompared({ brief, taken, onTake }: Props) {
  const sheet = useSheet(brief.date)
  const [all, setAll] = useState(false)
  const key = nameQuestion({ brief, species: taken.species })
  const rows = useAnswer(sheet, key, (desk) => desk.forms(brief, taken.species))?.value
  if (!rows || rows.length < 2) return <Typography>There is no other way to buy it for this dish.</Typography>
  const most = Math.max(...rows.map(({ perPortion }) => perPortion ?? 0), 0.01)
  const dearest = Math.max(...rows.flatMap(({ perKg, breakEvenPerKg }) => [perKg ?? 0, breakEvenPerKg ?? 0]), 0.01)
  const [cheapest] = rows.filter(({ perPortion }) => perPortion !== null)
  // The one that is taken is always among those shown.
  const shown = all ? rows : rows.filter((row, i) => i < FEW || (row.offerId === taken.offerId && row.form === taken.form))
  return (
    <>
      <Box component="ul" aria-label="Ways to buy it" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {shown.map((row) => {
          const { offerId, offer, form, weightG, minutes, perPortion, perKg, breakEvenPerKg, currency, daysLeft, seen } = row
          const isTaken = offerId === taken.offerId && form === taken.form
          return (
            <Box
              component="li"
              key={offerId + form}
              sx={{ borderTop: `1px solid ${INK.hairline}`, borderLeft: `5px solid ${isTaken ? INK.roe : 'transparent'}`, pl: 1, py: 0.75 }}
            >
              <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline' }}>
                <Typography sx={{ flex: 1, fontWeight: 700 }}>
                  {FORM_LABEL[form]}, {offer}
                </Typography>
                <Typography sx={{ fontWeight: 700 }}>
                  {perPortion !== null && currency ? `${formatMoney(perPortion, currency)} a portion` : ''}
                </Typography>
              </Box>
              {perPortion !== null && <Box aria-hidden sx={{ height: 5, width: `${(100 * perPortion) / most}%`, bgcolor: INK.kelp }} />}
              {breakEvenPerKg !== null && (
                <WorthBar worth={breakEvenPerKg} price={perKg} most={dearest} label={describePrice(row, cheapest)} />
              )}
              <Typography variant="body2">
                {describePrice(row, cheapest)}
                {describeShares(row)}
              </Typography>
              <Typography variant="body2" color="text.secondary">
                {formatMass(weightG)} as usually needed, about {Math.max(1, Math.round(minutes))} min of work; {days(daysLeft)}. To look at:{' '}
                {seen}.
              </Typography>
              {!isTaken && (
                <Button
                  size="small"
                  onClick={() => onTake({ species: taken.species, offerId, form })}
                  aria-label={`Buy it as ${FORM_LABEL[form]}, ${offer}`}
                >
                  Buy it so
                </Button>
              )}
            </Box>
          )
        })}
      </Box>
      {rows.length > shown.length && <Button onClick={() => setAll(true)}>All {rows.length} ways</Button>}
    </>
  )
}
