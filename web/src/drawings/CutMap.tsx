import Box from '@mui/material/Box'
import type { Body } from '@tender-gill/contract'
import { useId } from 'react'
import { HEADING, INK } from '../theme.ts'

/** One part of the map: what it is, whether it is of use, and its number in the list beside it. */
export interface MappedPart {
  readonly part: string
  readonly of: 'pan' | 'use' | 'none'
  readonly number: number | null
}

interface Shape {
  /** Half the height from the side and half the breadth from above, of a length of 300. */
  readonly side: number
  readonly above: number
  /** Where the head ends, the belly ends and the tail narrows, along the length. */
  readonly head: number
  readonly vent: number
}

/** Builds of fish, drawn in their proportions. A flat fish lies on its side: from above is where one sees its breadth. */
const SHAPES: Readonly<Record<Body, Shape>> = {
  round: { side: 38, above: 24, head: 72, vent: 178 },
  deep: { side: 56, above: 18, head: 66, vent: 168 },
  flat: { side: 12, above: 70, head: 56, vent: 96 },
  eel: { side: 17, above: 15, head: 48, vent: 150 },
}
const LENGTH = 300
const TAIL = 252

/** The outline of a body of a half height, its tail fin apart. */
const outline = (half: number, y: number): string =>
  `M4 ${y} C 30 ${y - half * 1.05}, 90 ${y - half * 1.3}, 150 ${y - half} S ${TAIL - 18} ${y - half * 0.22}, ${TAIL} ${y - half * 0.2} ` +
  `L ${TAIL} ${y + half * 0.2} C ${TAIL - 18} ${y + half * 0.22}, 200 ${y + half * 0.85}, 150 ${y + half} S 30 ${y + half * 1.05}, 4 ${y} Z`
const tailFin = (half: number, y: number): string =>
  `M${TAIL} ${y - half * 0.2} L ${LENGTH - 4} ${y - Math.max(14, half * 0.8)} L ${LENGTH - 16} ${y} L ${LENGTH - 4} ${y + Math.max(14, half * 0.8)} L ${TAIL} ${y + half * 0.2} Z`

interface ViewProps {
  readonly half: number
  readonly y: number
  readonly shape: Shape
  readonly from: 'side' | 'above'
  readonly partOf: (name: string) => MappedPart | undefined
  readonly clip: string
  readonly flat: boolean
}

const FILLS = { pan: INK.brine, use: INK.ice, none: INK.hairline } as const
const fillOf = (part: MappedPart | undefined): string => (part ? FILLS[part.of] : INK.ice)

/** Where the number of a part stands, as shares of length and half height. */
const NUMBERS: Readonly<Record<string, readonly [x: number, y: number]>> = {
  head: [34, -0.25],
  cheeks: [52, 0.32],
  collar: [82, -0.55],
  frame: [200, 0],
  belly: [138, 0.62],
  skin: [176, -0.72],
  'fins and scales': [282, 0],
  guts: [112, 0.3],
  liver: [96, 0.42],
  roe: [148, 0.28],
  trim: [226, 0.1],
}

