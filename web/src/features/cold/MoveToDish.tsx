import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { Kitchen, ServingRecord } from '@tender-gill/contract'
import { useServingsQuery } from '../../api/api.ts'
import { nameQuestion, useAnswer, useSheet } from '../../engine/index.ts'
import { Waiting } from '../../parts/Waiting.tsx'
import { describeDay } from '../../reader/index.ts'
import { INK } from '../../theme.ts'
import type { StandingLot } from './layLots.ts'
import type { useLotNotes } from './useLotNotes.ts'

const MOST = 12
const NONE: readonly ServingRecord[] = []

interface Props {
  readonly standing: StandingLot
  readonly common: string
  readonly kitchen: Kitchen
  readonly onNote: ReturnType<typeof useLotNotes>
  readonly onDone: () => void
}

/** Dishes to come, and whether the lot suits each: the engine says, the cook moves it. */
export function MoveToDish({ standing, common, kitchen, onNote, onDone }: Props) {
  const { data: records = NONE } = useServingsQuery()
  const { lot } = standing
  const coming = records
    .filter(({ id, brief: { date } }) => !lot.servings.includes(id) && (date === undefined || date >= kitchen.today))
    .sort((a, b) => ((a.brief.date ?? '9') < (b.brief.date ?? '9') ? -1 : 1))
    .slice(0, MOST)
  const suits = useAnswer(useSheet(), nameQuestion({ lot, ids: coming.map(({ id, revision }) => [id, revision]) }), (desk) =>
    desk.suits(
      lot,
      coming.map(({ brief }) => brief),
    ),
  )?.value
  if (!suits) return <Waiting what="which dishes it suits" />
  const ranked = coming.map((record, i) => ({ record, suit: suits[i] })).sort((a, b) => (b.suit?.fit ?? -1) - (a.suit?.fit ?? -1))
  return (
    <Box component="ul" aria-label={`Dishes for ${common}`} sx={{ listStyle: 'none', m: 0, mt: 1, p: 0 }}>
      {ranked.map(({ record: { id, brief }, suit }) => (
        <Box
          key={id}
          component="li"
          sx={{ display: 'flex', gap: 1, alignItems: 'center', borderTop: `1px solid ${INK.hairline}`, py: 0.75 }}
        >
          <Box sx={{ flex: 1 }}>
            <b>{brief.dish}</b>
            {brief.date ? `, ${describeDay(brief.date)}` : ', on no day yet'}
            <Typography variant="body2" color={suit?.fit === null ? 'error' : 'text.secondary'}>
              {!suit || suit.fit === null
                ? (suit?.gates[0] ?? 'It cannot be cut for this dish.')
                : `Fit ${Math.round(suit.fit)} of 100; feeds ${suit.feeds} of ${Math.ceil(suit.portions)}.`}
            </Typography>
          </Box>
          <Button
            variant={suit?.fit === null ? 'text' : 'outlined'}
            disabled={!suit || suit.fit === null}
            sx={{ minHeight: 44 }}
            onClick={() => {
              onNote(standing, { servings: [id] }, { done: `${common} is for ${brief.dish} now.`, undone: `${common}: as it was before.` })
              onDone()
            }}
          >
            For this
          </Button>
        </Box>
      ))}
    </Box>
  )
}
