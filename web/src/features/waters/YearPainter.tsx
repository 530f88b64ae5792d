import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Season } from '@tender-gill/contract'
import { nameMonth } from '../../reader/index.ts'
import { useLayoutEffect, useRef, type KeyboardEvent, type PointerEvent } from 'react'
import { INK } from '../../theme.ts'
import { MOST, curveOf, setMonth, setStroke, type StrokePoint, type Curve } from './yearEdit.ts'

const HIGH = 120
const LETTERS = 'JFMAMJJASOND'
const STEPS: Readonly<Record<string, number>> = { ArrowUp: 1, ArrowDown: -1, PageUp: 3, PageDown: -3 }

interface Props {
  readonly season: Season
  readonly curve: Curve
  readonly label: string
  /** This month, 0..11. */
  readonly now: number
  readonly onChange: (season: Season) => void
}

/** Twelve months to paint: drag across them, or walk with left and right and raise with up and down. */
export function YearPainter({ season, curve, label, now, onChange }: Props) {
  const board = useRef<HTMLDivElement>(null)
  // A stroke starts from what it painted last, not from what was last rendered.
  const latest = useRef(season)
  useLayoutEffect(() => {
    latest.current = season
  }, [season])
  const stroke = useRef<StrokePoint | null>(null)
  const values = curveOf(season, curve)
  const paint = (event: PointerEvent) => {
    const box = board.current?.getBoundingClientRect()
    if (!box || box.width === 0) return
    const month = Math.min(11, Math.max(0, Math.floor((12 * (event.clientX - box.left)) / box.width)))
    const point = { month, value: MOST[curve] * (1 - (event.clientY - box.top) / box.height) }
    const next = setStroke(latest.current, curve, event.type === 'pointermove' ? (stroke.current ?? point) : point, point)
    stroke.current = point
    latest.current = next
    onChange(next)
  }
  const press = (event: KeyboardEvent, month: number) => {
    const value = values[month] ?? 0
    const to =
      event.key === 'Home'
        ? 0
        : event.key === 'End'
          ? MOST[curve]
          : STEPS[event.key] === undefined
            ? undefined
            : value + (STEPS[event.key] ?? 0)
    if (to !== undefined) onChange(setMonth(season, curve, month, to))
    const step = event.key === 'ArrowRight' ? 1 : event.key === 'ArrowLeft' ? -1 : 0
    if (step !== 0) (board.current?.children[(month + step + 12) % 12] as HTMLElement | undefined)?.focus()
    if (to !== undefined || step !== 0) event.preventDefault()
  }
  return (
    <Box sx={{ my: 1.5 }}>
      <Typography component="h3" variant="h3">
        {label}
      </Typography>
      <Box
        ref={board}
        role="group"
        aria-label={label}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture?.(event.pointerId)
          paint(event)
        }}
        onPointerMove={(event) => event.buttons > 0 && paint(event)}
        sx={{
          display: 'grid',
          gridTemplateColumns: 'repeat(12, 1fr)',
          height: HIGH,
          border: `1px solid ${INK.slate}`,
          bgcolor: INK.ice,
          touchAction: 'none',
          cursor: 'crosshair',
          mt: 0.5,
        }}
      >
        {values.map((value, month) => (
          <Box
            key={month}
            role="slider"
            tabIndex={month === now ? 0 : -1}
            aria-label={nameMonth(month + 1)}
            aria-valuemin={0}
            aria-valuemax={MOST[curve]}
            aria-valuenow={Math.round(value)}
            aria-valuetext={`${Math.round(value)} of ${MOST[curve]}`}
            aria-orientation="vertical"
            onKeyDown={(event) => press(event, month)}
            sx={{ position: 'relative', borderLeft: month === 0 ? 'none' : `1px solid ${INK.hairline}` }}
          >
            <Box
              sx={{
                position: 'absolute',
                left: 2,
                right: 2,
                bottom: 0,
                height: `${(100 * Math.min(MOST[curve], value)) / MOST[curve]}%`,
                bgcolor: curve === 'landings' ? INK.tide : INK.brine,
                borderTop: `3px solid ${INK.squid}`,
              }}
            />
          </Box>
        ))}
      </Box>
      <Box aria-hidden sx={{ display: 'grid', gridTemplateColumns: 'repeat(12, 1fr)', textAlign: 'center', fontSize: 13 }}>
        {[...LETTERS].map((letter, month) => (
          <Box key={month} sx={{ fontWeight: month === now ? 700 : 400, borderBottom: month === now ? `4px solid ${INK.roe}` : 'none' }}>
            {letter}
          </Box>
        ))}
      </Box>
    </Box>
  )
}
