import { HEADING, INK } from '../theme.ts'

/** One thing on the line of a day. */
export interface DayMark {
  /** As 21:00. */
  readonly time: string
  readonly label: string
}
interface Props {
  /** As 10:02; null where the hour means nothing. */
  readonly now: string | null
  readonly marks: readonly DayMark[]
}

const WIDTH = 820
const HEIGHT = 96
const FROM = 5
const TO = 24
const hours = (time: string): number => Number(time.slice(0, 2)) + Number(time.slice(3, 5)) / 60
const xOf = (at: number): number => 16 + ((Math.min(TO, Math.max(FROM, at)) - FROM) / (TO - FROM)) * (WIDTH - 32)
/** Two high waters a day. */
const yOf = (at: number): number => 48 - 13 * Math.sin(((at - FROM) / 12.4) * 2 * Math.PI)
const TICKS = [6, 9, 12, 15, 18, 21, 24]

/** The day as a tide: now, and the hours by which orders must be in. All of it is said in words beside it. */
export function DayLine({ now, marks }: Props) {
  const path = Array.from({ length: 96 }, (_, i) => FROM + ((TO - FROM) * i) / 95)
    .map((at, i) => `${i === 0 ? 'M' : 'L'}${xOf(at).toFixed(1)} ${yOf(at).toFixed(1)}`)
    .join('')
  const told = marks.map(({ time, label }) => `${time} ${label}`)
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      role="img"
      aria-label={`The day: ${[...(now ? [`now ${now}`] : []), ...told].join(', ')}`}
      style={{ width: '100%', maxHeight: HEIGHT * 1.3, display: 'block' }}
    >
      <path d={path} fill="none" stroke={INK.tide} strokeWidth={2} />
      {TICKS.map((tick) => (
        <text key={tick} x={xOf(tick)} y={HEIGHT - 3} fontSize={12} textAnchor="middle" fill={INK.slate}>
          {String(tick).padStart(2, '0')}
        </text>
      ))}
      {now && hours(now) >= FROM && (
        <g>
          <line x1={xOf(hours(now))} x2={xOf(hours(now))} y1={6} y2={76} stroke={INK.roe} strokeWidth={4} />
          <text
            x={xOf(hours(now)) + (hours(now) > 20 ? -8 : 8)}
            y={14}
            fontSize={13}
            fontWeight={700}
            textAnchor={hours(now) > 20 ? 'end' : 'start'}
            fill={INK.squid}
          >
            now, {now}
          </text>
        </g>
      )}
      {marks.map(({ time, label }, i) => {
        const [x, y] = [xOf(hours(time)), yOf(hours(time))]
        const late = x > WIDTH * 0.62
        return (
          <g key={time + label}>
            <circle cx={x} cy={y} r={7} fill={INK.ice} stroke={INK.squid} strokeWidth={2} />
            <text
              x={late ? x - 12 : x + 12}
              y={i % 2 === 0 ? y - 12 : y + 24}
              fontSize={13}
              fontFamily={HEADING}
              fontWeight={700}
              textAnchor={late ? 'end' : 'start'}
              fill={INK.squid}
            >
              {time} {label}
            </text>
          </g>
        )
      })}
    </svg>
  )
}
