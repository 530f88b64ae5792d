import type { BandKey, Range } from '@tender-gill/contract'
import { ASK_LABEL, describeBand, describeValue } from '../reader/index.ts'
import { memo } from 'react'
import { INK } from '../theme.ts'
import { placeOnAxis } from './axisDomain.ts'

interface Props {
  readonly trait: BandKey
  readonly value: Range
  readonly name: string
  readonly width?: number
  /** What the book says, as a ghost, where the value is the house's. */
  readonly ghost?: number | undefined
  /** What an open dish wants, behind the fish. */
  readonly wanted?: { readonly from: number | null; readonly to: number | null } | undefined
}

const HEIGHT = 20
const MIDDLE = 10

/** A trait on its axis: the range a buyer meets as a line, the usual value as a dot; what a dish wants as a block behind. */
export const TraitStrip = memo(function TraitStrip({ trait, value, name, width = 220, wanted, ghost }: Props) {
  const { low, typical, high } = value
  const at = (x: number) => 5 + placeOnAxis(trait, x) * (width - 10)
  const asked = wanted ? `; wanted ${describeBand(trait, wanted.from, wanted.to)}` : ''
  const against = ghost === undefined ? '' : `; the book: ${describeValue(trait, ghost)}`
  const text = `${name}, ${ASK_LABEL[trait]}: ${describeValue(trait, typical)}, usually ${describeValue(trait, low)} to ${describeValue(trait, high)}${asked}${against}`
  const from = wanted && (wanted.from === null ? 1 : at(wanted.from))
  const to = wanted && (wanted.to === null ? width - 1 : at(wanted.to))
  return (
    <svg
      viewBox={`0 0 ${width} ${HEIGHT}`}
      width="100%"
      height={HEIGHT}
      preserveAspectRatio="none"
      role="img"
      aria-label={text}
      style={{ maxWidth: width, display: 'block' }}
    >
      <title>{text}</title>
      <path d={`M0 ${MIDDLE}H${width}M1 6V14M${width - 1} 6V14`} stroke={INK.slate} strokeWidth={1} />
      {from !== undefined && to !== undefined && (
        <rect x={from} y={2} width={Math.max(2, to - from)} height={HEIGHT - 4} fill={INK.brine} stroke={INK.kelp} />
      )}
      <path d={`M${at(low)} ${MIDDLE}H${at(high)}`} stroke={INK.tide} strokeWidth={4} />
      {ghost !== undefined && (
        <circle cx={at(ghost)} cy={MIDDLE} r={4.6} fill="none" stroke={INK.squid} strokeWidth={1.2} strokeDasharray="2 2" />
      )}
      <circle cx={at(typical)} cy={MIDDLE} r={4.6} fill={INK.squid} />
    </svg>
  )
})
