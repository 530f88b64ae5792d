import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { RankedFish } from '@tender-gill/contract'
import { findEfficient, type Worth } from '@tender-gill/core'
import { CartesianGrid, LabelList, Line, ResponsiveContainer, Scatter, ComposedChart, Tooltip, XAxis, YAxis } from 'recharts'
import { INK } from '../../theme.ts'
import { formatMoney } from '../dishWords.ts'

interface Point extends Worth {
  readonly species: string
  readonly common: string
}

const toPoint = ({ species, common, fit, portionCost, standings }: RankedFish): Point | undefined =>
  portionCost
    ? { species, common, fit, cost: portionCost.typical, stock: standings.find(({ trait }) => trait === 'stock')?.typical ?? null }
    : undefined

interface Props {
  readonly ranked: readonly RankedFish[]
  readonly marked: readonly string[]
  readonly currency: string
}

/** Fit against the cost of a portion for every fish of the dish whose price is known; the efficient ones are joined and named. */
export function WorthChart({ ranked, marked, currency }: Props) {
  const points = ranked.flatMap((row) => toPoint(row) ?? [])
  if (points.length < 2)
    return (
      <Typography>
        Fewer than two prices are known for this dish, so there is nothing to weigh fit against. Type prices in at Amounts.
      </Typography>
    )
  const efficient = findEfficient(points)
  const others = points.filter((point) => !efficient.includes(point))
  const money = (cost: number) => formatMoney(cost, currency)
  const words = efficient.map(({ common, fit, cost }) => `${common}, fit ${fit.toFixed(1)} at ${money(cost)}`)
  return (
    <Box>
      <Box
        role="img"
        aria-label={`Fit against cost of a portion. Efficient: ${words.join('; ')}.`}
        sx={{ height: 320, overflow: 'hidden' }}
      >
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart margin={{ top: 16, right: 90, bottom: 24, left: 8 }}>
            <CartesianGrid stroke={INK.hairline} />
            <XAxis
              type="number"
              dataKey="cost"
              domain={['auto', 'auto']}
              tickFormatter={money}
              label={{ value: 'a portion costs', position: 'insideBottom', offset: -12, fill: INK.slate }}
              stroke={INK.slate}
            />
            <YAxis
              type="number"
              dataKey="fit"
              domain={[(least: number) => Math.max(0, Math.floor(least / 10) * 10 - 5), 105]}
              ticks={[0, 10, 20, 30, 40, 50, 60, 70, 80, 90, 100]}
              label={{ value: 'fit', angle: -90, position: 'insideLeft', fill: INK.slate }}
              stroke={INK.slate}
            />
            <Tooltip
              isAnimationActive={false}
              formatter={(value, name) => [
                name === 'cost' ? money(Number(value)) : Number(value).toFixed(1),
                name === 'cost' ? 'a portion' : 'fit',
              ]}
              labelFormatter={() => ''}
            />
            <Line
              data={[...efficient]}
              dataKey="fit"
              stroke={INK.kelp}
              strokeWidth={2}
              dot={false}
              isAnimationActive={false}
              legendType="none"
              tooltipType="none"
            />
            <Scatter data={[...others]} fill={INK.ice} stroke={INK.slate} isAnimationActive={false} />
            {(['top', 'bottom'] as const).map((position, parity) => (
              // Neighbours on the line are named above and below it in turn, so that names do not run into each other.
              <Scatter
                key={position}
                data={efficient.filter((_, i) => (efficient.length - 1 - i) % 2 === parity)}
                fill={INK.kelp}
                stroke={INK.squid}
                isAnimationActive={false}
              >
                <LabelList dataKey="common" position={position} offset={10} fill={INK.squid} fontSize={13} />
              </Scatter>
            ))}
            <Scatter
              data={points.filter(({ species }) => marked.includes(species))}
              fill={INK.roe}
              stroke={INK.squid}
              strokeWidth={2}
              isAnimationActive={false}
            />
          </ComposedChart>
        </ResponsiveContainer>
      </Box>
      <Typography variant="body2">
        Efficient, joined by the line: {words.join('; ')}. For any other fish one of these is at least as good and no dearer. Roe marks
        those set side by side.
        {points.every(({ stock }) => stock === null) && ' No evidence is kept on the stocks yet, so they do not count here.'}
      </Typography>
    </Box>
  )
}
