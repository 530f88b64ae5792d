import { Rooms } from './Rooms.tsx'

const ROOMS = [
  ['/house-book', 'After service'],
  ['/house-book/entries', 'Every entry'],
  ['/house-book/learnt', 'What it taught'],
  ['/house-book/look-back', 'Looking back'],
  ['/house-book/files', 'In and out'],
  ['/practice', 'Practice'],
] as const

/** The heads of the house book's rooms. */
export const HouseBookRooms = ({ here, children }: { readonly here: (typeof ROOMS)[number][0]; readonly children?: React.ReactNode }) => (
  <Rooms label="Rooms of the house book" rooms={ROOMS} here={here}>
    {children}
  </Rooms>
)
