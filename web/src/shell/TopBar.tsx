import Button from '@mui/material/Button'
import { styled } from '@mui/material/styles'
import useMediaQuery from '@mui/material/useMediaQuery'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { FishSearch } from '../parts/fishSearch/index.ts'
import { HEADING, INK } from '../theme.ts'
import { KitchenSwitch } from './KitchenSwitch.tsx'
import { PlacesButton } from './PlacesButton.tsx'

const Bar = styled('header')({
  display: 'flex',
  alignItems: 'center',
  gap: 20,
  padding: '6px 20px',
  minHeight: 52,
  background: INK.squid,
  color: INK.ice,
  '& .find': { flex: 1, maxWidth: 400, marginLeft: 'auto' },
  '& .rooms': { display: 'flex', gap: 14 },
  '@media (max-width: 900px)': {
    flexWrap: 'wrap',
    padding: '2px 12px',
    gap: 4,
    '& .find': { flex: '1 0 100%', maxWidth: 'none', paddingBottom: 6 },
  },
  '@media print': { display: 'none' },
})
const Home = styled(Link)({
  display: 'flex',
  alignItems: 'center',
  gap: 10,
  color: INK.ice,
  textDecoration: 'none',
  fontFamily: HEADING,
  fontWeight: 700,
  fontSize: 22,
  flexShrink: 0,
})
const BuiltRoom = styled(Link)({ padding: '6px 4px', color: INK.ice, textUnderlineOffset: 4 })

const ROOMS = [
  ['/buy', 'Buy sheet'],
  ['/cold', 'Cold'],
  ['/house-book', 'House book'],
  ['/book', 'Book'],
  ['/market', 'Market'],
  ['/house', 'House'],
  ['/help', 'Help'],
] as const

function Search() {
  const navigate = useNavigate()
  return (
    <div className="find">
      <FishSearch
        lookAround
        label="Find a fish by any market name"
        focusKey
        onPick={(species) => void navigate(`/book/${encodeURIComponent(species)}`)}
      />
    </div>
  )
}

/** The name, the search, the rooms and the kitchen; on a phone one bar, with the search and the rest a press away. */
export function TopBar() {
  const narrow = useMediaQuery('(max-width: 900px)')
  const [finds, setFinds] = useState(false)
  const home = (
    <Home to="/">
      <img src="/mark.svg" width={28} height={28} alt="" />
      Tender Gill
    </Home>
  )
  if (narrow)
    return (
      <Bar>
        {home}
        <Button color="inherit" aria-expanded={finds} onClick={() => setFinds(!finds)} sx={{ ml: 'auto' }}>
          Find
        </Button>
        <PlacesButton menu="Rooms and kitchens" rooms={ROOMS}>
          {(props) => (
            <Button {...props} color="inherit">
              Menu
            </Button>
          )}
        </PlacesButton>
        {finds && <Search />}
      </Bar>
    )
  return (
    <Bar>
      {home}
      <Search />
      <nav className="rooms" aria-label="Rooms">
        {ROOMS.map(([to, label]) => (
          <BuiltRoom key={to} to={to}>
            {label}
          </BuiltRoom>
        ))}
      </nav>
      <div style={{ marginLeft: 'auto' }}>
        <KitchenSwitch />
      </div>
    </Bar>
  )
}
