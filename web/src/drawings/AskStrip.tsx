import type { AskStanding, BandKey, NormalisedAsk } from '@tender-gill/contract'
import { ASK_LABEL, describeBand, describeValue } from '../reader/index.ts'
import isDeepEqual from 'fast-deep-equal'
import { memo } from 'react'
import { INK } from '../theme.ts'
import { placeOnAxis } from './axisDomain.ts'

interface Props {
  readonly standing: AskStanding
  readonly ask: NormalisedAsk
  readonly width?: number
  /** Another fish on the same strip, as a ghost: the one that is missing. */
  readonly ghost?: { readonly standing: AskStanding; readonly name: string } | undefined
}

const HEIGHT = 20
const MIDDLE = 10

/** What the strip shows, in words: the figure, its range, what is wanted, what it rests on. */
export function describeStrip({ trait, low, typical, high }: AskStanding, ask: NormalisedAsk): string {
  if (trait === 'colour') return `Colour, wanted ${(ask.wanted ?? []).join(' or ')}`
  if (typical === null || low === null || high === null) return `${ASK_LABEL[trait]} is not known`
  return `${ASK_LABEL[trait]}: ${describeValue(trait, typical)}, usually ${describeValue(trait, low)} to ${describeValue(trait, high)}; wanted ${describeBand(trait, ask.from, ask.to)}`
}

const describeGhost = (text: string, ghost: Props['ghost']): string => {
  const typical = ghost?.standing.typical
  const key = ghost?.standing.trait
  if (!ghost || typical === null || typical === undefined || !key || key === 'colour') return text
  return `${text}; ${ghost.name} has ${describeValue(key, typical)}`
}

/** One ask met by one fish: the wanted band, the fish as a dot with a whisker; filled inside the band, hollow outside. */
export const AskStrip = memo(DrawnStrip, isDeepEqual)

function DrawnStrip({ standing, ask, width = 72, ghost }: Props) {
  const text = describeGhost(describeStrip(standing, ask), ghost)
  if (standing.trait === 'colour') return null
  const key = standing.trait as BandKey
  const at = (value: number) => 4 + placeOnAxis(key, value) * (width - 8)
  const from = ask.from === null ? 1 : at(ask.from)
  const to = ask.to === null ? width - 1 : at(ask.to)
  const inside = standing.desirability >= 1
  return (
    <svg width={width} height={HEIGHT} role="img" aria-label={text}>
      <title>{text}</title>
      <path d={`M0 ${MIDDLE}H${width}`} stroke={INK.slate} strokeWidth={1} />
      <rect x={from} y={3} width={Math.max(2, to - from)} height={HEIGHT - 6} fill={INK.brine} stroke={INK.kelp} />
      {ghost && ghost.standing.typical !== null && (
        <circle
          cx={at(ghost.standing.typical)}
          cy={MIDDLE}
          r={4.6}
          fill="none"
          stroke={INK.squid}
          strokeWidth={1.4}
          strokeDasharray="2 2"
        />
      )}
      {standing.typical === null || standing.low === null || standing.high === null ? (
        <text x={width / 2} y={14} textAnchor="middle" fontSize={11} fill={INK.squid}>
          not known
        </text>
      ) : (
        <>
          <path d={`M${at(standing.low)} ${MIDDLE}H${at(standing.high)}`} stroke={INK.tide} strokeWidth={3} />
          <circle
            cx={at(standing.typical)}
            cy={MIDDLE}
            r={3.8}
            fill={inside ? INK.kelp : INK.ice}
            stroke={INK.squid}
            strokeWidth={inside ? 0.6 : 1.6}
          />
        </>
      )}
    </svg>
  )
}
