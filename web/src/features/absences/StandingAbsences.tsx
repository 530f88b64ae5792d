import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { Absence, AbsenceUndo } from '@tender-gill/contract'
import { describeDay } from '../../reader/index.ts'
import { useState } from 'react'
import { useAbsencesQuery, useEndAbsenceMutation, useKitchenQuery, useUndoAbsenceMutation } from '../../api/api.ts'
import { INK } from '../../theme.ts'
import { joinWords } from '../../parts/dishWords.ts'

const countDishes = (n: number) => `${n} ${n === 1 ? 'dish' : 'dishes'}`

function describeUndo({ absence, putBack, left }: AbsenceUndo): string {
  const back = putBack.length > 0 ? ` ${joinWords(putBack)} ${putBack.length === 1 ? 'has' : 'have'} it back.` : ''
  const kept =
    left.length > 0
      ? ` ${joinWords(left)} ${left.length === 1 ? 'was' : 'were'} changed since and ${left.length === 1 ? 'stays' : 'stay'} as ${left.length === 1 ? 'it is' : 'they are'}.`
      : ''
  return `${absence.common} is there again.${back}${kept}`
}

interface LineProps {
  readonly absence: Absence
  readonly over: boolean
  readonly onUndo: () => void
  readonly onEnd: () => void
}

function AbsenceLine({ absence, over, onUndo, onEnd }: LineProps) {
  const { common, from, to, moves } = absence
  const days = from === to ? describeDay(from) : `${describeDay(from)} to ${describeDay(to)}`
  return (
    <Box component="li" sx={{ borderLeft: `5px solid ${INK.roe}`, pl: 1.5, py: 0.5, my: 1 }}>
      <Typography component="h3" variant="h3">
        {over ? `${common} was missing` : `Without ${common}`}
      </Typography>
      <Typography variant="body2">
        {days}.{' '}
        {moves.length > 0
          ? `${moves.map(({ dish, common: now }) => `${dish} takes ${now}`).join('; ')}.`
          : 'No dish took it; no line-up offers it.'}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 1 }}>
        <Button size="small" onClick={onUndo}>
          {moves.length > 0 ? `Take it back, with ${countDishes(moves.length)}` : 'Take it back'}
        </Button>
        {moves.length > 0 && (
          <Button size="small" onClick={onEnd}>
            {over ? 'Leave the dishes as they are' : 'It is there again; leave the dishes'}
          </Button>
        )}
      </Box>
    </Box>
  )
}

/** Fish the kitchen does without, and the way back: one press for the fish and every dish it moved. Nothing where there is none. */
export function StandingAbsences() {
  const { data: absences = [] } = useAbsencesQuery()
  const { data: kitchen } = useKitchenQuery()
  const [undo] = useUndoAbsenceMutation()
  const [end] = useEndAbsenceMutation()
  const [said, setSaid] = useState<string | null>(null)
  const today = kitchen?.today ?? ''
  const takeBack = async (id: string) => {
    const { data } = await undo(id)
    setSaid(data ? describeUndo(data) : null)
  }
  const leave = async (id: string) => {
    const { data } = await end(id)
    setSaid(data ? `${data.common} is there again. No dish was changed.` : null)
  }
  return (
    <>
      <div role="status">{said && <Typography sx={{ borderLeft: `5px solid ${INK.kelp}`, pl: 1.5, my: 1 }}>{said}</Typography>}</div>
      {absences.length > 0 && (
        <Box component="ul" aria-label="Fish the kitchen does without" sx={{ listStyle: 'none', p: 0, m: 0 }}>
          {absences.map((absence) => (
            <AbsenceLine
              key={absence.id}
              absence={absence}
              over={absence.to < today}
              onUndo={() => void takeBack(absence.id)}
              onEnd={() => void leave(absence.id)}
            />
          ))}
        </Box>
      )}
    </>
  )
}
