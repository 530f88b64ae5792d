import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { Link } from 'react-router'

const ROOMS = [
  ['/market', 'Today’s slab'],
  ['/market/prices', 'Prices'],
  ['/market/merchants', 'Merchants'],
  ['/market/waters', 'Waters'],
  ['/market/stocks', 'Stocks'],
] as const

/** The heads of the market's rooms. */
export function MarketRooms({ here, children }: { readonly here: string; readonly children?: React.ReactNode }) {
  return (
    <Box component="nav" aria-label="Rooms of the market" sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1, mb: 1.5 }}>
      <Typography variant="h1" sx={{ mr: 1 }}>
        {ROOMS.find(([path]) => path === here)?.[1]}
      </Typography>
      {ROOMS.filter(([path]) => path !== here).map(([path, name]) => (
        <Button key={path} component={Link} to={path}>
          {name}
        </Button>
      ))}
      {children}
    </Box>
  )
}
