import { Rooms } from './Rooms.tsx'

const ROOMS = [
  ['/market', 'Today’s slab'],
  ['/market/prices', 'Prices'],
  ['/market/merchants', 'Merchants'],
  ['/market/waters', 'Waters'],
  ['/market/stocks', 'Stocks'],
] as const

/** The heads of the market's rooms. */
export const MarketRooms = ({ here, children }: { readonly here: string; readonly children?: React.ReactNode }) => (
  <Rooms label="Rooms of the market" rooms={ROOMS} here={here}>
    {children}
  </Rooms>
)
