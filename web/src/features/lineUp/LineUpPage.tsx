import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import type { Brief, LineUp } from '@tender-gill/contract'
import { useCallback, useMemo, useState } from 'react'
import { describeBriefChange } from '../../parts/briefChange.ts'
import { DishGate } from '../../parts/DishGate.tsx'
import { describeProblem } from '../../parts/dishWords.ts'
import { LINE_UP_GRID, Waiting } from '../../parts/Waiting.tsx'
import type { Dish } from '../../state/useDish.ts'
import { LadderPanel } from '../standIns/index.ts'
import { Board, SHOWN_AT_FIRST } from './Board.tsx'
import { Docket, type LiveBand } from './Docket.tsx'
import { withAsk } from './editAsks.ts'
import { describeMoved } from './moved.ts'
import { useLineUp } from './useLineUp.ts'

const NOBODY = () => undefined

function LineUpView({ dish }: { readonly dish: Dish }) {
  const [live, setLive] = useState<LiveBand | null>(null)
  const brief = live ? withAsk(dish.brief, live.key, { from: live.from, to: live.to }) : dish.brief
  const [all, setAll] = useState(false)
  const state = useLineUp(brief, { held: live !== null, rows: all ? Infinity : SHOWN_AT_FIRST })
  const onLive = useCallback((band: LiveBand | null) => setLive(band), [])
  // The docket and the ladder stand still while a band is held: only the rows move.
  const [rested, setRested] = useState<LineUp | null>(null)
  if (state.status === 'ready' && !live && state.lineUp !== rested) setRested(state.lineUp)
  // What a change did is told once its line-up is whole, beside the last that was.
  const [settled, setSettled] = useState<{ readonly brief: Brief; readonly lineUp: LineUp } | null>(null)
  const [moved, setMoved] = useState<string | null>(null)
  const tells = state.status === 'ready' && !live && (state.whole || (settled === null && state.sharesReady))
  if (tells && settled?.lineUp !== state.lineUp) {
    const told = settled && describeMoved(describeBriefChange(settled.brief, dish.brief), settled.lineUp, state.lineUp)
    if (told) setMoved(told)
    setSettled({ brief: dish.brief, lineUp: state.lineUp })
  }
  const { progress = null, left = false, leave = NOBODY } = state.status === 'ready' ? state : {}
  const study = useMemo(() => ({ progress, left, leave }), [progress, left, leave])
  if (state.status === 'waiting') return <Waiting what="the line-up" shape="line-up" />
  if (state.status === 'refused')
    return (
      <Alert severity="error">
        {state.problems.map((problem) => (
          <div key={problem.path + problem.message}>{describeProblem(problem)}</div>
        ))}
      </Alert>
    )
  return (
    <Box sx={LINE_UP_GRID}>
      <Docket dish={dish} brief={(rested ?? state.lineUp).brief} onLive={onLive} />
      <Board
        {...{ dish, study, all, moved }}
        lineUp={state.lineUp}
        able={state.able}
        sharesReady={state.sharesReady}
        current={state.current}
        whole={state.whole}
        onlyOffered={state.onlyOffered}
        offered={state.offered}
        unoffered={state.unoffered}
        onAll={setAll}
      />
      <Box sx={{ gridColumn: { md: '2', lg: '3' } }}>
        <LadderPanel dish={dish} leader={(rested ?? state.lineUp).ranked[0]} />
      </Box>
    </Box>
  )
}

export default function LineUpPage() {
  return <DishGate>{(dish) => <LineUpView key={dish.id} dish={dish} />}</DishGate>
}
