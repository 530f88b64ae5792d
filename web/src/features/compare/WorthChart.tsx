import { formatMoney } from '../../reader/index.ts'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { RankedFish } from '@tender-gill/contract'
import { findEfficient, type Worth } from '@tender-gill/core'
import { CartesianGrid, LabelList, Line, ResponsiveContainer, Scatter, ComposedChart, Tooltip, XAxis, YAxis } from 'recharts'
import { INK } from '../../theme.ts'

interface Point extends Worth {
  readonly species: string
  readonly common: string
}

const toPoint = ({ species, common, fit, portionCost, standings }: RankedFish): Point | undefined =>
  portionCost
    ? { species, common, fit, cost: portionCost.typical, stock: standings.find(({ trait }) => trait === 'stock')?.typical ?? null }
    : undefined

interface DotProps {
  readonly fill: string
  /** Marked: one of those set side by side. */
  readonly ring?: boolean
  readonly cx?: number
  readonly cy?: number
  readonly payload?: Point
}

/** Radius of a dot by the standing of its stock, 0..100; of middling size where no evidence is kept. */
export const dotRadius = (stock: number | null): number => (stock === null ? 5 : 3 + (5 * Math.min(100, Math.max(0, stock))) / 100)

/** A fish of the chart: its size tells the stock, hollow where nothing is known of it. */
function StockDot({ fill, ring = false, cx = 0, cy = 0, payload }: DotProps) {
  const stock = payload?.stock ?? null
  return (
    <circle
      cx={cx}
      cy={cy}
      r={dotRadius(stock)}
      fill={stock === null ? INK.ice : fill}
      stroke={ring ? INK.roe : stock === null ? fill : INK.squid}
      strokeWidth={ring ? 4 : 1.6}
    />
  )
}

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
  const least = Math.max(0, Math.floor(Math.min(...points.map(({ fit }) => fit)) / 10) * 10 - 5)
  const money = (cost: number) => formatMoney(cost, currency)
  const words = efficient.map(
    ({ common, fit, cost, stock }) =>
      `${common}, fit ${fit.toFixed(1)} at ${money(cost)}${stock === null ? '' : `, stock ${stock.toFixed(0)}`}`,
  )
  return (
    <Box>
      <Box
        role="img"
        aria-label={`Fit against cost of a portion and standing of the stock. Efficient: ${words.join('; ')}.`}
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
              domain={[least, 105]}
              ticks={[0, 10, 20, 30, 40, 50, 60, 70, 80, 90, 100].filter((tick) => tick >= least)}
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
            <Scatter data={[...others]} shape={<StockDot fill={INK.slate} />} isAnimationActive={false} />
            {(['top', 'bottom'] as const).map((position, parity) => (
              // Neighbours on the line are named above and below it in turn, so that names do not run into each other.
              <Scatter
                key={position}
                data={efficient.filter((_, i) => (efficient.length - 1 - i) % 2 === parity)}
                shape={<StockDot fill={INK.kelp} />}
                isAnimationActive={false}
              >
                <LabelList dataKey="common" position={position} offset={10} fill={INK.squid} fontSize={13} />
              </Scatter>
            ))}
            <Scatter
              data={points.filter(({ species }) => marked.includes(species))}
              shape={<StockDot fill={INK.roe} ring />}
              isAnimationActive={false}
            />
          </ComposedChart>
        </ResponsiveContainer>
      </Box>
      <Typography variant="body2">
        Efficient, joined by the line: {words.join('; ')}. For any other fish one of these is at least as good and no dearer. Roe marks
        those set side by side.
        {points.every(({ stock }) => stock === null)
          ? ' Every dot is hollow: no evidence is kept on these stocks, so they do not count here.'
          : ' The larger a dot, the better its stock stands; a hollow one has no evidence kept, and its stock does not count.'}
      </Typography>
    </Box>
  )
}
