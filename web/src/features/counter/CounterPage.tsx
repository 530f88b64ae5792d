import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import { Link } from 'react-router'
import { useAnswer, useSheet } from '../../engine/index.ts'
import { canBeKept } from '../../offline/index.ts'
import { Waiting } from '../../parts/Waiting.tsx'
import { formatMoney } from '../../reader/index.ts'
import { HEADING, INK } from '../../theme.ts'
import { JourneyIce } from '../cold/index.ts'
import { stateOf, sumPaid, type CounterLine, type LineState, type StandingPurchase } from './counterLines.ts'
import { describeBought, describeCame, describeFor, describeWanted, nameLine } from './counterWords.ts'
import { useCounter } from './useCounter.ts'
import { useKeepSheets } from './useKeepSheets.ts'

const MARKS: Readonly<Record<LineState, string | null>> = {
  open: null,
  'in-the-bag': 'M5 12 l5 6 l9 -12',
  left: 'M6 6 l12 12 M18 6 l-12 12',
}

/** A box as on paper: empty, ticked, crossed. */
function Mark({ state }: { readonly state: LineState }) {
  const colour = state === 'left' ? INK.dulse : state === 'in-the-bag' ? INK.kelp : INK.squid
  return (
    <svg viewBox="0 0 24 24" width={34} height={34} aria-hidden focusable="false">
      <rect x={1.5} y={1.5} width={21} height={21} fill={state === 'in-the-bag' ? INK.brine : INK.ice} stroke={colour} strokeWidth={2} />
      {MARKS[state] && <path d={MARKS[state] ?? ''} fill="none" stroke={colour} strokeWidth={2.6} strokeLinecap="round" />}
    </svg>
  )
}

/** One thing to buy as a target for a wet thumb. */
function LineRow({ one }: { readonly one: CounterLine }) {
  const state = stateOf(one)
  const came = describeCame(one)
  return (
    <Box component="li" sx={{ borderTop: `1px solid ${INK.hairline}` }}>
      <Box
        component={Link}
        to={`/counter/look?line=${encodeURIComponent(one.line.key)}`}
        sx={{ display: 'flex', gap: 1.5, py: 1.25, color: INK.squid, textDecoration: 'none', minHeight: 64 }}
      >
        <Mark state={state} />
        <Box sx={{ flex: 1, minWidth: 0 }}>
          <Box
            sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: 18, lineHeight: 1.2, color: state === 'open' ? INK.squid : INK.slate }}
          >
            {nameLine(one.line)}
          </Box>
          {came === null ? (
            <>
              <Typography>{describeWanted(one.line)}</Typography>
              <Typography color="text.secondary">{describeFor(one.line)}</Typography>
            </>
          ) : (
            <Typography color="text.secondary">{came}</Typography>
          )}
        </Box>
      </Box>
    </Box>
  )
}

/** Fish that was taken instead of another, or for something no longer asked for. */
function Beside({ beside }: { readonly beside: readonly StandingPurchase[] }) {
  const species = [...new Set(beside.map(({ purchase }) => purchase.species))]
  const names = useAnswer(useSheet(), species.join(',') || null, (desk) => desk.commonNames(species))?.value
  return (
    <>
      {beside.map(({ id, purchase }) => (
        <Box key={id} component="li" sx={{ display: 'flex', gap: 1.5, py: 1.25, borderTop: `1px solid ${INK.hairline}` }}>
          <Mark state={stateOf({ purchase: { id, revision: 1, purchase } })} />
          <Box>
            <Box sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: 18, color: INK.slate }}>
              {names?.[purchase.species] ?? purchase.species}
            </Box>
            <Typography color="text.secondary">
              {purchase.g === null ? 'Ordered, and on no line any more' : `${describeBought(purchase)}. On no line of the sheet`}
            </Typography>
          </Box>
        </Box>
      ))}
    </>
  )
}

/** What is to be bought today and in the days to come, as big targets: a tap looks at the fish. */
export default function CounterPage() {
  const { sheet, counter, isError } = useCounter()
  useKeepSheets(counter?.lines.flatMap(({ line }) => line.servings.flatMap(({ date }) => date ?? [])) ?? [])
  if (!counter || !sheet)
    return isError ? (
      <Alert severity="warning">
        The buy sheet could not be fetched, and none is kept here. It will appear as soon as the server answers.
      </Alert>
    ) : (
      <Waiting what="what is to be bought" />
    )
  const { lines, beside } = counter
  const got = lines.filter((one) => stateOf(one) === 'in-the-bag').length
  const paid = sumPaid(counter)
  const budget = sheet.spend.find(({ currency }) => currency === paid?.currency)
  const boughtG = [...lines.flatMap(({ purchase }) => purchase ?? []), ...beside].reduce((sum, { purchase }) => sum + (purchase.g ?? 0), 0)
  const sellers = [...new Set(lines.map(({ order }) => order.merchant))]
  return (
    <Box sx={{ maxWidth: 620, mx: 'auto' }}>
      <Typography variant="h1">
        <span role="status" aria-label="What is in the bag">
          {lines.length === 0 ? 'Nothing is to be bought' : `${got} of ${lines.length} in the bag`}
        </span>
      </Typography>
      <Typography color="text.secondary" gutterBottom>
        {lines.length === 0
          ? 'No dish of the days to come waits for fish.'
          : paid
            ? `${formatMoney(paid.amount, paid.currency)} spent${budget ? ` of about ${formatMoney(budget.amount, budget.currency)}` : ''}`
            : 'Tap a fish to look at it.'}
      </Typography>
      {!canBeKept() && (
        <Typography variant="body2" sx={{ mb: 1, borderLeft: `4px solid ${INK.brass}`, pl: 1 }}>
          This address is not secure, so nothing is kept for when there is no reception: the open page goes on, and loading it again needs
          reception. A phone that is paired with the kitchen keeps it.
        </Typography>
      )}
      {lines.length === 0 && (
        <Button component={Link} to="/" variant="contained">
          To the dishes
        </Button>
      )}
      {sellers.map((merchant) => (
        <Paper key={merchant ?? ''} component="section" aria-label={merchant ?? 'Anybody'} sx={{ px: 2, pb: 1, mb: 1.5 }}>
          <Typography variant="h2" sx={{ py: 1 }}>
            {merchant ?? 'From whoever has it'}
          </Typography>
          <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
            {[...lines.filter(({ order }) => order.merchant === merchant)]
              .sort((a, b) => Number(stateOf(a) !== 'open') - Number(stateOf(b) !== 'open'))
              .map((one) => (
                <LineRow key={one.line.key} one={one} />
              ))}
          </Box>
        </Paper>
      ))}
      {boughtG > 0 && <JourneyIce key={boughtG} g={boughtG} />}
      {beside.length > 0 && (
        <Paper component="section" aria-label="Besides" sx={{ px: 2, pb: 1 }}>
          <Typography variant="h2" sx={{ py: 1 }}>
            Besides
          </Typography>
          <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
            <Beside beside={beside} />
          </Box>
        </Paper>
      )}
    </Box>
  )
}
