import Box from '@mui/material/Box'
import ButtonBase from '@mui/material/ButtonBase'
import type { FleshKey, Range } from '@tender-gill/contract'
import { AXES, fromAxis, toAxis } from '@tender-gill/core'
import { placeOnAxis } from '../../drawings/axisDomain.ts'
import { sayNote } from '../../parts/entryWords.ts'
import { ASK_LABEL, describeStep } from '../../reader/index.ts'
import { HEADING, INK } from '../../theme.ts'

const NOTES = [-2, -1, 0, 1, 2] as const
/** A step of a note is a third of the trait's shoulder, as the engine reads it. */
const STEP_SHARE = 1 / 3
const WIDTH = 300
const HEIGHT = 24
const MIDDLE = 12

interface Props {
  readonly trait: FleshKey
  /** What the book says. */
  readonly book: Range | undefined
  readonly note: number | undefined
  readonly onNote: (note: number | undefined) => void
}

/** The strip of a trait as everywhere, the book's range on it, and five taps against it; the dot goes where the tap puts it. */
export function NoteStrip({ trait, book, note, onNote }: Props) {
  const at = (x: number) => 5 + placeOnAxis(trait, x) * (WIDTH - 10)
  const noted =
    book && note !== undefined
      ? fromAxis(trait, Math.max(0, toAxis(trait, book.typical) + note * AXES[trait].shoulder * STEP_SHARE))
      : undefined
  return (
    <Box>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1 }}>
        <Box component="h3" sx={{ fontFamily: HEADING, fontSize: 17, m: 0 }}>
          {ASK_LABEL[trait]}
        </Box>
        <Box component="span" sx={{ color: INK.slate, fontSize: 14 }}>
          {book ? `the book: ${describeStep(trait, book.typical)}` : 'nobody knows what the book says'}
        </Box>
      </Box>
      {book && (
        <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} width="100%" aria-hidden focusable="false">
          <path d={`M0 ${MIDDLE}H${WIDTH}M1 7V17M${WIDTH - 1} 7V17`} stroke={INK.slate} strokeWidth={1} fill="none" />
          <path d={`M${at(book.low)} ${MIDDLE}H${at(book.high)}`} stroke={INK.tide} strokeWidth={4} />
          <circle
            cx={at(book.typical)}
            cy={MIDDLE}
            r={4.6}
            fill={noted === undefined ? INK.squid : INK.ice}
            stroke={INK.squid}
            strokeWidth={1.4}
            strokeDasharray={noted === undefined ? undefined : '2 2'}
          />
          {noted !== undefined && <circle cx={at(noted)} cy={MIDDLE} r={6} fill={INK.roe} stroke={INK.squid} strokeWidth={1.4} />}
        </svg>
      )}
      <Box
        role="group"
        aria-label={`${ASK_LABEL[trait]} against the book`}
        sx={{ display: 'grid', gridTemplateColumns: 'repeat(5, minmax(0, 1fr))', gap: 0.5 }}
      >
        {NOTES.map((one) => (
          <ButtonBase
            key={one}
            aria-pressed={note === one}
            onClick={() => onNote(note === one ? undefined : one)}
            sx={{
              ...{
                minHeight: 48,
                overflowWrap: 'anywhere',
                p: 0.5,
                borderRadius: 1,
                fontFamily: 'inherit',
                fontSize: { xs: 13, md: 14 },
                lineHeight: 1.1,
                fontWeight: note === one ? 700 : 400,
              },
              border: `${note === one ? 2 : 1}px solid ${note === one ? INK.squid : INK.slate}`,
              bgcolor: note === one ? INK.brine : INK.ice,
            }}
          >
            {sayNote(trait, one)}
          </ButtonBase>
        ))}
      </Box>
    </Box>
  )
}
