import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { FLESH_KEYS, type FleshKey } from '@tender-gill/contract/vocabulary'
import type { AskKey, Brief, NormalisedBrief, RankedFish, ResolvedOffer } from '@tender-gill/contract'
import { HouseSays } from '../../parts/HouseSays.tsx'
import { describeBasis } from '../../parts/basisWords.ts'
import { ASK_LABEL, FORM_LABEL, formatMassToBuy, formatMoney, formatMoneyRange } from '../../reader/index.ts'
import { memo } from 'react'
import { AskStrip } from '../../drawings/AskStrip.tsx'
import { FleshPrint } from '../../drawings/FleshPrint.tsx'
import { HEADING, INK } from '../../theme.ts'
import { WhereToOrder } from '../../parts/WhereToOrder.tsx'
import { MarketOf } from '../../parts/MarketOf.tsx'
import { TurningList, useTurning } from './TurningList.tsx'
import { nameCautions, ofHundred } from '../../parts/dishWords.ts'
import { WhatIsThis } from '../../parts/WhatIsThis.tsx'

export const ROW_COLUMNS = { xs: '64px minmax(0, 1fr) 92px', md: '66px minmax(140px, 1fr) 108px repeat(3, 70px) 92px' }

interface Props {
  readonly fish: RankedFish
  readonly brief: NormalisedBrief
  readonly offer: ResolvedOffer | undefined
  readonly columns: readonly AskKey[]
  readonly open: boolean
  readonly first: boolean
  readonly taken: boolean
  /** False while shares are still being drawn. */
  readonly sharesReady: boolean
  readonly onToggle: (offerId: string) => void
  readonly onTake: (fish: RankedFish) => void
  readonly onLetGo: () => void
  /** The brief as it is kept, and how it is changed: for what would turn the answer. */
  readonly dishBrief: Brief
  readonly onBrief: (brief: Brief) => void
  /** In a few words, what would take first place from the leader. */
  readonly nearest: string | null
}

const describeShares = ({ firstShare, passShare }: RankedFish): string =>
  `first in ${ofHundred(firstShare)} of 100${passShare < 0.95 ? `, passes in ${ofHundred(passShare)}` : ''}`

/** What is missing to 100, and what most of it is for. */
function describeLoss(pointsLost: RankedFish['pointsLost']): string {
  const [worst] = pointsLost
  const all = pointsLost.reduce((sum, { points }) => sum + points, 0)
  if (!worst) return ''
  return pointsLost.length === 1
    ? `It loses ${worst.points.toFixed(1)} points: ${worst.sentence}`
    : `It loses ${all.toFixed(1)} points, ${worst.points.toFixed(1)} of them here: ${worst.sentence}`
}

/** Why the first stands first, in a sentence or two. */
function summarise({ common, pointsLost, unknown, buyG, form }: RankedFish): string {
  const [worst] = pointsLost
  const missing = worst ? describeLoss(pointsLost) : `${common} meets every ask.`
  const blind = unknown.length > 0 ? ` Not known: ${unknown.map((key) => ASK_LABEL[key].toLowerCase()).join(', ')}.` : ''
  return `${missing}${blind} Buy ${formatMassToBuy(buyG)} ${FORM_LABEL[form]}.`
}

/** What the book says of a trait of which the house has learnt, as a ghost on its strip. */
function bookGhost(offer: ResolvedOffer | undefined, standing: RankedFish['standings'][number]) {
  const learnt = isFlesh(standing.trait) ? offer?.traits[standing.trait].learnt : undefined
  return learnt && { standing: { ...standing, ...learnt.book }, name: 'the book' }
}
const isFlesh = (key: AskKey): key is FleshKey => (FLESH_KEYS as readonly string[]).includes(key)

/** Points lost as bars that add up to what is missing to 100. */
function PointsBars({ fish }: { readonly fish: RankedFish }) {
  if (fish.pointsLost.length === 0) return <Typography>It meets every ask: no points lost.</Typography>
  return (
    <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0, display: 'grid', gap: 0.5 }}>
      {fish.pointsLost.map(({ trait, points, sentence }) => (
        <li key={trait} style={{ display: 'grid', gridTemplateColumns: '64px 1fr', gap: 8 }}>
          <span style={{ textAlign: 'right' }}>
            <b>−{points.toFixed(1)}</b>
            <span style={{ display: 'block', height: 5, marginLeft: 'auto', width: Math.min(64, 6 + points * 2), background: INK.slate }} />
          </span>
          <span>{sentence}</span>
        </li>
      ))}
    </Box>
  )
}

