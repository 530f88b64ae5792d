import Box from '@mui/material/Box'
import type { KeptStretch } from '@tender-gill/core'
import { formatTemperature } from '../reader/index.ts'
import { INK } from '../theme.ts'

interface Props {
  /** How it was kept, stretch by stretch. */
  readonly history: readonly KeptStretch[]
  /** ms since 1970 */
  readonly nowMs: number
  /** Until when it lasts; null where the clock stands. */
  readonly lastsMs: { readonly low: number; readonly typical: number; readonly high: number } | null
  /** When it is eaten. */
  readonly eatenMs: readonly number[]
  /** The same in words. */
  readonly words: string
}

const WIDTH = 300
const TOP = 6
/** From 0 to 20 °C over the height of the curve. */
const HIGH = 38
const MOST_C = 16
const BAR_Y = 52
const y = (celsius: number): number => TOP + HIGH * (1 - Math.max(0, Math.min(MOST_C, celsius)) / MOST_C)
const DASHES = { ice: '', reading: '', said: '', usual: '4 3', unknown: '1 4' } as const

/** What is left of a fish's time: above, how warm it was kept; below, its time from when it was bought until it is up. */
export function IceClock({ history, nowMs, lastsMs, eatenMs, words }: Props) {
  const from = history[0]?.fromMs ?? nowMs
  const most = Math.max(lastsMs?.high ?? nowMs, ...eatenMs, nowMs + 3_600_000)
  const last = most + 0.03 * (most - from)
  const x = (ms: number): number => (WIDTH * (Math.max(from, Math.min(last, ms)) - from)) / Math.max(1, last - from)
  return (
    <Box role="img" aria-label={words} sx={{ width: '100%', position: 'relative' }}>
      <Box aria-hidden sx={{ position: 'absolute', right: 2, top: 22, fontSize: 12, color: 'text.secondary' }}>
        {formatTemperature(5)}
      </Box>
      <svg viewBox={`0 -2 ${WIDTH} 74`} width="100%" height={96} preserveAspectRatio="none" aria-hidden>
        <rect x={0} y={y(5)} width={WIDTH} height={y(0) - y(5)} fill={INK.brine} opacity={0.45} />
        {history.map(({ fromMs, toMs, celsius, basis }, i) => {
          const at = celsius ?? MOST_C
          const next = history[i + 1]
          return (
            <g key={fromMs} fill="none" stroke={at > 5 ? INK.brass : INK.tide} strokeWidth={2.2}>
              <path d={`M${x(fromMs)} ${y(at)} H${x(toMs)}`} strokeDasharray={DASHES[basis]} vectorEffect="non-scaling-stroke" />
              {next && <path d={`M${x(toMs)} ${y(at)} V${y(next.celsius ?? MOST_C)}`} vectorEffect="non-scaling-stroke" strokeWidth={1} />}
            </g>
          )
        })}
        <rect
          x={0}
          y={BAR_Y}
          width={x(lastsMs?.typical ?? last)}
          height={10}
          fill={INK.ice}
          stroke={INK.kelp}
          vectorEffect="non-scaling-stroke"
        />
        <rect x={0} y={BAR_Y} width={x(nowMs)} height={10} fill={INK.slate} opacity={0.55} />
        {lastsMs && (
          <>
            <rect
              x={x(lastsMs.low)}
              y={BAR_Y + 1}
              width={Math.max(0, x(lastsMs.high) - x(lastsMs.low))}
              height={8}
              fill={INK.tide}
              opacity={0.45}
            />
            <path
              d={`M${x(lastsMs.typical)} ${BAR_Y - 4} V${BAR_Y + 14}`}
              stroke={INK.squid}
              strokeWidth={2.5}
              vectorEffect="non-scaling-stroke"
            />
          </>
        )}
        {eatenMs.map((ms) => (
          <path
            key={ms}
            d={`M${x(ms)} ${BAR_Y + 11} l-4 8 h8 z`}
            fill={INK.roe}
            stroke={INK.squid}
            strokeWidth={1}
            vectorEffect="non-scaling-stroke"
          />
        ))}
        <path d={`M${x(nowMs)} ${TOP - 6} V${BAR_Y + 12}`} stroke={INK.roe} strokeWidth={3} vectorEffect="non-scaling-stroke" />
      </svg>
    </Box>
  )
}
