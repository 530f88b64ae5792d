import { toIsoDate } from '@tender-gill/core'
import type { LookBack } from '@tender-gill/contract'
import {
  Bar,
  BarChart,
  Legend,
  ReferenceArea,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts'
import { describeDay, GRAMS_PER_MASS_UNIT, MASS_UNIT, nameMonth } from '../../reader/index.ts'
import { INK } from '../../theme.ts'
import type { Against } from './lookBackWords.ts'

const HEIGHT = 190

interface AgainstProps {
  readonly points: readonly Against[]
  readonly from: number
  readonly to: number
  /** Within these, out of a hundred, it is as expected. */
  readonly band: readonly [number, number]
}

/** What came out of a hundred of what was expected, as dots over time; the line is "as expected". The words above say the same. */
export function AgainstChart({ points, from, to, band: [low, high] }: AgainstProps) {
  const values = points.map(({ ofHundred }) => ofHundred)
  const least = Math.min(low - 10, ...values)
  const most = Math.max(high + 10, ...values)
  return (
    <ResponsiveContainer width="100%" height={HEIGHT} minWidth={0}>
      <ScatterChart margin={{ left: 0, right: 12, top: 8, bottom: 0 }} accessibilityLayer={false}>
        <XAxis
          dataKey="day"
          type="number"
          domain={[from, to]}
          tickFormatter={(day: number) => describeDay(toIsoDate(day))}
          tickCount={4}
          tickLine={false}
        />
        <YAxis
          dataKey="ofHundred"
          type="number"
          domain={[Math.floor(least / 10) * 10, Math.ceil(most / 10) * 10]}
          width={36}
          tickLine={false}
        />
        <ReferenceArea y1={low} y2={high} fill={INK.brine} ifOverflow="hidden" />
        <ReferenceLine y={100} stroke={INK.slate} />
        <Tooltip
          isAnimationActive={false}
          content={({ payload }) => {
            const one = payload[0]?.payload as Against | undefined
            return one ? (
              <div style={{ background: INK.ice, border: `1px solid ${INK.squid}`, padding: '4px 8px' }}>
                {one.name}, {describeDay(toIsoDate(one.day))}: {one.ofHundred} of 100
              </div>
            ) : null
          }}
        />
        <Scatter data={[...points]} fill={INK.squid} isAnimationActive={false} />
      </ScatterChart>
    </ResponsiveContainer>
  )
}

/** What was used, thrown away, and used of the rest, month by month. */
export function FishChart({ fish }: Pick<LookBack, 'fish'>) {
  const rows = fish.map(({ month, usedG, thrownG, restG }) => ({
    name: nameMonth(Number(month.slice(5))).slice(0, 3),
    used: usedG / GRAMS_PER_MASS_UNIT,
    'thrown away': thrownG / GRAMS_PER_MASS_UNIT,
    'rest used': restG / GRAMS_PER_MASS_UNIT,
  }))
  return (
    <ResponsiveContainer width="100%" height={HEIGHT} minWidth={0}>
      <BarChart data={rows} margin={{ left: 0, right: 12, top: 8, bottom: 0 }} accessibilityLayer={false}>
        <XAxis dataKey="name" tickLine={false} />
        <YAxis width={48} tickLine={false} tickFormatter={(value: number) => `${value} ${MASS_UNIT}`} />
        <Legend iconType="square" />
        <Tooltip isAnimationActive={false} formatter={(value) => `${Number(value).toFixed(1)} ${MASS_UNIT}`} />
        <Bar dataKey="used" stackId="fish" fill={INK.kelp} isAnimationActive={false} />
        <Bar dataKey="rest used" stackId="fish" fill={INK.tide} isAnimationActive={false} />
        <Bar dataKey="thrown away" stackId="fish" fill={INK.dulse} isAnimationActive={false} />
      </BarChart>
    </ResponsiveContainer>
  )
}

/** Which swaps held: how often each worked, and how often it did not. */
export function SwapChart({ swaps }: Pick<LookBack, 'swaps'>) {
  const rows = swaps.map(({ missing, standIn, worked, n }) => ({ name: `${standIn} for ${missing}`, worked, 'did not': n - worked }))
  return (
    <ResponsiveContainer width="100%" height={Math.max(90, 44 * rows.length + 64)} minWidth={0}>
      <BarChart data={rows} layout="vertical" margin={{ left: 0, right: 12, top: 4, bottom: 0 }} accessibilityLayer={false}>
        <XAxis type="number" allowDecimals={false} tickLine={false} />
        <Legend iconType="square" />
        <YAxis type="category" dataKey="name" width={190} tickLine={false} />
        <Tooltip isAnimationActive={false} />
        <Bar dataKey="worked" stackId="swaps" fill={INK.kelp} isAnimationActive={false} />
        <Bar dataKey="did not" stackId="swaps" fill={INK.dulse} isAnimationActive={false} />
      </BarChart>
    </ResponsiveContainer>
  )
}