function View({ half, y, shape, from, partOf, clip, flat }: ViewProps) {
  const { head, vent } = shape
  const collar = head + 20
  const backbone = `M${head} ${y} H ${TAIL}`
  const ribs = Array.from({ length: 14 }, (_, i) => head + 14 + i * ((TAIL - head - 20) / 14))
  const fromSide = from === 'side'
  return (
    <g>
      <clipPath id={clip}>
        <path d={outline(half, y)} />
      </clipPath>
      <path d={tailFin(half, y)} fill={fillOf(partOf('fins and scales'))} stroke={INK.squid} />
      <g clipPath={`url(#${clip})`}>
        <rect x={0} y={y - half * 1.5} width={LENGTH} height={half * 3} fill={fillOf(partOf('pan'))} />
        {fromSide && !flat && (
          <path
            d={`M${collar} ${y + half * 0.25} C ${collar + 30} ${y + half * 0.5}, ${vent - 20} ${y + half * 0.6}, ${vent} ${y + half * 1.1} L ${collar} ${y + half * 1.4} Z`}
            fill={fillOf(partOf('belly'))}
            stroke={INK.slate}
          />
        )}
        {partOf('guts') && fromSide && (
          <ellipse
            cx={(collar + vent) / 2 - 12}
            cy={y + half * 0.36}
            rx={(vent - collar) / 2.6}
            ry={half * 0.3}
            fill="none"
            stroke={INK.slate}
            strokeDasharray="4 3"
          />
        )}
        <rect x={head} y={y - half * 1.5} width={20} height={half * 3} fill={fillOf(partOf('collar'))} stroke={INK.slate} />
        <rect x={0} y={y - half * 1.5} width={head} height={half * 3} fill={fillOf(partOf('head'))} stroke={INK.slate} />
        <path d={backbone} stroke={INK.squid} strokeWidth={1.5} />
        {ribs.map((x) => (
          <path
            key={x}
            d={`M${x} ${y} l 7 ${-half * 0.3} M${x} ${y} l 7 ${half * 0.3}`}
            stroke={INK.slate}
            strokeWidth={0.75}
            fill="none"
          />
        ))}
      </g>
      {fromSide && partOf('cheeks') && (
        <circle cx={52} cy={y + half * 0.2} r={Math.min(8, half * 0.22)} fill={fillOf(partOf('cheeks'))} stroke={INK.slate} />
      )}
      <path d={outline(half, y)} fill="none" stroke={INK.squid} strokeWidth={1.75} />
      <circle cx={26} cy={y - half * 0.3} r={2.5} fill={INK.squid} />
    </g>
  )
}

interface Props {
  readonly body: Body
  readonly parts: readonly MappedPart[]
  /** What the drawing says, in words. */
  readonly label: string
}

/** Where each part of a fish sits, from the side and from above: tinted what goes into the pan, white what is of use, grey what is of none. */
export function CutMap({ body, parts, label }: Props) {
  const id = useId()
  const shape = SHAPES[body]
  const partOf = (name: string) => parts.find(({ part }) => part === name)
  const sideY = shape.side * 1.25 + 12
  const aboveY = sideY + shape.side * 1.25 + shape.above * 1.25 + 30
  const flat = body === 'flat'
  const numbersAt = flat ? { y: aboveY, half: shape.above } : { y: sideY, half: shape.side }
  const height = aboveY + shape.above * 1.3 + 6
  return (
    <Box
      component="svg"
      role="img"
      aria-label={label}
      viewBox={`0 0 ${LENGTH} ${height}`}
      sx={{ width: '100%', maxWidth: 420, display: 'block' }}
    >
      <title>{label}</title>
      {(['side', 'above'] as const).map((from) => (
        <View
          key={from}
          {...{ from, shape, partOf, flat, half: shape[from], y: from === 'side' ? sideY : aboveY, clip: `${id}-${from}` }}
        />
      ))}
      <text x={4} y={9} fontSize={9} fill={INK.slate}>
        from the side
      </text>
      <text x={4} y={aboveY - shape.above * 1.25 - 8} fontSize={9} fill={INK.slate}>
        from above
      </text>
      {parts.map(({ part, number }) => {
        const at = NUMBERS[part]
        if (number === null || !at) return null
        const [x, dy] = at
        return (
          <g key={part}>
            <circle cx={x} cy={numbersAt.y + dy * numbersAt.half} r={7.5} fill={INK.squid} />
            <text
              x={x}
              y={numbersAt.y + dy * numbersAt.half + 3.5}
              fontSize={10}
              fontFamily={HEADING}
              fontWeight={700}
              textAnchor="middle"
              fill={INK.ice}
            >
              {number}
            </text>
          </g>
        )
      })}
    </Box>
  )
}
