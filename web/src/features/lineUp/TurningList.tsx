import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { Brief } from '@tender-gill/contract'
import type { TurningKind, TurningPoint, TurningPoints } from '@tender-gill/contract'
import { applyOpenings } from '@tender-gill/core'
import { nameQuestion, useAnswer, useSheet, type Answer } from '../../engine/index.ts'
import { useOnlyOffered } from '../../state/useOnlyOffered.ts'
import { INK } from '../../theme.ts'

const AFTER_MS = 400
const KIND_WORDS: Record<TurningKind, string> = {
  price: 'price',
  pull: 'how much one ask matters',
  edge: 'the end of one band',
  month: 'month',
  format: 'cut',
}

/** What would change the answer, asked a moment after the dish came to rest; null asks nothing. */
export function useTurning(brief: Brief | null, winner: string | null): Answer<TurningPoints | null> | undefined {
  const sheet = useSheet(brief?.date, { skip: brief === null })
  const [only] = useOnlyOffered()
  const key = sheet && brief ? `${sheet.name}|turn|${only}|${winner ?? ''}|${nameQuestion(brief)}` : null
  return useAnswer(
    sheet,
    key,
    async (desk) => {
      const answer = brief && (await desk.turningPoints(brief, winner, only))
      return answer?.ok ? answer.value : null
    },
    AFTER_MS,
  )
}

function TurnRow({
  point,
  brief,
  onApply,
}: {
  readonly point: TurningPoint
  readonly brief: Brief
  readonly onApply: (brief: Brief) => void
}) {
  return (
    <Box component="li" sx={{ display: 'flex', gap: 1, alignItems: 'center', borderTop: `1px solid ${INK.hairline}`, py: 0.25 }}>
      <Typography variant="body2" sx={{ flex: 1 }}>
        {point.sentence}
      </Typography>
      {point.opens.length > 0 && (
        <Button
          size="small"
          sx={{ minHeight: 28, flexShrink: 0 }}
          onClick={() => onApply(applyOpenings(brief, point.opens))}
          aria-label={`Try it: ${point.sentence}`}
        >
          Try it
        </Button>
      )}
    </Box>
  )
}

interface Props {
  readonly turning: TurningPoints
  readonly brief: Brief
  readonly title: string
  readonly onApply: (brief: Brief) => void
}

/** The smallest single changes that turn the answer, nearest first; what holds nothing within reach is said. */
export function TurningList({ turning, brief, title, onApply }: Props) {
  const { points, nothingInRange, notLookedAt } = turning
  const words = (kinds: readonly TurningKind[]) => kinds.map((kind) => KIND_WORDS[kind]).join(', ')
  return (
    <Box component="section" aria-label={title}>
      <Typography component="h4" sx={{ fontWeight: 700 }}>
        {title}
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {points.map((point) => (
          <TurnRow key={point.kind} point={point} brief={brief} onApply={onApply} />
        ))}
      </Box>
      {nothingInRange.length > 0 && (
        <Typography variant="body2" color="text.secondary">
          No single change does it by: {words(nothingInRange)}.
        </Typography>
      )}
      {notLookedAt.length > 0 && (
        <Typography variant="body2" color="text.secondary">
          Nothing is known of: {words(notLookedAt)}.
        </Typography>
      )}
    </Box>
  )
}
