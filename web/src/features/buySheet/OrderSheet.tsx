import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { styled } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import type { BuyOrder } from '@tender-gill/contract'
import { addressOf, operations } from '@tender-gill/contract/operations'
import { nameReader } from '@tender-gill/words/plain'
import { useDispatch } from 'react-redux'
import { useKitchenId } from '../../kitchen/index.ts'
import { said } from '../../notices/index.ts'
import { describeDay, formatMoney, reader } from '../../reader/index.ts'
import type { AppDispatch } from '../../state/store.ts'
import { HEADING, INK } from '../../theme.ts'
import { describeShort, describeState, listOpen } from './buyWords.ts'
import { LineRow } from './LineRow.tsx'
import type { Purchases } from './usePurchases.ts'

/** One page for one merchant: black on white, nothing of the screen around it. */
const Page = styled('section')({
  background: INK.ice,
  border: `1px solid ${INK.hairline}`,
  borderRadius: 4,
  padding: 20,
  '@media (max-width: 700px)': { padding: 12 },
  '@media print': {
    border: 'none',
    padding: 0,
    color: '#000',
    background: '#fff',
    breakAfter: 'page',
    '& .screen': { display: 'none' },
    '& p, & li, & a': { fontSize: 11, lineHeight: 1.3, color: '#000', textDecoration: 'none' },
  },
})

interface Props {
  readonly order: BuyOrder
  readonly kitchen: { readonly name: string; readonly currency: string; readonly today: string }
  /** What stands behind the question mark of this sheet. */
  readonly query: Readonly<Record<string, string>>
  readonly purchases: Purchases
}

/** Everything from one merchant in one delivery: when to order, each line, what it comes to, and the order as text. */
export function OrderSheet({ order, kitchen, query, purchases }: Props) {
  const { merchant, state, delivery, lines, goods, note } = order
  const dispatch = useDispatch<AppDispatch>()
  const kitchenId = useKitchenId()
  const short = describeShort(order)
  const open = listOpen(order)
  const name = merchant ?? (state === 'nobody' ? 'On nobody’s list' : 'No merchant named')
  const copy = async () => {
    const search = new URLSearchParams({ ...query, as: 'text', ...(merchant === null ? {} : { merchant }) })
    try {
      const answer = await fetch(`${addressOf(operations.buySheetFile, { kitchen: kitchenId })}?${search.toString()}`, {
        headers: { Reader: nameReader(reader) },
      })
      if (!answer.ok) throw new Error(String(answer.status))
      await navigator.clipboard.writeText(await answer.text())
      dispatch(said('done', `The order for ${name} is copied. Paste it into a message.`))
    } catch {
      dispatch(said('failed', 'The order could not be copied. Print it, or take the file.'))
    }
  }
  return (
    <Page aria-label={`${name}${delivery ? `, ${describeDay(delivery)}` : ''}`}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'baseline', columnGap: 2, rowGap: 0.5 }}>
        <Typography component="h2" sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: 24, lineHeight: 1.15 }}>
          {name}
        </Typography>
        <Typography
          sx={{ fontWeight: 700, flex: 1, minWidth: 220, borderLeft: `5px solid ${state === 'open' ? INK.kelp : INK.roe}`, pl: 1 }}
        >
          {describeState(order, kitchen.today)}
        </Typography>
        <Box className="screen" sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5 }}>
          {state !== 'nobody' && <Button onClick={() => void copy()}>Copy as text</Button>}
          {open.length > 1 && (
            <Button variant="outlined" onClick={() => void purchases.orderAll(open, order)}>
              All {open.length} are ordered
            </Button>
          )}
        </Box>
      </Box>
      <Typography variant="body2" sx={{ display: 'none', '@media print': { display: 'block' } }}>
        {kitchen.name}
        {delivery ? `, for ${describeDay(delivery)}` : ''}
      </Typography>
      <Typography variant="body2" sx={{ mb: 0.5 }}>
        {goods.length > 0 && `About ${goods.map(({ amount, currency }) => formatMoney(amount, currency)).join(' and ')} in all`}
        {short && (
          <Box component="b" sx={{ color: 'text.primary' }}>
            ; {short}
          </Box>
        )}
        {note ? `. ${note}` : ''}
      </Typography>
      <Box component="ul" aria-label={`To order from ${name}`} sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {lines.map((line) => (
          <LineRow key={line.key} line={line} order={order} currency={kitchen.currency} purchases={purchases} />
        ))}
      </Box>
    </Page>
  )
}
