import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ButtonBase from '@mui/material/ButtonBase'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import { scoreAnswer } from '@tender-gill/core'
import { useEffect, useRef, useState } from 'react'
import { FleshPrint } from '../../drawings/FleshPrint.tsx'
import { SignDrawing } from '../../drawings/SignDrawing.tsx'
import { useAnswer, useSheet } from '../../engine/index.ts'
import { HouseBookRooms } from '../../parts/HouseBookRooms.tsx'
import { Waiting } from '../../parts/Waiting.tsx'
import { HEADING, INK } from '../../theme.ts'
import { sayChoice, sayQuestion, sayReason, saySign } from './practiceWords.ts'
import { useProgress } from './useProgress.ts'

/** Rounds of practice on made-up counters and dishes, scored against the engine, with the reason at once. It keeps nothing in the kitchen. */
export default function PracticePage() {
  const { seed, progress, keep } = useProgress()
  const [picked, setPicked] = useState<string | null>(null)
  const asked = useAnswer(useSheet(), `${seed}|${progress.round}`, (desk) => desk.round(progress, seed))
  const next = useRef<HTMLButtonElement>(null)
  useEffect(() => {
    if (picked !== null) next.current?.focus()
  }, [picked])
  const round = asked?.key === `${seed}|${progress.round}` ? asked.value : undefined
  if (round === undefined) return <Waiting what="the next question" />
  if (round === null)
    return (
      <>
        <HouseBookRooms here="/practice" />
        <Typography>There is too little fish in the book to practise on.</Typography>
      </>
    )
  const right = round.choices.find((one) => one.right)?.key
  const done = picked !== null
  return (
    <Box sx={{ maxWidth: 760 }}>
      <HouseBookRooms here="/practice" />
      <Typography role="status" aria-label="How it goes" color="text.secondary" gutterBottom>
        {progress.round === 0
          ? 'Made-up counters and dishes; nothing of it touches this house’s data. What is missed comes back.'
          : `${progress.right} of ${progress.round} right. What is missed comes back.`}
      </Typography>
      <Paper component="section" aria-label="The question" sx={{ p: { xs: 1.5, md: 2.5 }, display: 'grid', gap: 1.5 }}>
        <Typography variant="h2" sx={{ fontSize: { xs: 22, md: 26 } }}>
          {sayQuestion(round)}
        </Typography>
        {round.kind === 'name' && <FleshPrint offer={round.offer} name="Somebody’s flesh" size="large" />}
        {round.kind === 'freshness' && (
          <Box
            component="ul"
            sx={{ listStyle: 'none', m: 0, p: 0, display: 'grid', gap: 1, gridTemplateColumns: { xs: '1fr 1fr', md: 'repeat(4, 1fr)' } }}
          >
            {round.signs.map((sign) => (
              <Box component="li" key={sign.sign} sx={{ border: `1px solid ${INK.hairline}`, p: 1, fontSize: 14 }}>
                <SignDrawing sign={sign.sign} level={sign.level} />
                {saySign(sign, round.answer.table)}
              </Box>
            ))}
          </Box>
        )}
        <Box role="group" aria-label="Choices" sx={{ display: 'grid', gap: 1, gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' } }}>
          {round.choices.map(({ key }) => {
            const mark = !done ? undefined : key === right ? 'right' : key === picked ? 'wrong' : undefined
            return (
              <ButtonBase
                key={key}
                disabled={done}
                aria-pressed={picked === key}
                onClick={() => setPicked(key)}
                sx={{
                  ...{ minHeight: 60, p: 1, borderRadius: 1, fontFamily: HEADING, fontWeight: 700, fontSize: 18, color: INK.squid },
                  border: `2px solid ${mark === 'right' ? INK.kelp : mark === 'wrong' ? INK.dulse : INK.squid}`,
                  bgcolor: mark === 'right' ? INK.brine : INK.ice,
                  opacity: done && mark === undefined ? 0.55 : 1,
                }}
              >
                {sayChoice(round, key)}
                {mark === 'right' ? ' ✓' : mark === 'wrong' ? ' ✗' : ''}
              </ButtonBase>
            )
          })}
        </Box>
        {done && (
          <Box role="status" aria-label="The reason">
            <Typography sx={{ fontWeight: 700, fontSize: 18 }}>
              {picked === right ? 'Right.' : `No: ${right === undefined ? '' : sayChoice(round, right)}.`}
            </Typography>
            {sayReason(round).map((line) => (
              <Typography key={line}>{line}</Typography>
            ))}
            <Button
              ref={next}
              variant="contained"
              onClick={() => {
                keep(scoreAnswer(progress, round.card, picked === right))
                setPicked(null)
              }}
              sx={{ mt: 1, minHeight: 48 }}
            >
              The next one
            </Button>
          </Box>
        )}
      </Paper>
    </Box>
  )
}
