import type { Season } from '@tender-gill/contract'
import { describeDay, nameMonth } from '../reader/index.ts'
import { memo } from 'react'
import { INK } from '../theme.ts'

const PITCH = 9
const BAR = 6
const HIGH = 34
/** A day of any year, as people say it. @param monthDay `MM-DD` */
const dayOfYear = (monthDay: string): string => describeDay(`2024-${monthDay}`)
const MONTHS = Array.from({ length: 12 }, (_, i) => i + 1)
const MOST_CONDITION = 10

/** Landings of each month as a share of the best, 0..1. */
export const shareOfBest = (landings: readonly number[]): readonly number[] => {
  const best = Math.max(...landings)
  return landings.map((value) => (best > 0 ? value / best : 0))
}

/** What the tide shows, in words. @param month 1..12 */
export function describeTide({ water, gear, landings, condition, closures = [], leastCm }: Season, month: number): string {
  const shares = shareOfBest(landings)
  const best = MONTHS.filter((one) => shares[one - 1] === 1).map(nameMonth)
  const flesh = condition ? `, flesh ${condition[month - 1] ?? 0} of 10` : ''
  const closed = closures.map(({ from, to }) => `; closed ${dayOfYear(from)} to ${dayOfYear(to)}`).join('')
  return `${water}${gear ? `, ${gear}` : ''}: most landed in ${best.join(', ')}; in ${nameMonth(month)} ${Math.round(100 * (shares[month - 1] ?? 0))} of 100${flesh}${closed}${leastCm === undefined ? '' : `; from ${leastCm} cm`}`
}

interface Props {
  readonly season: Season
  /** The month marked, 1..12. */
  readonly month: number
  readonly size?: number
}

/** Twelve bars of landings with the condition of the flesh as a line over them; this month marked. */
export const Tide = memo(function Tide({ season, month, size = 1 }: Props) {
  const text = describeTide(season, month)
  const shares = shareOfBest(season.landings)
  const x = (i: number) => i * PITCH + 1
  const line = season.condition?.map((value, i) => `${x(i) + BAR / 2},${HIGH - (value / MOST_CONDITION) * HIGH}`).join(' ')
  return (
    <svg
      viewBox={`0 -2 ${12 * PITCH + 1} ${HIGH + 10}`}
      width={(12 * PITCH + 1) * size}
      role="img"
      aria-label={text}
      style={{ display: 'block' }}
    >
      <title>{text}</title>
      {shares.map((share, i) => (
        <rect
          key={i}
          x={x(i)}
          y={HIGH - share * HIGH}
          width={BAR}
          height={Math.max(0.5, share * HIGH)}
          fill={INK.tide}
          fillOpacity={0.55}
        />
      ))}
      {line && <polyline points={line} fill="none" stroke={INK.squid} strokeWidth={1.5} />}
      <line x1={0} x2={12 * PITCH} y1={HIGH} y2={HIGH} stroke={INK.slate} strokeWidth={0.8} />
      <path d={`M${x(month - 1) + BAR / 2} ${HIGH + 1} l4 6 h-8 Z`} fill={INK.roe} stroke={INK.squid} strokeWidth={0.8} />
    </svg>
  )
})
