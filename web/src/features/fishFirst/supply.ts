import { formatMass } from '../../reader/index.ts'
import type { SeenRow } from '@tender-gill/contract'

/** How far what lies there goes in a dish; nothing where it was not weighed. Rounded down, so that nobody goes short. */
export function describeSupply({ share, buyG }: Pick<SeenRow, 'share' | 'buyG'>, covers: number): string {
  if (share === null) return ''
  if (share >= 1) {
    const overG = (share - 1) * buyG
    return overG < 0.05 * buyG ? 'What lies there is just enough.' : `What lies there is enough, with ${formatMass(overG)} over.`
  }
  const fed = Math.floor(share * covers + 1e-9)
  return fed === 0
    ? `What lies there is not enough for one: ${formatMass((1 - share) * buyG)} more is needed.`
    : `What lies there feeds ${fed} of ${covers}: ${formatMass((1 - share) * buyG)} more is needed.`
}
