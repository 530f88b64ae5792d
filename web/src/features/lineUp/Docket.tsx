import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Checkbox from '@mui/material/Checkbox'
import Chip from '@mui/material/Chip'
import FormControlLabel from '@mui/material/FormControlLabel'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import useMediaQuery from '@mui/material/useMediaQuery'
import type { AskKey, BandKey, Brief, NormalisedAsk, NormalisedBrief } from '@tender-gill/contract'
import { TEXTURE_KEYS } from '@tender-gill/contract/vocabulary'
import { METHOD_TABLE } from '@tender-gill/core'
import { ASK_LABEL, describeBand, describeBound, formatMoney } from '../../reader/index.ts'
import { memo, useDeferredValue, useState } from 'react'
import { Link } from 'react-router'
import type { Dish } from '../../state/useDish.ts'
import { INK } from '../../theme.ts'
import { describeMaking, describeServing, listDiners, listLimits } from '../../parts/dishWords.ts'
import { BandControl, type BandEdges } from './BandControl.tsx'
import { withAsk, withMust, withoutAsk } from './editAsks.ts'
import { PullDots } from './PullDots.tsx'

/** What is wanted, money as money. */
const describeAsked = (key: AskKey, { from, to }: NormalisedAsk, { budget }: Brief): string =>
  key === 'portionCost' && budget && to !== null ? `${formatMoney(to, budget.currency)} at most` : describeBand(key, from, to)

export interface LiveBand extends BandEdges {
  readonly key: BandKey
}
interface Props {
  readonly dish: Dish
  readonly brief: NormalisedBrief
  readonly onLive: (band: LiveBand | null) => void
}
interface AskProps {
  readonly trait: BandKey
  readonly ask: NormalisedAsk
  readonly dish: Dish
  readonly onLive: Props['onLive']
  /** False while the answer beside them is drawn first: their room is kept. */
  readonly controls: boolean
}

/** The room that the controls of an ask take when they are drawn. */
const HEAD_PX = 28
const DOTS_ROOM = { width: 70, height: 22 } as const
const MUST_PX = 68
const BAND_PX = 34

const AskEditor = memo(function AskEditor({ trait, ask, dish, onLive, controls }: AskProps) {
  const edit = (change: Parameters<typeof withAsk>[2]) => dish.edit({ brief: withAsk(dish.brief, trait, change) })
  const must = dish.brief.asks?.[trait]?.must === true
  const byHand = ask.because.includes('brief') && dish.brief.asks?.[trait] !== undefined
  return (
    <Box component="section" aria-label={ASK_LABEL[trait]} sx={{ pt: 0.5, borderTop: `1px solid ${INK.hairline}` }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, minHeight: HEAD_PX }}>
        <Typography component="h2" sx={{ fontWeight: 700, flex: 1 }}>
          {ASK_LABEL[trait]}
        </Typography>
        {controls ? <PullDots name={ASK_LABEL[trait]} pull={ask.pull} onChange={(pull) => edit({ pull })} /> : <Box sx={DOTS_ROOM} />}
      </Box>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, minHeight: { xs: 44, md: 28 } }}>
        <Typography variant="body2" sx={{ flex: 1, minWidth: 0 }}>
          {describeAsked(trait, ask, dish.brief)}
          {ask.must ? `; ${describeBound(trait, ask.must)}` : ''}
        </Typography>
        {controls ? (
          <FormControlLabel
            control={
              <Checkbox
                size="small"
                checked={must}
                onChange={(_event, on) => dish.edit({ brief: withMust(dish.brief, trait, on) })}
                slotProps={{ input: { 'aria-label': `${ASK_LABEL[trait]} is a must` } }}
              />
            }
            label="a must"
            slotProps={{ typography: { variant: 'body2' } }}
            sx={{ mr: 0, minHeight: { xs: 44, md: 28 }, '& .MuiCheckbox-root': { p: 0.25 } }}
          />
        ) : (
          <Box sx={{ width: MUST_PX }} />
        )}
      </Box>
      {controls ? (
        <BandControl
          trait={trait}
          ask={ask}
          onLive={(edges) => onLive(edges && { key: trait, ...edges })}
          onRest={(edges) => {
            onLive(null)
            edit(edges)
          }}
        />
      ) : (
        <Box sx={{ height: BAND_PX }} />
      )}
      <Typography variant="body2" color="text.secondary" sx={{ mt: -0.5 }}>
        {ask.reason}
      </Typography>
      {byHand && (
        <Button size="small" onClick={() => dish.edit({ brief: withoutAsk(dish.brief, trait) })} sx={{ minHeight: 28, p: 0 }}>
          As the method has it
        </Button>
      )}
    </Box>
  )
})

