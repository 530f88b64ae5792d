import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import useMediaQuery from '@mui/material/useMediaQuery'
import { visuallyHidden } from '@mui/utils'
import type { AskKey, Brief, Choice, LineUp, NormalisedBrief } from '@tender-gill/contract'
import { hidesTheFish, listTaken } from '@tender-gill/core'
import { memo, useCallback, useMemo, useState, type KeyboardEvent } from 'react'
import { Link } from 'react-router'
import { useAnswer, useOffers, useSheet, type Unoffered } from '../../engine/index.ts'
import { comparePath } from '../../parts/bookWords.ts'
import { ASK_LABEL } from '../../reader/index.ts'
import type { Dish } from '../../state/useDish.ts'
import { useOnlyOffered } from '../../state/useOnlyOffered.ts'
import { HEADING, INK } from '../../theme.ts'
import { DishAlert } from '../alerts/index.ts'
import { useDecide } from '../decisions/index.ts'
import { DrawsNotice, type Study } from './DrawsNotice.tsx'
import { FishRow, ROW_COLUMNS } from './FishRow.tsx'
import { LeaningNotice } from './LeaningNotice.tsx'
import { LeftOut } from './LeftOut.tsx'
import { LineTools, UnofferedNotice } from './LineTools.tsx'
import { ordinal } from './moved.ts'
import { MovedLine } from './MovedLine.tsx'
import { NobodyCan } from './NobodyCan.tsx'
import { isSought, orderLine, type LineOrder } from './orderLine.ts'
import { useTurning } from './TurningList.tsx'
import { describeVerdict, type Verdict } from './verdict.ts'
import { WhatIsThis } from '../../parts/WhatIsThis.tsx'

/** Rows that are shown before one asks for all. */
export const SHOWN_AT_FIRST = 8
const STRIPS = 3

/** The asks that matter most: the columns of strips. */
function pickColumns({ asks }: NormalisedBrief): readonly AskKey[] {
  const drawn = (Object.keys(asks) as AskKey[]).filter((key) => key !== 'colour' && key !== 'portionCost' && (asks[key]?.pull ?? 0) > 0)
  return drawn.sort((a, b) => (asks[b]?.pull ?? 0) - (asks[a]?.pull ?? 0)).slice(0, STRIPS)
}

/** Up and down move between rows. */
function moveFocus(event: KeyboardEvent<HTMLElement>): void {
  if (event.key !== 'ArrowDown' && event.key !== 'ArrowUp') return
  const rows = [...event.currentTarget.querySelectorAll<HTMLButtonElement>('button[data-row]')]
  const at = rows.indexOf(document.activeElement as HTMLButtonElement)
  if (at < 0) return
  event.preventDefault()
  rows[at + (event.key === 'ArrowDown' ? 1 : -1)]?.focus()
}

const isTaken = (choice: Choice | null, { offerId }: { readonly offerId: string }): boolean =>
  choice !== null && listTaken(choice).some((taken) => taken.offerId === offerId)

/** The answer in one line; its room is kept while the shares are still being drawn, so that no row jumps. */
const VerdictLine = ({ verdict }: { readonly verdict: Verdict | null }) => (
  <Box sx={{ px: 1.5, pt: 0.5, pb: 0.5, minHeight: 58 }}>
    {verdict && (
      <>
        <Typography component="p" sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: { xs: 22, md: 27 }, lineHeight: 1.15 }}>
          {verdict.headline} <WhatIsThis about="sureness" />
        </Typography>
        <Typography variant="body2" color="text.secondary">
          {verdict.words}
        </Typography>
      </>
    )}
  </Box>
)

/** What else one may look at of this dish. */
const MoreOf = ({ dishId, compareTo }: { readonly dishId: string; readonly compareTo: string | null }) => (
  <Box sx={{ display: 'flex', flexWrap: 'wrap', '& a': { whiteSpace: 'nowrap', px: 0.75 } }}>
    {compareTo && (
      <Button component={Link} to={compareTo} size="small">
        Compare the first three
      </Button>
    )}
    <Button component={Link} to={`/dishes/${dishId}/decisions`} size="small">
      Decisions
    </Button>
    <Button component={Link} to={`/dishes/${dishId}/year`} size="small">
      The year
    </Button>
    <Button component={Link} to={`/dishes/${dishId}/pot`} size="small">
      A pot of several
    </Button>
  </Box>
)

