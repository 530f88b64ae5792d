import { formatMoney } from '../reader/index.ts'
import Typography from '@mui/material/Typography'
import type { Form, ResolvedOffer } from '@tender-gill/contract'
import { planOrder } from '@tender-gill/core'
import { useKitchenQuery, useMerchantsQuery } from '../api/api.ts'
import { INK } from '../theme.ts'
import { sayDay, sayOrder } from './orderWords.ts'
import { readLocalTime } from './readLocalTime.ts'

interface Props {
  readonly offer: ResolvedOffer
  readonly form: Form
  /** Day of the dish. */
  readonly date: string | undefined
  /** What the fish costs in all, to hold against the least order. */
  readonly total: { readonly typical: number; readonly currency: string } | null
}

/** From whom a fish is bought and until when to order, so that it is there for the dish. */
export function WhereToOrder({ offer, form, date, total }: Props) {
  const { data: kitchen } = useKitchenQuery()
  const { data: merchants = [] } = useMerchantsQuery()
  const name = offer.prices.find((price) => price.form === form)?.merchant
  const merchant = merchants.find((record) => record.merchant.name === name)?.merchant
  // What is closed or missing on the day of the dish is not to be ordered for it, whoever has a price.
  const cannot = offer.absent !== undefined || offer.season?.closed === true || offer.stock?.spent === true
  if (!kitchen || !merchant || cannot) return null
  const order = planOrder(merchant, { date: kitchen.today, time: readLocalTime(kitchen.zone) }, date ?? null)
  const least = merchant.minimumOrder
  const short = least && total && total.currency === least.currency && total.typical < least.amount
  return (
    <Typography sx={{ borderLeft: `5px solid ${order ? INK.kelp : INK.roe}`, pl: 1, mt: 1, mb: 2.5 }}>
      <b>
        {merchant.name}:{' '}
        {order ? sayOrder(order, kitchen.today) : `no delivery can be had any more for ${sayDay(date ?? kitchen.today, kitchen.today)}`}.
      </b>
      {short
        ? ` It sends from ${formatMoney(least.amount, least.currency)}; this fish alone comes to ${formatMoney(total.typical, total.currency)}.`
        : ''}
    </Typography>
  )
}
