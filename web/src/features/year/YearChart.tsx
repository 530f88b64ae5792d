import type { YearOfDish } from '@tender-gill/contract'
import { nameMonth } from '../../reader/index.ts'
import { Bar, BarChart, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts'
import { INK } from '../../theme.ts'

/** Bands by place in the list; each has a pattern of its own beside its tint, so that print keeps them apart. */
export const BANDS: readonly { readonly fill: string; readonly dash: string }[] = [
  { fill: INK.kelp, dash: '' },
  { fill: INK.brine, dash: 'M0 8 L8 0' },
  { fill: INK.tide, dash: 'M0 4 H8' },
  { fill: INK.hairline, dash: 'M4 0 V8' },
  { fill: INK.brass, dash: 'M0 0 L8 8' },
  { fill: INK.ice, dash: 'M0 0 L8 8 M0 8 L8 0' },
]
export const bandId = (i: number): string => `band-${i}`

export const BandPatterns = () => (
  <defs>
    {BANDS.map(({ fill, dash }, i) => (
      <pattern key={fill} id={bandId(i)} width={8} height={8} patternUnits="userSpaceOnUse">
        <rect width={8} height={8} fill={fill} />
        {dash && <path d={dash} stroke={INK.squid} strokeWidth={0.8} fill="none" />}
      </pattern>
    ))}
  </defs>
)

interface Props {
  readonly year: YearOfDish
  /** The month of the dish, 1..12. */
  readonly month: number
}

/** Who comes first in how many of a hundred draws, month by month, as bands. The list beside it says the same in words. */
export default function YearChart({ year, month }: Props) {
  const rows = year.months.map(({ month: at, shares }) => ({
    name: nameMonth(at).slice(0, 3),
    ...Object.fromEntries(year.fish.map(({ common }, i) => [common, 100 * (shares[i] ?? 0)])),
  }))
  return (
    <ResponsiveContainer width="100%" height={300} minWidth={0}>
      <BarChart data={rows} barCategoryGap={2} margin={{ left: 0, right: 8, top: 8, bottom: 0 }} accessibilityLayer={false}>
        <BandPatterns />
        <XAxis dataKey="name" tickLine={false} />
        <YAxis domain={[0, 100]} ticks={[0, 25, 50, 75, 100]} allowDataOverflow width={36} tickLine={false} />
        <Tooltip formatter={(share) => Math.round(Number(share))} isAnimationActive={false} cursor={{ fill: INK.slab }} />
        {year.fish.map(({ species, common }, i) => (
          <Bar
            key={species}
            dataKey={common}
            stackId="first"
            fill={`url(#${bandId(i)})`}
            stroke={INK.squid}
            strokeWidth={0.8}
            isAnimationActive={false}
          />
        ))}
        <ReferenceLine x={nameMonth(month).slice(0, 3)} stroke={INK.roe} strokeWidth={3} />
      </BarChart>
    </ResponsiveContainer>
  )
}
