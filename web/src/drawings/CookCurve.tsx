import Box from '@mui/material/Box'
import type { CookMoment, Range } from '@tender-gill/contract'
import type { KeyboardEvent, PointerEvent } from 'react'
import { HEADING, INK } from '../theme.ts'

/** A bar of the time line. */
export interface CurveStage {
  readonly label: string
  readonly fromMinutes: number
  readonly toMinutes: number
  readonly rest: boolean
}
interface Props {
  readonly moments: readonly CookMoment[]
  readonly stages: readonly CurveStage[]
  readonly out: Range
  readonly targetC: number
  readonly narrow: boolean
  /** Minute that is looked at. */
  readonly minute: number
  readonly onLook: (minute: number) => void
  /** The end of a stage in the heat was dragged to a minute. */
  readonly onEnd: (stage: number, minutes: number) => void
  readonly writeC: (celsius: number) => string
  readonly writeMinutes: (minutes: number) => string
}

/** Across a desk, and across a phone, where nothing is to be dragged into sight. */
const SIZES = { wide: { WIDTH: 760, LEFT: 48, RIGHT: 74 }, narrow: { WIDTH: 380, LEFT: 36, RIGHT: 58 } } as const
const TOP = 22
const BOTTOM = 250
const BAR = 276
const HEIGHT = 326
const MOST_C = 108
/** Bands of doneness as they are commonly told, degrees C; they differ between species. */
const BANDS = [
  ['glassy', 40, 46],
  ['just set', 46, 52],
  ['moist', 52, 60],
  ['set', 60, 66],
] as const
const TICKS = [0, 20, 40, 60, 80, 100]

const stepOf = (most: number): number => [0.5, 1, 2, 5, 10, 15, 30, 60].find((step) => most / step <= 9) ?? 120
const yOf = (celsius: number): number => BOTTOM - ((BOTTOM - TOP) * Math.min(MOST_C, Math.max(0, celsius))) / MOST_C

