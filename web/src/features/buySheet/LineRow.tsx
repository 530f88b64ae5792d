import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { styled } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import type { BuyLine, BuyOrder, BuyStandIn } from '@tender-gill/contract'
import { groupBy } from '@tender-gill/core'
import { useState } from 'react'
import { Link } from 'react-router'
import { capitalise } from '../../parts/dishWords.ts'
import { FORM_LABEL, describeDay, formatMassPrice, formatMassToBuy, formatMoney } from '../../reader/index.ts'
import { HEADING, INK } from '../../theme.ts'
import { BoughtForm } from './BoughtForm.tsx'
import { describeAmount, describePurchase } from './buyWords.ts'
import type { Came, Purchases } from './usePurchases.ts'

const MOST_INSTEAD = 3
const LIMIT_WORDS = { dish: 'what the dish allows', estimate: 'the most that is asked on a day' } as const
/** A caution of a kind that the dish's own pages tell; here only what changes the order. */
const TOLD_ELSEWHERE: ReadonlySet<string> = new Set([
  'doneness',
  'format',
  'opened',
  'unchecked',
  'spines',
  'venom',
  'mercury',
  'histamine',
])

/** On paper alone: a box to tick when it has come. */
const TickBox = styled('span')({
  display: 'none',
  '@media print': { display: 'inline-block', width: 14, height: 14, border: '1.5px solid #000', marginRight: 6 },
})

function PriceLine({ line }: { readonly line: BuyLine }) {
  const { perKg, currency, limit, goods, asked } = line
  if (!perKg || !currency || goods === null) return <Typography variant="body2">No price is known.</Typography>
  return (
    <Typography variant="body2">
      <Box component="b" sx={{ fontFamily: HEADING, fontSize: 18 }}>
        {formatMoney(goods, currency)}
      </Box>
      , about {formatMassPrice(perKg.typical, currency)}
      {asked && (
        <>
          <br />
          asked {formatMassPrice(asked.perKg, currency)}
          {asked.date ? ` on ${describeDay(asked.date)}` : ''}
        </>
      )}
      {limit && (
        <>
          <br />
          not above <b>{formatMassPrice(limit.perKg, currency)}</b>, {LIMIT_WORDS[limit.because]}
        </>
      )}
    </Typography>
  )
}

/** Who a line is for: the dish, and how much of it where it feeds several. */
function ForWhom({ line: { servings } }: { readonly line: BuyLine }) {
  return (
    <Typography variant="body2" color="text.secondary">
      {servings.map(({ servingId, dish, covers, needG, taken }, i) => (
        <span key={servingId}>
          {i > 0 && '; '}
          <Link to={`/dishes/${servingId}/amounts`}>{dish}</Link>
          {servings.length > 1 ? ` ${formatMassToBuy(needG)}` : `, ${covers} ${covers === 1 ? 'cover' : 'covers'}`}
          {!taken && ' (not taken yet: it leads)'}
        </span>
      ))}
    </Typography>
  )
}

interface InsteadProps {
  readonly standIns: readonly BuyStandIn[]
  readonly several: boolean
  readonly form: BuyLine['form']
}

function Instead({ standIns, several, form }: InsteadProps) {
  const byServing = [...groupBy(standIns, ({ servingId }) => servingId).values()]
  if (byServing.length === 0) return <Typography variant="body2">Nothing on your lists stands in for it.</Typography>
  return (
    <>
      {byServing.map((own) => (
        <Typography key={own[0]?.servingId} variant="body2">
          If it is not there{several ? `, for ${own[0]?.dish ?? ''}` : ''}:{' '}
          {own.slice(0, MOST_INSTEAD).map((one, i) => (
            <span key={one.species}>
              {i > 0 && ', or '}
              <b>{one.common}</b> {formatMassToBuy(one.g)}
              {one.form === form ? '' : ` ${FORM_LABEL[one.form]}`}
              {one.otherAllergen && <Box component="strong" sx={{ color: 'error.main' }}>{` (${one.change ?? 'another allergen'})`}</Box>}
            </span>
          ))}
        </Typography>
      ))}
    </>
  )
}