/** Which part of a fish to ask for, where the method has a reason to prefer one. */
function PartNote({ brief }: { readonly brief: NormalisedBrief }) {
  const { parts } = METHOD_TABLE[brief.method]
  if (!parts || brief.format === 'whole') return null
  return (
    <Box sx={{ borderTop: `1px solid ${INK.hairline}`, pt: 0.5 }}>
      <Typography component="h2" sx={{ fontWeight: 700 }}>
        Part: {parts.first.join(' or ')} first
      </Typography>
      <Typography variant="body2" color="text.secondary">
        {parts.why}
      </Typography>
    </Box>
  )
}

/** Asks that can be drawn as a band, those that matter first. */
const listAsks = (brief: NormalisedBrief): readonly (readonly [BandKey, NormalisedAsk])[] =>
  (Object.entries(brief.asks) as [string, NormalisedAsk][])
    .filter((entry): entry is [BandKey, NormalisedAsk] => entry[0] !== 'colour')
    .sort(([, a], [, b]) => Number(b.pull > 0) - Number(a.pull > 0))

const MORE: readonly BandKey[] = [...TEXTURE_KEYS.filter((key) => key !== 'binding'), 'thickness']

/** The docket: what the dish asks, each ask with its reason, its band to drag and the dots that say how much it matters. */
export const Docket = memo(function Docket({ dish, brief, onLive }: Props) {
  const narrow = useMediaQuery('(max-width: 900px)')
  const [open, setOpen] = useState(false)
  // On a phone the docket folds to one line of chips, that slides under the thumb.
  const folded = narrow && !open
  const asks = listAsks(brief)
  const diners = [...listDiners(dish.brief.diners), ...listLimits(dish.brief)]
  // The answer first, then what it is changed by.
  const controls = useDeferredValue(true, false)
  const addable = MORE.filter((key) => !brief.asks[key])
  return (
    <Paper
      component="section"
      aria-label="Docket"
      sx={{ px: { xs: 1.5, md: 2 }, py: { xs: 0.5, md: 2 }, overflow: 'auto', maxHeight: { md: 'calc(100vh - 130px)' } }}
    >
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
        <Typography variant="h2" component="h1" sx={{ flex: 1, minWidth: 0 }}>
          {dish.brief.dish}
        </Typography>
        {narrow && (
          <Button onClick={() => setOpen(!open)} aria-expanded={open} aria-label={open ? 'Fold the asks away' : 'Change what it asks'}>
            {open ? 'Fold away' : 'Asks'}
          </Button>
        )}
      </Box>
      <Typography color="text.secondary" noWrap={folded}>
        {describeMaking(dish.brief)}
      </Typography>
      <Typography color="text.secondary" gutterBottom>
        {describeServing(dish.brief)} · <Link to={`/dishes/${dish.id}/brief`}>change</Link>
      </Typography>
      <Box
        {...(folded ? { tabIndex: 0, role: 'group', 'aria-label': 'What it asks, in short' } : {})}
        sx={{
          display: 'flex',
          flexWrap: folded ? 'nowrap' : 'wrap',
          overflowX: 'auto',
          scrollbarWidth: 'none',
          gap: 0.5,
          mb: folded ? 0.5 : 1,
        }}
      >
        {diners.map((label) => (
          <Chip key={label} label={label} size="small" variant="outlined" />
        ))}
        {folded &&
          asks
            .filter(([, ask]) => ask.pull >= 3)
            .map(([key, ask]) => <Chip key={key} size="small" label={`${ASK_LABEL[key]}: ${describeAsked(key, ask, dish.brief)}`} />)}
      </Box>
      {(!narrow || open) && (
        <Box sx={{ display: 'grid', gap: 0.5 }}>
          {asks.map(([key, ask]) => (
            <AskEditor key={key} trait={key} ask={ask} dish={dish} onLive={onLive} controls={controls} />
          ))}
          <PartNote brief={brief} />
          <Box sx={{ borderTop: `1px solid ${INK.hairline}`, pt: 1, display: 'flex', flexWrap: 'wrap', gap: 0.5 }}>
            {addable.map((key) => (
              <Chip
                key={key}
                size="small"
                label={`Ask: ${ASK_LABEL[key].toLowerCase()}`}
                onClick={() => dish.edit({ brief: withAsk(dish.brief, key, { pull: 3 }) })}
              />
            ))}
          </Box>
        </Box>
      )}
    </Paper>
  )
})
