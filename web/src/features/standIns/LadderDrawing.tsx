import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { CauseKind, Rung, StandIns, Tempting } from '@tender-gill/contract'
import { ASK_LABEL } from '../../reader/index.ts'
import { useMemo } from 'react'
import { useOffers } from '../../engine/index.ts'
import { AskStrip } from '../../drawings/AskStrip.tsx'
import { INK } from '../../theme.ts'
import { chanceOfHundred, joinWords } from '../../parts/dishWords.ts'
import { SwapLearnt } from './SwapLearnt.tsx'

/** Cautions that hold for the dish whatever the fish: the line-up says them. */
const OF_THE_DISH: ReadonlySet<string> = new Set(['doneness', 'format', 'opened', 'unchecked'])

interface Props {
  readonly standIns: StandIns
  /** How many changes each rung lists; all when left out. */
  readonly changes?: number
  /** Takes a rung for the dish; no button where left out. */
  readonly onTake?: (rung: Rung) => void
  readonly takenId?: string | undefined
}

const RAIL = {
  position: 'relative',
  pl: 2.5,
  pb: 1.5,
  '&:before': { content: '""', position: 'absolute', left: 6, top: 8, bottom: -8, borderLeft: `3px solid ${INK.slate}` },
} as const
const STEP = {
  '&:after': { content: '""', position: 'absolute', left: 0, top: 9, width: 15, borderTop: `3px solid ${INK.squid}` },
} as const

const MOST_STRIPS = 3

/** Where a rung parts from the missing fish: the traits that weigh most in this dish, the missing fish as a ghost on the same strip. */
function DifferingStrips({ rung, standIns }: { readonly rung: Rung; readonly standIns: StandIns }) {
  const strips = rung.differs.slice(0, MOST_STRIPS).flatMap((key) => {
    const standing = rung.standings.find(({ trait }) => trait === key)
    const ghost = standIns.missing.standings.find(({ trait }) => trait === key)
    const ask = standIns.brief.asks[key]
    return standing && ghost && ask ? [{ key, standing, ghost, ask }] : []
  })
  if (strips.length === 0) return null
  return (
    <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', my: 0.5 }}>
      {strips.map(({ key, standing, ghost, ask }) => (
        <Box key={key} sx={{ fontSize: 13 }}>
          <Box component="span" sx={{ display: 'block' }}>
            {ASK_LABEL[key]}
          </Box>
          <AskStrip standing={standing} ask={ask} width={120} ghost={{ standing: ghost, name: standIns.missing.common }} />
        </Box>
      ))}
    </Box>
  )
}

const CAUSE_WORDS: Record<CauseKind, string> = {
  weather: 'weather',
  month: 'season',
  merchant: 'merchant',
  stock: 'stock',
  farm: 'farms',
  price: 'price',
}
/** What a rung hangs on together with those above it: in the same storm they are missing together. */
function describeShared({ shares }: Rung): string {
  const kinds = [...new Set(shares.flatMap(({ kinds: own }) => own))].map((kind) => CAUSE_WORDS[kind])
  return `hangs on the same ${joinWords(kinds)} as ${joinWords(shares.map(({ common }) => common))}`
}

interface RungProps extends Props {
  readonly rung: Rung
  /** Another allergen class than the missing fish: then that is the first change, in the colour of stop. */
  readonly otherAllergen: boolean
}

