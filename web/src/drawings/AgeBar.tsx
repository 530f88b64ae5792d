import Box from '@mui/material/Box'
import type { Range } from '@tender-gill/contract'
import { INK } from '../theme.ts'

interface Props {
  /** Age on ice, days. */
  readonly iceDays: Range
  /** Days on ice it keeps in all. */
  readonly keepingDays: number
  /** Days on ice until it is eaten. */
  readonly neededIceDays: number
}

const day = (n: number): string => (n < 10 ? String(Math.round(n * 4) / 4) : String(Math.round(n)))

/** How old a fish is, how old it will be when it is eaten, and when its time is up, on one line of days on ice. */
export function AgeBar({ iceDays: { low, typical, high }, keepingDays, neededIceDays }: Props) {
  const most = Math.max(keepingDays, high, typical + neededIceDays) * 1.02
  const at = (days: number): number => (100 * Math.max(0, days)) / most
  const eaten = typical + neededIceDays
  const words = `${day(typical)} days on ice behind it, ${day(low)} to ${day(high)}; ${day(eaten)} when it is eaten; its time is up at ${day(keepingDays)}`
  return (
    <Box role="img" aria-label={words}>
      <svg viewBox="0 0 100 22" width="100%" height={34} preserveAspectRatio="none" aria-hidden>
        <rect x={0} y={6} width={at(keepingDays)} height={10} fill={INK.brine} stroke={INK.kelp} strokeWidth={0.3} />
        <rect x={at(low)} y={6} width={Math.max(0.6, at(high) - at(low))} height={10} fill={INK.tide} opacity={0.6} />
        <rect x={at(typical) - 0.5} y={3} width={1} height={16} fill={INK.squid} />
        {neededIceDays > 0 && (
          <rect x={at(eaten) - 0.4} y={2} width={0.8} height={18} fill={INK.roe} stroke={INK.squid} strokeWidth={0.15} />
        )}
      </svg>
      <Box sx={{ display: 'flex', justifyContent: 'space-between', gap: 1, fontSize: 13 }} aria-hidden>
        <span>
          {day(typical)} days on ice ({day(low)} to {day(high)})
        </span>
        {neededIceDays > 0 && <span>eaten at {day(eaten)}</span>}
        <span>spent at {day(keepingDays)}</span>
      </Box>
    </Box>
  )
}