interface BoardProps {
  readonly dish: Dish
  readonly lineUp: LineUp
  readonly able: number
  readonly sharesReady: boolean
  readonly current: boolean
  /** Who is left out is of this line-up too: it has come to rest. */
  readonly whole: boolean
  readonly study: Study
  readonly all: boolean
  readonly onAll: (all: boolean) => void
  /** What the last change moved, in a sentence. */
  readonly moved: string | null
  readonly onlyOffered: boolean
  readonly offered: number
  readonly unoffered: Unoffered | null
}

/** Who can do the dish, the first first: the answer in a line, what the last change moved, the rows, who was left out. */
export const Board = memo(function Board({
  dish,
  lineUp,
  able,
  sharesReady,
  current,
  whole,
  study,
  all,
  onAll,
  moved,
  onlyOffered,
  offered,
  unoffered,
}: BoardProps) {
  const { ranked, leftOut, brief } = lineUp
  const [openId, setOpenId] = useState<string | null>(null)
  const narrow = useMediaQuery('(max-width: 900px)')
  const [, sayOnly] = useOnlyOffered()
  const [order, setOrder] = useState<LineOrder>('fit')
  const [sought, setSought] = useState('')
  const sheet = useSheet(dish.brief.date)
  const hits = useAnswer(sheet, sheet && sought.trim() ? `${sheet.name}|${sought}` : null, (desk) => desk.search(sought))
  const found = useMemo(() => new Set(hits?.key.endsWith(`|${sought}`) ? hits.value.map(({ species }) => species) : []), [hits, sought])
  const seeks = sought.trim() !== ''
  const inOrder = useMemo(() => orderLine(ranked, order), [ranked, order])
  const rows = useMemo(
    () => (seeks ? ranked.filter((fish) => isSought(fish, sought, found)) : all ? inOrder : inOrder.slice(0, SHOWN_AT_FIRST)),
    [seeks, ranked, sought, found, all, inOrder],
  )
  const outSought = useMemo(() => leftOut.filter((fish) => isSought(fish, sought, found)), [leftOut, sought, found])
  const placeOf = (species: string) => ranked.findIndex((fish) => fish.species === species) + 1
  const offers = useOffers(
    useMemo(() => rows.map(({ offerId }) => offerId), [rows]),
    dish.brief.date,
  )
  const columns = useMemo(() => pickColumns(brief), [brief])
  const toggle = useCallback((id: string) => setOpenId((now) => (now === id ? null : id)), [])
  const { edit } = dish
  const take = useDecide(dish)
  const letGo = useCallback(() => edit({ choice: null }), [edit])
  const onBrief = useCallback((changed: Brief) => edit({ brief: changed }), [edit])
  const leader = ranked[0]
  const compareTo = ranked.length > 1 ? `${comparePath(ranked.slice(0, 3).map(({ species }) => species))}&dish=${dish.id}` : null
  const nearest = useTurning(sharesReady && leader ? dish.brief : null, null)?.value?.points[0]?.sentence ?? null
  return (
    <Paper component="section" aria-label="Line-up" sx={{ minWidth: 0 }}>
      <Box sx={{ px: 1.5, pt: 1, display: 'flex', alignItems: 'baseline', columnGap: 1, flexWrap: 'wrap' }}>
        <Typography variant="h2" sx={visuallyHidden}>
          Line-up
        </Typography>
        <Typography color="text.secondary">
          {/* Who is left out is told later: until then no figure stands for all of them. */}
          {leftOut.length > 0 ? `${able} of ${able + leftOut.length}` : able}
          {onlyOffered ? ' on your lists' : ''} can do this dish
        </Typography>
        {!narrow && (
          <Box sx={{ ml: 'auto' }}>
            <MoreOf dishId={dish.id} compareTo={compareTo} />
          </Box>
        )}
      </Box>
      {dish.choice && (
        <Box sx={{ px: 1.5 }}>
          <DishAlert servingId={dish.id} />
        </Box>
      )}
      {leader && <VerdictLine verdict={sharesReady && !study.left ? describeVerdict(ranked, hidesTheFish(dish.brief)) : null} />}
      <MovedLine moved={moved} />
      <LineTools {...{ onlyOffered, offered, order, sought }} onOrder={setOrder} onSought={setSought} />
      {!seeks && <UnofferedNotice unoffered={unoffered} onShow={() => sayOnly(false)} />}
      {seeks && (
        <Box role="status" aria-label="Where it stands" sx={{ px: 1.5, pb: 1 }}>
          {rows.slice(0, 3).map(({ species, common }) => (
            <Typography key={species} variant="body2">
              {common} stands {ordinal(placeOf(species))} of {able}.
            </Typography>
          ))}
          {outSought.slice(0, 3).map(({ species, common, sentence }) => (
            <Typography key={species} variant="body2">
              {common} is left out: {sentence}
            </Typography>
          ))}
          {rows.length + outSought.length === 0 && (
            <Typography variant="body2">
              {onlyOffered ? 'Nothing on your lists goes by that name.' : 'No fish of the book goes by that name.'}
            </Typography>
          )}
        </Box>
      )}
      <div role="status" aria-label="Who stands first" style={visuallyHidden}>
        {whole && sharesReady && leader ? `${leader.common} first; ${able} can do it` : ''}
      </div>
      {ranked.length === 0 ? (
        <NobodyCan
          brief={brief}
          diners={dish.brief.diners}
          onlyOffered={onlyOffered}
          onDiners={(diners) => dish.edit({ brief: { ...dish.brief, diners } })}
          onShowAll={() => sayOnly(false)}
        />
      ) : (
        <>
          <Box
            aria-hidden
            sx={{
              display: { xs: 'none', md: 'grid' },
              gridTemplateColumns: ROW_COLUMNS,
              columnGap: 1,
              px: 1.6,
              fontWeight: 700,
              fontSize: 13,
              color: INK.slate,
            }}
          >
            <span />
            <span />
            <span>Fit of 100</span>
            {columns.map((key) => (
              <span key={key}>{ASK_LABEL[key]}</span>
            ))}
            <span style={{ textAlign: 'right' }}>A portion</span>
          </Box>
          <Box
            component="ol"
            aria-label="Fish that can do it"
            aria-busy={!current}
            onKeyDown={moveFocus}
            sx={{ listStyle: 'none', p: 0, m: 0 }}
          >
            {rows.map((fish, i) => (
              <FishRow
                key={fish.offerId}
                fish={fish}
                brief={brief}
                offer={offers.get(fish.offerId)}
                columns={columns}
                open={openId === fish.offerId}
                first={!seeks && order === 'fit' && i === 0}
                taken={isTaken(dish.choice, fish)}
                sharesReady={sharesReady}
                onToggle={toggle}
                onTake={take}
                onLetGo={letGo}
                dishBrief={dish.brief}
                onBrief={onBrief}
                nearest={!seeks && order === 'fit' && i === 0 ? nearest : null}
              />
            ))}
          </Box>
          {!seeks && able > SHOWN_AT_FIRST && (
            <Button onClick={() => onAll(!all)} sx={{ m: 1 }}>
              {all ? 'Show the best eight' : `Show all ${able}`}
            </Button>
          )}
        </>
      )}
      {narrow && <MoreOf dishId={dish.id} compareTo={compareTo} />}
      {lineUp.houseLeaning && <LeaningNotice leaning={lineUp.houseLeaning} leader={leader?.common} />}
      {ranked.length > 1 && <DrawsNotice dish={dish} draws={lineUp.draws} {...study} />}
      <LeftOut
        key={seeks ? 'sought' : 'all'}
        shown={seeks}
        leftOut={seeks ? outSought : leftOut}
        brief={dish.brief}
        onOpen={(changed) => dish.edit({ brief: changed })}
      />
      {lineUp.leftOutOfScoring.length > 0 && (
        <Typography variant="body2" color="text.secondary" sx={{ p: 1 }}>
          Not scored, because nothing is known: {lineUp.leftOutOfScoring.map((key) => ASK_LABEL[key].toLowerCase()).join(', ')}.
        </Typography>
      )}
    </Paper>
  )
})
