import { useId } from 'react'
import { INK } from '../theme.ts'

interface Props {
  /** Through the piece from below to above, degrees C; of a round body from its middle outwards. */
  readonly throughC: readonly number[]
  readonly depthMm: number
  readonly round: boolean
  readonly skin: 'below' | 'above' | 'none'
  readonly label: string
}

/** Flesh by how hot it is: glassy, milky, white, dry. */
const STEPS: readonly (readonly [celsius: number, rgb: readonly [number, number, number]])[] = [
  [0, [214, 150, 140]],
  [38, [219, 160, 149]],
  [46, [233, 200, 188]],
  [52, [246, 232, 221]],
  [63, [247, 241, 230]],
  [75, [232, 217, 190]],
  [95, [201, 172, 126]],
  [110, [168, 132, 84]],
]
function tint(celsius: number): string {
  const above = STEPS.findIndex(([at]) => at > celsius)
  const [low, high] = above <= 0 ? [STEPS.at(above), STEPS.at(above)] : [STEPS[above - 1], STEPS[above]]
  if (!low || !high) return 'none'
  const part = high[0] === low[0] ? 0 : (celsius - low[0]) / (high[0] - low[0])
  const mix = low[1].map((from, i) => Math.round(from + ((high[1][i] ?? from) - from) * Math.min(1, Math.max(0, part))))
  return `rgb(${mix.join(' ')})`
}

/** Which plane is the coldest; of several as cold, the one nearest the middle: a piece of one heat is probed at its core. */
export function findColdest(planes: readonly number[]): number {
  const least = Math.min(...planes)
  const fromMiddle = (i: number) => Math.abs(i - (planes.length - 1) / 2)
  return planes.reduce((best, celsius, i) => (celsius === least && (best < 0 || fromMiddle(i) < fromMiddle(best)) ? i : best), -1)
}

const WIDTH = 190
/** Height of the drawing for each mm of fish: the piece is drawn at its own proportion. */
const PX_PER_MM = 3
const LEAST = 34
const MOST = 150

/** A piece cut through at its thickest, with the heat in it, the probe where it belongs, and its skin. */
export function PieceHeat({ throughC, depthMm, round, skin, label }: Props) {
  // Several stand on one page: each has a gradient of its own.
  const heat = useId()
  const height = Math.min(MOST, Math.max(LEAST, depthMm * PX_PER_MM))
  const planes = round ? [...[...throughC].reverse(), ...throughC] : [...throughC].reverse()
  const shape = round ? { rx: WIDTH / 2, ry: height / 2 } : { rx: 9, ry: 9 }
  const coreY = ((findColdest(planes) + 0.5) / planes.length) * height
  const stops = planes.map((celsius, i) => <stop key={i} offset={`${((i + 0.5) / planes.length) * 100}%`} stopColor={tint(celsius)} />)
  return (
    <svg
      viewBox={`-4 -4 ${WIDTH + 34} ${height + 8}`}
      width="100%"
      style={{ maxWidth: WIDTH + 34, display: 'block' }}
      role="img"
      aria-label={label}
    >
      <defs>
        {round ? (
          <radialGradient id={heat}>
            {throughC.map((celsius, i) => (
              <stop key={i} offset={`${((i + 0.5) / throughC.length) * 100}%`} stopColor={tint(celsius)} />
            ))}
          </radialGradient>
        ) : (
          <linearGradient id={heat} x1="0" y1="0" x2="0" y2="1">
            {stops}
          </linearGradient>
        )}
      </defs>
      <rect width={WIDTH} height={height} {...shape} fill={`url(#${heat})`} stroke={INK.squid} strokeWidth={2.5} />
      {skin !== 'none' && !round && (
        <path
          d={`M8 ${skin === 'below' ? height - 2 : 2} H${WIDTH - 8}`}
          stroke={INK.slate}
          strokeWidth={5}
          strokeLinecap="round"
          aria-hidden="true"
        />
      )}
      <path d={`M${WIDTH + 28} ${coreY - 14} L${WIDTH / 2} ${coreY}`} stroke={INK.squid} strokeWidth={2} />
      <circle cx={WIDTH / 2} cy={coreY} r={5} fill={INK.roe} stroke={INK.squid} strokeWidth={2} />
    </svg>
  )
}