interface Props {
  readonly line: BuyLine
  readonly order: BuyOrder
  readonly currency: string
  readonly purchases: Purchases
}

/** One thing to order, and what came of it. */
export function LineRow({ line, order, currency, purchases }: Props) {
  const [typing, setTyping] = useState(false)
  const keep = async (what: Came) => {
    if (await purchases.tick(line, order, what)) setTyping(false)
  }
  const { amount, detail } = describeAmount(line)
  const { common, species, offer, form, asks, servings, standIns, purchase, leastKg } = line
  const state = describePurchase(line)
  const came = purchase !== null && purchase.purchase.state !== 'ordered'
  const cautions = line.cautions.filter(({ kind }) => !TOLD_ELSEWHERE.has(kind))
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '130px minmax(0, 1fr) 230px' },
        columnGap: 2,
        rowGap: 0.5,
        py: 1.25,
        borderTop: `1px solid ${INK.hairline}`,
        breakInside: 'avoid',
        '@media print': { gridTemplateColumns: '110px minmax(0, 1fr) 190px' },
      }}
    >
      <Box>
        <Box sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: 26, lineHeight: 1.1 }}>
          <TickBox aria-hidden />
          {amount}
        </Box>
        {detail && <Typography variant="body2">{detail}</Typography>}
      </Box>
      <Box>
        <Typography component="h3" variant="h3">
          {common}{' '}
          <Box component="i" sx={{ fontSize: 13, fontWeight: 400, color: 'text.secondary' }}>
            {species}
          </Box>
        </Typography>
        <Typography variant="body2">
          {[`${offer}, ${FORM_LABEL[form]}`, ...asks].map((part, i) => (
            <span key={part}>
              {i > 0 && '; '}
              {part}
            </span>
          ))}
        </Typography>
        <ForWhom line={line} />
        {leastKg !== null && (
          <Typography variant="body2" sx={{ borderLeft: `4px solid ${INK.brass}`, pl: 1 }}>
            They send it from {formatMassToBuy(leastKg * 1000)}.
          </Typography>
        )}
        {cautions.map(({ sentence }) => (
          <Typography key={sentence} variant="body2" sx={{ borderLeft: `4px solid ${INK.brass}`, pl: 1 }}>
            {sentence}
          </Typography>
        ))}
        <Instead standIns={standIns} several={servings.length > 1} form={form} />
      </Box>
      <Box>
        <PriceLine line={line} />
        <Typography role="status" aria-label={`How it stands with ${common}`} sx={{ fontWeight: 700, my: 0.5 }}>
          {state}
        </Typography>
        <Box className="screen" sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, '& button': { minHeight: 44 } }}>
          {purchase === null && (
            <Button variant="outlined" onClick={() => void purchases.tick(line, order)}>
              Ordered
            </Button>
          )}
          {!typing && !came && (
            <Button variant={purchase ? 'contained' : 'text'} onClick={() => setTyping(true)}>
              Bought
            </Button>
          )}
          {purchase !== null && !came && (
            <Button onClick={() => void purchases.tick(line, order, { state: 'not-come', g: null, perKg: null, currency: null })}>
              Did not come
            </Button>
          )}
          {purchase !== null && (
            <Button color="inherit" onClick={() => void purchases.forget(purchase, common)}>
              {came ? 'Take it off' : 'Not ordered'}
            </Button>
          )}
          {purchase?.purchase.state === 'not-come' && servings[0] && (
            <Button component={Link} variant="contained" to={`/dishes/${servings[0].servingId}/stand-ins?because=not-landed`}>
              {capitalise(standIns[0]?.common ?? 'stand-ins')} instead
            </Button>
          )}
        </Box>
      </Box>
      {typing && (
        <Box className="screen" sx={{ gridColumn: { md: '2 / -1' } }}>
          <BoughtForm line={line} currency={currency} onLeave={() => setTyping(false)} onDone={(what) => void keep(what)} />
        </Box>
      )}
    </Box>
  )
}
