import { memo, useId } from 'react'
import { INK } from '../theme.ts'
import { PRINT_BOX, drawFleshPrint, type FleshPrintSource } from './fleshPrint.ts'

const WIDTH = { small: 64, medium: 112, large: 224 } as const

interface Props {
  readonly offer: FleshPrintSource
  readonly name: string
  readonly size?: keyof typeof WIDTH
}

/** The flesh print of one offer, at one of three sizes. */
export const FleshPrint = memo(
  function FleshPrint({ offer, name, size = 'small' }: Props) {
    const clip = useId()
    const { outline, edgeWidth, arcs, arcWidth, grain, grainWidth, flecks, cracks, crackWidth, ticks, fallsApart, tint, line, words } =
      drawFleshPrint(offer)
    const text = `${name}: ${words}`
    return (
      <svg
        viewBox={`0 0 ${PRINT_BOX.width} ${PRINT_BOX.height}`}
        width={WIDTH[size]}
        role="img"
        aria-label={text}
        style={{ flexShrink: 0 }}
      >
        <title>{text}</title>
        <clipPath id={clip}>
          <path d={outline} />
        </clipPath>
        <g clipPath={`url(#${clip})`}>
          <path d={outline} fill={tint} />
          {grainWidth > 0 && <path d={grain} fill="none" stroke={line} strokeWidth={grainWidth} />}
          <path d={arcs} fill="none" stroke={line} strokeWidth={arcWidth} />
          {flecks.map(({ x, y, turn }, i) => (
            <ellipse
              key={i}
              cx={x}
              cy={y}
              rx={5}
              ry={2.3}
              fill="#FFFFFF"
              stroke={line}
              strokeWidth={0.9}
              transform={`rotate(${turn} ${x} ${y})`}
            />
          ))}
          {crackWidth > 0 && <path d={cracks} fill="none" stroke={INK.squid} strokeWidth={crackWidth} strokeLinejoin="round" />}
          <path d={ticks} fill="none" stroke={INK.squid} strokeWidth={2} strokeLinecap="round" />
          <path d={outline} fill="none" stroke={INK.squid} strokeWidth={2 * edgeWidth} strokeDasharray={fallsApart ? '7 6' : undefined} />
        </g>
        <path d={outline} fill="none" stroke={INK.squid} strokeWidth={0.8} />
      </svg>
    )
  },
  (a, b) => a.offer.id === b.offer.id && a.size === b.size && a.name === b.name,
)