function Details({
  fish,
  brief,
  offer,
  first,
  onTake,
  onLetGo,
  taken,
  dishBrief,
  onBrief,
}: Omit<Props, 'columns' | 'open' | 'sharesReady' | 'onToggle' | 'nearest'>) {
  const turning = useTurning(dishBrief, first ? null : fish.species)?.value
  return (
    <Box sx={{ gridColumn: '1 / -1', pl: { md: '74px' }, pt: 0.5, display: 'grid', gap: 1 }}>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
        <Typography component="h3" variant="h3">
          What it misses
        </Typography>
        <WhatIsThis about="fit" />
        <WhatIsThis about="strip" />
        <WhatIsThis about="print" />
      </Box>
      <PointsBars fish={fish} />
      <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(150px, 1fr))', gap: 0.75 }}>
        {fish.standings.map((standing) => {
          const ask = brief.asks[standing.trait]
          return ask && standing.trait !== 'colour' ? (
            <Box key={standing.trait} sx={{ fontSize: 13 }}>
              {ASK_LABEL[standing.trait]}
              <br />
              <AskStrip standing={standing} ask={ask} width={130} ghost={bookGhost(offer, standing)} />
            </Box>
          ) : null
        })}
      </Box>
      {offer && <HouseSays offer={offer} />}
      {offer && <WhereToOrder offer={offer} form={fish.form} date={dishBrief.date} total={null} />}
      <MarketOf species={fish.species} date={brief.date} waters={brief.waters} />
      {fish.unknown.length > 0 && (
        <Typography variant="body2">
          Not known, counted as middling: {fish.unknown.map((key) => ASK_LABEL[key].toLowerCase()).join(', ')}.
        </Typography>
      )}
      {fish.cautions.map(({ kind, sentence }) => (
        <Typography key={kind + sentence} variant="body2" sx={{ borderLeft: `4px solid ${INK.brass}`, pl: 1 }}>
          {sentence}
        </Typography>
      ))}
      {turning && (
        <TurningList
          turning={turning}
          brief={dishBrief}
          title={first ? 'What would change it' : `What would set ${fish.common} first`}
          onApply={onBrief}
        />
      )}
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
        {taken ? (
          <>
            <Typography sx={{ fontWeight: 700 }}>{fish.common} is taken.</Typography>
            <Button variant="outlined" onClick={onLetGo}>
              Let it go
            </Button>
          </>
        ) : (
          <Button variant="contained" onClick={() => onTake(fish)}>
            Take {fish.common}
          </Button>
        )}
        <Typography variant="body2" color="text.secondary">
          Buy {formatMassToBuy(fish.buyG)} {FORM_LABEL[fish.form]}. {offer ? describeBasis(offer) : ''}
        </Typography>
      </Box>
    </Box>
  )
}

interface NameCellProps
  extends Pick<Props, 'open' | 'first' | 'onToggle'>, Pick<RankedFish, 'common' | 'species' | 'offer' | 'offerId' | 'form'> {
  readonly caution: string
  readonly lost: string | undefined
}

/** Name, offer and cautions: all of it stays while a band is dragged, so it is drawn again only when a word of it changes. */
const NameCell = memo(function NameCell({ common, species, offer, offerId, form, caution, lost, open, first, onToggle }: NameCellProps) {
  return (
    <Box sx={{ minWidth: 0 }}>
      <Typography component="h3" variant="h3" sx={first ? { fontSize: '1.3rem' } : undefined}>
        <button
          type="button"
          data-row
          aria-expanded={open}
          onClick={() => onToggle(offerId)}
          style={{ all: 'unset', cursor: 'pointer', minHeight: 24, outline: 'revert' }}
        >
          {common}
          {'\u00a0'}
          <span aria-hidden style={{ fontSize: 12 }}>
            {open ? '▴' : '▾'}
          </span>
        </button>
      </Typography>
      <Typography variant="body2" color="text.secondary" sx={{ fontStyle: 'italic', display: { xs: 'none', md: 'block' } }}>
        {species}
      </Typography>
      <Typography variant="body2" color="text.secondary">
        {offer}; {FORM_LABEL[form]}
      </Typography>
      {caution !== '' && (
        <Typography variant="body2" sx={{ color: 'warning.main', fontWeight: 700 }}>
          Caution: {caution}
        </Typography>
      )}
      <Typography variant="body2" sx={{ display: { md: 'none' } }}>
        {lost ?? 'Meets every ask.'}
      </Typography>
    </Box>
  )
})

