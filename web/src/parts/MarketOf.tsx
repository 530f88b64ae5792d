import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { computeStockStanding } from '@tender-gill/core'
import { Link } from 'react-router'
import { useKitchenQuery, useSeasonsQuery, useStocksQuery } from '../api/api.ts'
import { Shoal } from '../drawings/Shoal.tsx'
import { describeTide, Tide } from '../drawings/Tide.tsx'
import { describePlace } from './describePlace.ts'

interface Props {
  readonly species: string
  /** The day whose month is marked; today where none is given. */
  readonly date?: string | undefined
  /** Waters of a dish; all that are kept where none are given. */
  readonly waters?: readonly string[] | null | undefined
}

/** The year of a fish in the kitchen's waters, and where its stocks stand. */
export function MarketOf({ species, date, waters }: Props) {
  const { data: kitchen } = useKitchenQuery()
  const { data: seasons = [] } = useSeasonsQuery()
  const { data: stocks = [] } = useStocksQuery()
  if (!kitchen) return null
  const day = date ?? kitchen.today
  const month = Number(day.slice(5, 7))
  const years = seasons.filter(({ season }) => season.species === species && (!waters || waters.includes(season.water)))
  const kept = stocks.filter(({ stock }) => stock.species === species)
  const price = <Link to={`/market/prices?fish=${encodeURIComponent(species)}`}>Its price over the year.</Link>
  if (years.length + kept.length === 0)
    return (
      <Typography variant="body2" color="text.secondary">
        {price} No year and no evidence on its stock is kept here.
      </Typography>
    )
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 3, rowGap: 1, alignItems: 'center' }}>
      {price}
      {years.map(({ id, season }) => (
        <Box key={id} sx={{ display: 'flex', gap: 1, alignItems: 'center', maxWidth: 420 }}>
          <Tide season={season} month={month} />
          <Typography variant="body2">
            <Link to={`/market/waters?water=${encodeURIComponent(season.water)}&year=${id}`}>{season.water}</Link>
            {describeTide(season, month).slice(season.water.length)}
          </Typography>
        </Box>
      ))}
      {kept.map(({ id, stock }) => {
        const standing = computeStockStanding(stock, Number(day.slice(0, 4)))
        return (
          <Box key={id} sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
            <Shoal standing={standing} weakest={standing.weakest} />
            <Typography variant="body2">
              <Link to={`/market/stocks?stock=${id}`}>{describePlace(stock)}</Link>: {standing.typical.toFixed(0)} of 100
            </Typography>
          </Box>
        )
      })}
    </Box>
  )
}
