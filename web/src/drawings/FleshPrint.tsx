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
    const { outline, grain, grainWidth, flecks, ticks, fallsApart, tint, line, words } = drawFleshPrint(offer)
    const text = `${name}: ${words}`
    return (
      <svg viewBox={`0 0 ${PRINT_BOX.width} ${PRINT_BOX.height}`} width={WIDTH[size]} role="img" aria-label={text}>
        <title>{text}</title>
        <clipPath id={clip}>
          <path d={outline} />
        </clipPath>
        <g clipPath={`url(#${clip})`}>
          <path d={outline} fill={tint} />
          <path d={grain} fill="none" stroke={line} strokeWidth={grainWidth} />
          <path d="M4 30 H116" stroke={line} strokeWidth={0.8} />
          {flecks.map(({ x, y, turn }, i) => (
            <ellipse key={i} cx={x} cy={y} rx={2.6} ry={1} fill="#FFFFFF" transform={`rotate(${turn} ${x} ${y})`} />
          ))}
          <path d={ticks} fill="none" stroke={INK.squid} strokeWidth={1.8} strokeLinecap="round" />
        </g>
        <path d={outline} fill="none" stroke={INK.squid} strokeWidth={1.6} strokeDasharray={fallsApart ? '5 4' : undefined} />
      </svg>
    )
  },
  (a, b) => a.offer.id === b.offer.id && a.size === b.size && a.name === b.name,
)
