import { formatMoney, formatMoneyRange } from '../../reader/index.ts'
import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { AskKey, NormalisedBrief, Range, RankedFish, ResolvedOffer } from '@tender-gill/contract'
import type { SxProps } from '@mui/material/styles'
import type { ReactNode } from 'react'
import { Shoal, describeShoal } from '../../drawings/Shoal.tsx'
import { HEADING, INK } from '../../theme.ts'

export interface MarketColumn {
  readonly species: string
  readonly offer: ResolvedOffer
  /** Its row in the open dish; undefined where it is left out or none is open. */
  readonly row: RankedFish | undefined
}

/** A figure of the market as the dish found it, or as the day's offer has it. */
function readStanding({ row, offer }: MarketColumn, key: AskKey): Range | null {
  const found = row?.standings.find(({ trait }) => trait === key)
  if (found && found.low !== null && found.typical !== null && found.high !== null)
    return { low: found.low, typical: found.typical, high: found.high }
  return key === 'stock' ? offer.stock : null
}

/** What the year does to a fish today, in words. */
export function describeSeason(column: MarketColumn, waters: readonly string[] | null): string {
  const { origin, state, season } = column.offer
  if (origin === 'farmed') return 'Farmed: the same all year'
  if (state !== 'fresh') return 'Frozen: the same all year'
  const landings = readStanding(column, 'landings')?.typical ?? season?.landings
  const condition = readStanding(column, 'condition')?.typical ?? season?.condition
  if (landings === undefined) return waters === null ? 'No waters are set: the year is not counted' : 'No evidence kept of its year here'
  return `Landings ${Math.round(100 * landings)} of 100 of its best month${condition === undefined || condition === null ? '' : `, condition ${condition.toFixed(0)} of 10`}`
}

function Cost({ row }: MarketColumn) {
  const cost = row?.portionCost
  if (!cost)
    return (
      <Typography variant="body2" color="text.secondary">
        {row ? 'no price known' : 'open a dish: cost is of a portion'}
      </Typography>
    )
  return (
    <>
      <Box sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: 20 }}>{formatMoney(cost.typical, cost.currency)}</Box>
      <Typography variant="body2" color="text.secondary">
        {formatMoneyRange(cost.low, cost.high, cost.currency)} a portion
      </Typography>
    </>
  )
}

function Stock(column: MarketColumn) {
  const standing = readStanding(column, 'stock')
  const weakest = column.offer.stock?.weakest ?? null
  return (
    <>
      <Shoal standing={standing} weakest={weakest} />
      <Typography variant="body2">{describeShoal(standing, weakest).replace(/^Stock:? /, '')}</Typography>
    </>
  )
}

interface Props {
  readonly columns: readonly MarketColumn[]
  readonly brief: NormalisedBrief | null
  readonly grid: SxProps
}

/** What a portion costs, where its year stands and how its stock does: the rows of the comparison that the market knows. */
export function MarketRows({ columns, brief, grid }: Props) {
  const rows: readonly (readonly [string, (column: MarketColumn) => ReactNode])[] = [
    ['Cost a portion', (column) => <Cost {...column} />],
    ['Season', (column) => <Typography variant="body2">{describeSeason(column, brief?.waters ?? null)}</Typography>],
    ['Stock', (column) => <Stock {...column} />],
  ]
  return rows.map(([name, show]) => (
    <Box
      role="row"
      key={name}
      sx={[grid as object, { borderTop: `1px solid ${INK.hairline}`, py: 0.75, pl: 1, borderLeft: '5px solid transparent' }]}
    >
      <Typography role="rowheader">{name}</Typography>
      {columns.map((column) => (
        <Box role="cell" key={column.species}>
          {show(column)}
        </Box>
      ))}
    </Box>
  ))
}
