import { styled } from '@mui/material/styles'
import type { ResolvedOffer, SwapFish, SwapMap } from '@tender-gill/contract'
import { FleshPrint } from '../../drawings/FleshPrint.tsx'
import { HEADING, INK } from '../../theme.ts'
import { layOut } from './layout.ts'

const WIDE = 620
const HIGH = 560
const REACH = { x: 248, y: 222 }

/** Lines end short of the neighbour, so that its name stays clear. */
const LINE_SHARE = 0.72

const Frame = styled('div')({
  position: 'relative',
  width: '100%',
  maxWidth: WIDE,
  aspectRatio: `${WIDE} / ${HIGH}`,
  margin: '0 auto',
  '& svg.lines': { position: 'absolute', inset: 0, width: '100%', height: '100%' },
})
const Node = styled('button')({
  position: 'absolute',
  transform: 'translate(-50%, -50%)',
  display: 'grid',
  justifyItems: 'center',
  width: 112,
  padding: '2px',
  minHeight: 44,
  border: 'none',
  background: 'none',
  font: 'inherit',
  fontSize: 13,
  lineHeight: 1.15,
  color: INK.squid,
  cursor: 'pointer',
  borderRadius: 4,
  '&:hover': { background: INK.brine },
  '& b': { fontFamily: HEADING },
  '& span': { color: INK.slate },
})

const CENTRE = {
  left: '50%',
  top: '50%',
  width: 150,
  background: INK.ice,
  border: `2px solid ${INK.squid}`,
  borderLeft: `8px solid ${INK.roe}`,
  cursor: 'default',
} as const

interface Props {
  readonly map: SwapMap
  readonly centre: SwapFish
  readonly offers: ReadonlyMap<string, ResolvedOffer>
  readonly onWalk: (species: string) => void
}

const standsInReturn = (map: SwapMap, neighbour: SwapFish | undefined, centre: SwapFish): boolean =>
  neighbour?.neighbours.some(({ to }) => map.fish[to]?.species === centre.species) ?? false

/**
 * One fish and those that stand in for it, as near as they are alike, each to the side on which it parts. A press on a neighbour puts it in
 * the middle. The list beside it says the same in words.
 */
export function SwapDrawing({ map, centre, offers, onWalk }: Props) {
  const spots = layOut(centre.neighbours)
  const at = (i: number) => ({ x: WIDE / 2 + (spots[i]?.x ?? 0) * REACH.x, y: HIGH / 2 + (spots[i]?.y ?? 0) * REACH.y })
  const share = (n: number, of: number) => `${(100 * n) / of}%`
  const middle = offers.get(centre.offerId)
  return (
    <Frame role="group" aria-label={`Round ${centre.common}: who stands in for it`}>
      <svg className="lines" viewBox={`0 0 ${WIDE} ${HIGH}`} aria-hidden>
        {[0.62, 0.81, 1].map((ring) => (
          <ellipse
            key={ring}
            cx={WIDE / 2}
            cy={HIGH / 2}
            rx={REACH.x * ring}
            ry={REACH.y * ring}
            fill="none"
            stroke={INK.hairline}
            strokeDasharray="2 5"
          />
        ))}
        {centre.neighbours.map(({ to, standIn }, i) => {
          const mutual = standsInReturn(map, map.fish[to], centre)
          return (
            <line
              key={to}
              x1={WIDE / 2}
              y1={HIGH / 2}
              x2={WIDE / 2 + (at(i).x - WIDE / 2) * LINE_SHARE}
              y2={HIGH / 2 + (at(i).y - HIGH / 2) * LINE_SHARE}
              stroke={INK.slate}
              strokeWidth={1 + (2.5 * Math.max(0, standIn - 50)) / 50}
              strokeDasharray={mutual ? undefined : '3 6'}
            />
          )
        })}
        <g fontSize={12} fill={INK.slate} textAnchor="middle">
          <text x={WIDE / 2} y={12}>
            fatter, stronger
          </text>
          <text x={WIDE / 2} y={HIGH - 4}>
            leaner, milder
          </text>
          <text x={12} y={HIGH / 2} transform={`rotate(-90 12 ${HIGH / 2})`}>
            softer, dries sooner
          </text>
          <text x={WIDE - 12} y={HIGH / 2} transform={`rotate(90 ${WIDE - 12} ${HIGH / 2})`}>
            firmer, forgives more
          </text>
        </g>
      </svg>
      <Node as="div" style={CENTRE}>
        {middle && <FleshPrint offer={middle} name={centre.common} />}
        <b style={{ fontSize: 16, textAlign: 'center' }}>{centre.common}</b>
      </Node>
      {centre.neighbours.map(({ to, standIn }, i) => {
        const fish = map.fish[to]
        const offer = offers.get(fish?.offerId ?? '')
        if (!fish) return null
        return (
          <Node
            key={fish.species}
            type="button"
            onClick={() => onWalk(fish.species)}
            aria-label={`Walk to ${fish.common}, ${standIn.toFixed(0)} of 100`}
            style={{ left: share(at(i).x, WIDE), top: share(at(i).y, HIGH) }}
          >
            {offer && <FleshPrint offer={offer} name={fish.common} />}
            <b>{fish.common}</b>
            <span>{standIn.toFixed(0)}</span>
          </Node>
        )
      })}
    </Frame>
  )
}