function RungItem({ rung, changes = 99, standIns, onTake, takenId, otherAllergen }: RungProps) {
  const named = rung.changes.find(({ kind }) => kind === 'menu-name')
  const rest = rung.changes.filter((change) => change !== named)
  return (
    <Box component="li" sx={{ ...RAIL, ...STEP }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1 }}>
        <Typography component="h3" variant="h3" sx={{ flex: 1 }}>
          {rung.common}
        </Typography>
        <Typography variant="body2" color="text.secondary">
          {rung.alike.toFixed(0)} alike
        </Typography>
        {onTake && (
          <Button
            size="small"
            variant="outlined"
            disabled={rung.offerId === takenId}
            aria-label={rung.offerId === takenId ? `${rung.common} is taken` : `Take ${rung.common}`}
            onClick={() => onTake(rung)}
            sx={{ minHeight: { xs: 44, md: 32 } }}
          >
            {rung.offerId === takenId ? 'Taken' : 'Take'}
          </Button>
        )}
      </Box>
      <Typography variant="body2" color="text.secondary">
        {rung.offer}
        {rung.shares.length > 0 && `; ${describeShared(rung)}`}
      </Typography>
      {rung.learnt && <SwapLearnt species={rung.species} learnt={rung.learnt} />}
      {changes > 3 && <DifferingStrips rung={rung} standIns={standIns} />}
      {rest.length === 0 && <Typography variant="body2">Cooks and serves the same.</Typography>}
      {rest.slice(0, changes).map(({ sentence }, i) => (
        <Typography key={sentence} variant="body2" sx={otherAllergen && i === 0 ? { color: 'error.main', fontWeight: 700 } : undefined}>
          {sentence}
        </Typography>
      ))}
      {rest.length > changes && (
        <Typography variant="body2" color="text.secondary">
          and {rest.length - changes} more
        </Typography>
      )}
      {changes > 3 &&
        rung.cautions
          .filter(({ kind }) => !OF_THE_DISH.has(kind))
          .map(({ kind, sentence }) => (
            <Typography key={kind} variant="body2" sx={{ borderLeft: `4px solid ${INK.brass}`, pl: 1, my: 0.5 }}>
              {sentence}
            </Typography>
          ))}
      {changes > 3 && named && (
        <Typography variant="body2" sx={{ fontWeight: 700 }}>
          {named.sentence}
        </Typography>
      )}
    </Box>
  )
}

const TemptingItem = ({ fish }: { readonly fish: Tempting }) => (
  <Box component="li" sx={{ ...RAIL, '&:before': { ...RAIL['&:before'], borderLeft: `3px dashed ${INK.slate}` }, ...STEP }}>
    <Typography component="h3" variant="h3" sx={{ color: 'error.main' }}>
      Not {fish.common}
    </Typography>
    <Typography variant="body2">{fish.sentence}</Typography>
  </Box>
)

/** The stand-ins as rungs, nearest first; below, dashed, the tempting ones that would be wrong. */
export function LadderDrawing({ standIns, changes = 99, onTake, takenId }: Props) {
  const { ladder, tempting, emptyBecause, atLeastOne, dropped, missing, brief } = standIns
  const offers = useOffers(
    useMemo(() => [missing.offerId, ...ladder.map(({ offerId }) => offerId)], [missing, ladder]),
    brief.date,
  )
  const allergenOf = (offerId: string) => offers.get(offerId)?.allergen
  return (
    <>
      {emptyBecause && <Typography sx={{ my: 1 }}>{emptyBecause}</Typography>}
      {dropped.map((sentence) => (
        <Typography key={sentence} variant="body2" sx={{ borderLeft: `4px solid ${INK.brass}`, pl: 1, my: 1 }}>
          {sentence}
        </Typography>
      ))}
      <Box component="ol" aria-label="Stand-ins, nearest first" sx={{ listStyle: 'none', p: 0, my: 1 }}>
        {ladder.map((rung) => (
          <RungItem
            key={rung.offerId}
            {...{ rung, changes, standIns, takenId }}
            {...(onTake ? { onTake } : {})}
            otherAllergen={allergenOf(rung.offerId) !== allergenOf(missing.offerId)}
          />
        ))}
        {tempting.slice(0, changes > 3 ? 3 : 1).map((fish) => (
          <TemptingItem key={fish.species} fish={fish} />
        ))}
      </Box>
      {ladder.length > 0 && (
        <Typography variant="body2" color="text.secondary">
          At least one of them is there in {chanceOfHundred(atLeastOne)} of 100 (compiled chances of weather, month, merchant, farm, stock
          and price).
        </Typography>
      )}
    </>
  )
}
