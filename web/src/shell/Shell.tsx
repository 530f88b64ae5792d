import Box from '@mui/material/Box'
import { styled } from '@mui/material/styles'
import { lazy, Suspense, type ReactNode } from 'react'
import { Link, useNavigate } from 'react-router'
import { HEADING, INK } from '../theme.ts'
import { Notices } from '../notices/index.ts'
import { ConnectionNotice } from './ConnectionNotice.tsx'
import { FishSearch } from '../parts/FishSearch.tsx'
import { FloatLine } from './FloatLine.tsx'
import { KitchenSwitch } from './KitchenSwitch.tsx'
import { NoKitchen, useIsKitchen } from './NoKitchen.tsx'
import { useKeys } from './useKeys.ts'
import { useUndoKeys } from './useUndoKeys.ts'
import { useScrollToTop } from './useScrollToTop.ts'

const KeysPanel = lazy(() => import('./KeysPanel.tsx').then(({ KeysPanel }) => ({ default: KeysPanel })))

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
    padding: '6px 12px',
    gap: 8,
    '& .place': { display: 'none' },
    '& .find': { order: 3, flex: '1 0 100%', maxWidth: 'none' },
    '& .rooms': { marginLeft: 'auto' },
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

/** What stands around every page: the name, the search, the rooms, the kitchen, the line of floats. */
export function Shell({ children }: { readonly children: ReactNode }) {
  const { showing, hide } = useKeys()
  const navigate = useNavigate()
  const isKitchen = useIsKitchen()
  useScrollToTop()
  useUndoKeys()
  return (
    <Box sx={{ minHeight: '100vh', display: 'flex', flexDirection: 'column' }}>
      <Bar>
        <Home to="/">
          <img src="/mark.svg" width={28} height={28} alt="" />
          Tender Gill
        </Home>
        <div className="find">
          <FishSearch
            label="Find a fish by any market name"
            focusKey
            onPick={(species) => void navigate(`/book/${encodeURIComponent(species)}`)}
          />
        </div>
        <nav className="rooms" aria-label="Rooms">
          <BuiltRoom to="/book">Book</BuiltRoom>
          <BuiltRoom to="/market">Market</BuiltRoom>
          <BuiltRoom to="/house">House</BuiltRoom>
        </nav>
        <div style={{ marginLeft: 'auto' }}>
          <KitchenSwitch />
        </div>
      </Bar>
      <ConnectionNotice />
      <FloatLine />
      <Box component="main" sx={{ flex: 1, p: { xs: 1, md: '8px 20px 20px' } }}>
        {isKitchen ? children : <NoKitchen />}
      </Box>
      <Notices />
      {showing && (
        <Suspense fallback={null}>
          <KeysPanel onClose={hide} />
        </Suspense>
      )}
    </Box>
  )
}