/** The middle and the face of a piece over the minutes, with the stages under them that can be dragged. */
export function CookCurve({ moments, stages, out, targetC, narrow, minute, onLook, onEnd, writeC, writeMinutes }: Props) {
  const { WIDTH, LEFT, RIGHT } = SIZES[narrow ? 'narrow' : 'wide']
  const most = Math.max(moments.at(-1)?.minute ?? 1, out.high) * 1.02
  const xOf = (at: number) => LEFT + ((WIDTH - LEFT - RIGHT) * Math.min(most, Math.max(0, at))) / most
  const minuteAt = (event: PointerEvent<SVGGElement>): number => {
    const box = event.currentTarget.ownerSVGElement?.getBoundingClientRect()
    if (!box) return 0
    const x = ((event.clientX - box.left) / box.width) * WIDTH
    return Math.min(most, Math.max(0, ((x - LEFT) / (WIDTH - LEFT - RIGHT)) * most))
  }
  const drag = (onMove: (at: number) => void) => ({
    onPointerDown: (event: PointerEvent<SVGGElement>) => {
      event.currentTarget.setPointerCapture(event.pointerId)
      onMove(minuteAt(event))
    },
    onPointerMove: (event: PointerEvent<SVGGElement>) => {
      if (event.currentTarget.hasPointerCapture(event.pointerId)) onMove(minuteAt(event))
    },
  })
  const step = stepOf(narrow ? most * 1.6 : most)
  const keys = (value: number, onMove: (at: number) => void) => (event: KeyboardEvent) => {
    const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key]
    if (by === undefined) return
    event.preventDefault()
    onMove(Math.min(most, Math.max(0, value + (by * step) / 4)))
  }
  const line = (of: 'coreC' | 'surfaceC') =>
    moments.map((moment) => `${xOf(moment.minute).toFixed(1)},${yOf(moment[of]).toFixed(1)}`).join(' ')
  const now = moments.reduce(
    (best, one) => (Math.abs(one.minute - minute) < Math.abs(best.minute - minute) ? one : best),
    moments[0] ?? { minute: 0, coreC: 0, surfaceC: 0, throughC: [] },
  )
  const ticks = Array.from({ length: Math.floor(most / step) + 1 }, (_, i) => i * step)
  const slider = (label: string, value: number) => ({
    ...{ role: 'slider', tabIndex: 0, 'aria-label': label, 'aria-valuemin': 0, 'aria-valuemax': Math.round(most * 10) / 10 },
    ...{ 'aria-valuenow': Math.round(value * 10) / 10, 'aria-valuetext': writeMinutes(value) },
  })
  return (
    <Box
      component="svg"
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      sx={{ width: '100%', touchAction: 'pan-y', userSelect: 'none', fontFamily: 'inherit', fontSize: 13, display: 'block' }}
    >
      <title>The middle and the face of the piece over the minutes</title>
      {BANDS.map(([name, from, to], i) => (
        <g key={name}>
          <rect x={LEFT} width={WIDTH - LEFT - RIGHT} y={yOf(to)} height={yOf(from) - yOf(to)} fill={INK.kelp} opacity={0.07 + 0.07 * i} />
          <text x={WIDTH - RIGHT + 6} y={(yOf(from) + yOf(to)) / 2 + 4} fill={INK.slate}>
            {name}
          </text>
        </g>
      ))}
      {TICKS.map((celsius) => (
        <g key={celsius}>
          <path d={`M${LEFT} ${yOf(celsius)} H${WIDTH - RIGHT}`} stroke={INK.hairline} />
          <text x={LEFT - 8} y={yOf(celsius) + 4} textAnchor="end" fill={INK.slate}>
            {writeC(celsius).replace(/ .*/, '°')}
          </text>
        </g>
      ))}
      {ticks.map((at) => (
        <text key={at} x={xOf(at)} y={BOTTOM + 16} textAnchor="middle" fill={INK.slate}>
          {at}
        </text>
      ))}
      <rect x={xOf(out.low)} width={xOf(out.high) - xOf(out.low)} y={TOP - 4} height={BOTTOM - TOP + 4} fill={INK.roe} opacity={0.16} />
      <path d={`M${xOf(out.typical)} ${TOP - 6} V${BOTTOM}`} stroke={INK.roe} strokeWidth={3} />
      <text x={xOf(out.typical)} y={TOP - 9} textAnchor="middle" fontFamily={HEADING} fontWeight={700} fill={INK.squid}>
        take it out
      </text>
      <path d={`M${LEFT} ${yOf(targetC)} H${WIDTH - RIGHT}`} stroke={INK.kelp} strokeDasharray="2 5" strokeWidth={1.5} />
      <polyline points={line('surfaceC')} fill="none" stroke={INK.tide} strokeWidth={2} strokeDasharray="5 4" />
      <polyline points={line('coreC')} fill="none" stroke={INK.squid} strokeWidth={4} strokeLinejoin="round" />
      <text x={xOf(moments[6]?.minute ?? 0) + 4} y={yOf(Math.min(94, moments[6]?.surfaceC ?? 0)) - 6} fill={INK.tide} fontWeight={700}>
        face
      </text>
      <text
        x={xOf(moments[Math.floor(moments.length / 4)]?.minute ?? 0)}
        y={yOf(moments[Math.floor(moments.length / 4)]?.coreC ?? 0) - 10}
        fontWeight={700}
      >
        middle
      </text>
      {stages.map((stage, i) => {
        const [x, end] = [xOf(stage.fromMinutes) + 1, xOf(stage.toMinutes) - 1]
        const wide = Math.max(2, end - x)
        const move = (at: number) => onEnd(i, Math.max(0, at - stage.fromMinutes))
        return (
          <g key={i}>
            <rect
              x={x}
              y={BAR}
              width={wide}
              height={34}
              rx={3}
              fill={stage.rest ? INK.slab : INK.ice}
              stroke={stage.rest ? INK.slate : INK.kelp}
              strokeWidth={2}
            />
            <foreignObject
              display={wide < (stage.rest ? 110 : 56) ? 'none' : undefined}
              x={x + 6}
              y={BAR + 3}
              width={Math.max(0, wide - 18)}
              height={30}
            >
              <Box
                sx={{
                  fontFamily: HEADING,
                  fontWeight: 650,
                  fontSize: 12.5,
                  lineHeight: 1.1,
                  overflow: 'hidden',
                  height: 30,
                  display: 'flex',
                  alignItems: 'center',
                }}
              >
                {stage.label}
              </Box>
            </foreignObject>
            {!stage.rest && (
              <Box
                component="g"
                {...slider(`${stage.label}: ends`, stage.toMinutes)}
                {...drag(move)}
                onKeyDown={keys(stage.toMinutes, move)}
                sx={{ cursor: 'ew-resize' }}
              >
                <rect x={end - 22} y={BAR - 6} width={34} height={46} fill="transparent" />
                <rect x={end - 9} y={BAR} width={9} height={34} fill={INK.kelp} />
              </Box>
            )}
          </g>
        )
      })}
      <Box
        component="g"
        {...slider('Minute that is looked at', minute)}
        {...drag(onLook)}
        onKeyDown={keys(minute, onLook)}
        sx={{ cursor: 'grab' }}
      >
        <path d={`M${xOf(minute)} ${TOP} V${BOTTOM}`} stroke={INK.squid} strokeWidth={1.5} />
        <circle cx={xOf(minute)} cy={yOf(now.coreC)} r={22} fill="transparent" />
        <circle cx={xOf(minute)} cy={yOf(now.coreC)} r={8} fill={INK.ice} stroke={INK.squid} strokeWidth={3} />
      </Box>
    </Box>
  )
}
