import type { PriceHistory } from '@tender-gill/contract'
import { toDayNumber, toIsoDate } from '@tender-gill/core'
import { describeDay, formatMoney, formatMoneyRange, toMassPrice } from '../../reader/index.ts'
import { Area, ComposedChart, Line, ReferenceLine, ResponsiveContainer, Scatter, Tooltip, XAxis, YAxis } from 'recharts'
import { INK } from '../../theme.ts'

type Series = PriceHistory['series'][number]

/** The first of each month in a span, as numbers of days. */
function listMonths(from: number, to: number): readonly number[] {
  const days = Array.from({ length: to - from + 1 }, (_, i) => from + i)
  return days.filter((day) => toIsoDate(day).endsWith('-01'))
}

/** Quotes as dots, what was made of them as a line in its range, over a year. The figures beside it say the same in words. */
export default function PriceChart({ series, date }: { readonly series: Series; readonly date: string }) {
  const days = series.days.map(({ date: on, perKg }) => ({
    day: toDayNumber(on),
    typical: toMassPrice(perKg.typical),
    range: [toMassPrice(perKg.low), toMassPrice(perKg.high)],
  }))
  const dots = series.quotes.map(({ date: on, perKg }) => ({ day: toDayNumber(on), quote: toMassPrice(perKg) }))
  const rows = [...days, ...dots].sort((a, b) => a.day - b.day)
  const first = rows[0]?.day ?? toDayNumber(date)
  const last = toDayNumber(date)
  return (
    <ResponsiveContainer width="100%" height={320} minWidth={0}>
      <ComposedChart data={rows} margin={{ left: 0, right: 12, top: 8, bottom: 0 }} accessibilityLayer={false}>
        <XAxis
          dataKey="day"
          type="number"
          domain={[first, last]}
          ticks={[...listMonths(first, last)]}
          tickFormatter={(day: number) => describeDay(toIsoDate(day)).split(' ')[1]?.slice(0, 3) ?? ''}
          tickLine={false}
        />
        <YAxis domain={['auto', 'auto']} width={44} tickLine={false} />
        <Tooltip
          isAnimationActive={false}
          labelFormatter={(day) => describeDay(toIsoDate(Number(day)))}
          formatter={(value) =>
            Array.isArray(value)
              ? formatMoneyRange(Number(value[0]), Number(value[1]), series.currency)
              : formatMoney(Number(value), series.currency)
          }
        />
        <Area dataKey="range" name="range" fill={INK.brine} stroke="none" connectNulls isAnimationActive={false} />
        <Line dataKey="typical" name="estimate" stroke={INK.kelp} strokeWidth={2.5} dot={false} connectNulls isAnimationActive={false} />
        <Scatter dataKey="quote" name="quote" fill={INK.squid} shape="circle" isAnimationActive={false} />
        {series.usualPerKg !== null && <ReferenceLine y={toMassPrice(series.usualPerKg)} stroke={INK.slate} strokeDasharray="6 4" />}
        <ReferenceLine x={last} stroke={INK.roe} strokeWidth={3} />
      </ComposedChart>
    </ResponsiveContainer>
  )
}
