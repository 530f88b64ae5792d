import Box from '@mui/material/Box'
import { styled } from '@mui/material/styles'
import { lazy, Suspense, type ReactNode } from 'react'
import { INK } from '../theme.ts'
import { Notices } from '../notices/index.ts'
import { OutdatedNotice } from '../offline/index.ts'
import { OutboxNotice } from '../outbox/index.ts'
import { TimersBar } from '../timers/index.ts'
import { ConnectionNotice } from './ConnectionNotice.tsx'
import { FirstRun } from './FirstRun.tsx'
import { FloatLine } from './FloatLine.tsx'
import { NoKitchen, useIsKitchen } from './NoKitchen.tsx'
import { PageTitle } from './PageTitle.tsx'
import { TopBar } from './TopBar.tsx'
import { useKeys } from './useKeys.ts'
import { useUndoKeys } from './useUndoKeys.ts'
import { useScrollToTop } from './useScrollToTop.ts'

const KeysPanel = lazy(() => import('./KeysPanel.tsx').then(({ KeysPanel }) => ({ default: KeysPanel })))

/** Seen once it is reached by Tab: past the bar and the line, straight to the page. */
const SkipLink = styled('a')({
  position: 'absolute',
  left: 8,
  top: -60,
  padding: '10px 14px',
  background: INK.ice,
  color: INK.squid,
  border: `2px solid ${INK.squid}`,
  zIndex: 10,
  '&:focus': { top: 6 },
})

/** What stands around every page: the name, the search, the rooms, the kitchen, the line of floats. */
export function Shell({ children }: { readonly children: ReactNode }) {
  const { showing, hide } = useKeys()
  const isKitchen = useIsKitchen()
  useScrollToTop()
  useUndoKeys()
  return (
    <Box sx={{ minHeight: '100vh', display: 'flex', flexDirection: 'column' }}>
      <PageTitle />
      <SkipLink href="#page">Skip to the page</SkipLink>
      <TopBar />
      <ConnectionNotice />
      <OutdatedNotice />
      <OutboxNotice />
      <FloatLine />
      {isKitchen && <FirstRun />}
      <Box component="main" id="page" tabIndex={-1} sx={{ outline: 'none', flex: 1, p: { xs: 1, md: '8px 20px 20px' } }}>
        {isKitchen ? children : <NoKitchen />}
      </Box>
      <TimersBar />
      <Notices />
      {showing && (
        <Suspense fallback={null}>
          <KeysPanel onClose={hide} />
        </Suspense>
      )}
    </Box>
  )
}