/** Cost of a portion with its range, or that none is known. */
const CostCell = memo(function CostCell({ low, typical, high, currency }: Partial<NonNullable<RankedFish['portionCost']>>) {
  return (
    <Box sx={{ display: { xs: 'none', md: 'block' }, textAlign: 'right' }}>
      {typical !== undefined && low !== undefined && high !== undefined && currency ? (
        <>
          <Box sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: 17 }}>{formatMoney(typical, currency)}</Box>
          <Typography variant="body2" color="text.secondary">
            {formatMoneyRange(low, high, currency)}
          </Typography>
        </>
      ) : (
        <Typography variant="body2" color="text.secondary">
          no price
        </Typography>
      )}
    </Box>
  )
})

/** One fish of the line-up: its print, its fit and why, its strips, its cost. Opens to show the reasons. */
export const FishRow = memo(function FishRow({
  fish,
  brief,
  offer,
  columns,
  open,
  first,
  taken,
  sharesReady,
  onToggle,
  onTake,
  onLetGo,
  dishBrief,
  onBrief,
  nearest,
}: Props) {
  const cost = fish.portionCost
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gridTemplateColumns: ROW_COLUMNS,
        alignItems: 'center',
        columnGap: 1,
        py: 0.75,
        px: 1,
        borderTop: `1px solid ${INK.hairline}`,
        // One bar down the side of all that stand level with the leader.
        borderLeft: `5px solid ${first || (sharesReady && fish.tossUp) ? INK.roe : 'transparent'}`,
        bgcolor: open ? '#F1F7F7' : undefined,
        contain: 'layout paint',
      }}
    >
      {offer ? <FleshPrint offer={offer} name={fish.common} /> : <span />}
      <NameCell
        {...{
          common: fish.common,
          species: fish.species,
          offer: fish.offer,
          offerId: fish.offerId,
          form: fish.form,
          open,
          first,
          onToggle,
        }}
        caution={nameCautions(
          fish.cautions.map(({ kind }) => kind),
          offer ? { mercury: offer.mercury, venom: /venom/i.test(offer.spines ?? '') } : {},
        )}
        lost={fish.pointsLost[0]?.sentence}
      />
      <Box sx={{ textAlign: { xs: 'right', md: 'left' } }}>
        <Box data-fit sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: first ? 32 : 26, lineHeight: 1 }}>
          {fish.fit.toFixed(fish.fit === 100 ? 0 : 1)}
        </Box>
        <Typography variant="body2" color="text.secondary" sx={{ visibility: sharesReady ? 'visible' : 'hidden' }}>
          {describeShares(fish)}
        </Typography>
        <Box sx={{ display: { md: 'none' }, fontWeight: 700 }}>{cost ? formatMoney(cost.typical, cost.currency) : ''}</Box>
      </Box>
      {columns.map((key) => {
        const standing = fish.standings.find(({ trait }) => trait === key)
        const ask = brief.asks[key]
        return (
          <Box key={key} sx={{ display: { xs: 'none', md: 'block' } }}>
            {standing && ask ? <AskStrip standing={standing} ask={ask} ghost={bookGhost(offer, standing)} /> : null}
          </Box>
        )
      })}
      <CostCell low={cost?.low} typical={cost?.typical} high={cost?.high} currency={cost?.currency} />
      {first && !open && (
        <Typography variant="body2" sx={{ gridColumn: '1 / -1', pl: { md: '74px' }, pt: 0.5, display: { xs: 'none', md: 'block' } }}>
          {summarise(fish)} {/* It comes later than the row: its line is kept, so that no row below jumps. */}
          <Box component="span" sx={{ display: 'block', minHeight: '1.43em' }}>
            {nearest}
          </Box>
        </Typography>
      )}
      {open && (
        <Details
          fish={fish}
          brief={brief}
          offer={offer}
          first={first}
          onTake={onTake}
          onLetGo={onLetGo}
          taken={taken}
          dishBrief={dishBrief}
          onBrief={onBrief}
        />
      )}
    </Box>
  )
})
