import type { Range } from '@tender-gill/contract'
import { memo, useId } from 'react'
import { INK } from '../theme.ts'

export const SHOAL_SIZE = 7
const PITCH = 20
const HEIGHT = 14
/** One fish of the shoal, nose to the right, in a box of 18 by 14. */
const FISH = 'M1 3 L5 7 L1 11 Z M4 7 C7 2.5 13 2.5 17 7 C13 11.5 7 11.5 4 7 Z'

/** How much of each fish of the shoal is filled, from the left, 0..1 each. @param standing 0..100 */
export const fillShoal = (standing: number): readonly number[] =>
  Array.from({ length: SHOAL_SIZE }, (_, i) => Math.min(1, Math.max(0, (standing / 100) * SHOAL_SIZE - i)))

/** What the shoal shows, in words. */
export const describeShoal = (standing: Range | null, weakest: string | null): string =>
  standing === null
    ? 'Stock: no evidence kept'
    : `Stock ${standing.typical.toFixed(0)} of 100, ${standing.low.toFixed(0)} to ${standing.high.toFixed(0)}${weakest ? `; weakest: ${weakest}` : ''}`

interface Props {
  readonly standing: Range | null
  readonly weakest?: string | null
}

/** Where a stock stands: a shoal of seven filled from the left, hollow where no evidence is kept. */
export const Shoal = memo(function Shoal({ standing, weakest = null }: Props) {
  const text = describeShoal(standing, weakest)
  const clip = useId()
  const shares = fillShoal(standing?.typical ?? 0)
  return (
    <svg width={SHOAL_SIZE * PITCH} height={HEIGHT} role="img" aria-label={text} style={{ display: 'block' }}>
      <title>{text}</title>
      {shares.map((share, i) => (
        <g key={i} transform={`translate(${i * PITCH} 0)`}>
          <clipPath id={`${clip}-${i}`}>
            <rect x={0} y={0} width={18 * share} height={HEIGHT} />
          </clipPath>
          <path d={FISH} fill={INK.squid} clipPath={`url(#${clip}-${i})`} />
          <path
            d={FISH}
            fill="none"
            stroke={standing ? INK.squid : INK.slate}
            strokeWidth={1}
            strokeDasharray={standing ? undefined : '2 2'}
          />
        </g>
      ))}
    </svg>
  )
})
