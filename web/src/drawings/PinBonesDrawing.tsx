import type { PinBones } from '@tender-gill/core'
import { INK } from '../theme.ts'

const WIDTH = 300
const HEIGHT = 86

/** A side of fish from above, head end on the left, with its pin bones where they run and how they slant. */
export function PinBonesDrawing({ fewest, most, from, to, angleDeg }: PinBones) {
  const count = Math.min(24, Math.round((fewest + most) / 2))
  const slant = (angleDeg * Math.PI) / 180
  const long = 17
  const line = (x: number) => 43 - 6 * Math.sin((x / WIDTH) * Math.PI)
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      style={{ maxWidth: WIDTH }}
      role="img"
      aria-label={`${fewest} to ${most} pin bones, slanting at about ${angleDeg} degrees, in the first ${Math.round(to * 100)} % of the side`}
    >
      <path d="M6 30 Q40 4 130 8 Q230 14 292 40 Q230 74 120 78 Q40 80 6 58 Z" fill="#F3E9E2" stroke={INK.squid} strokeWidth={2} />
      <path d={`M8 ${line(0)} Q150 30 290 41`} fill="none" stroke={INK.hairline} strokeWidth={2} />
      {Array.from({ length: count }, (_, i) => {
        const x = 10 + (WIDTH - 20) * (from + ((to - from) * (i + 0.5)) / count)
        const y = line(x)
        // Their tips point up and towards the head end.
        return (
          <path
            key={i}
            d={`M${x} ${y} l${-long * Math.cos(slant)} ${-long * Math.sin(slant)}`}
            stroke={INK.dulse}
            strokeWidth={2}
            strokeLinecap="round"
          />
        )
      })}
      <path d="M44 66 h-22 m7 -5 l-7 5 l7 5" fill="none" stroke={INK.slate} strokeWidth={2} />
      <text x={50} y={70} fontSize={12} fill={INK.slate}>
        draw towards the head
      </text>
    </svg>
  )
}
