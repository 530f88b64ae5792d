import Box from '@mui/material/Box'
import { lazy, Suspense, type ReactNode } from 'react'
import { Notices } from '../notices/index.ts'
import { ConnectionNotice } from './ConnectionNotice.tsx'
import { FloatLine } from './FloatLine.tsx'
import { NoKitchen, useIsKitchen } from './NoKitchen.tsx'
import { TopBar } from './TopBar.tsx'
import { useKeys } from './useKeys.ts'
import { useUndoKeys } from './useUndoKeys.ts'
import { useScrollToTop } from './useScrollToTop.ts'

const KeysPanel = lazy(() => import('./KeysPanel.tsx').then(({ KeysPanel }) => ({ default: KeysPanel })))

/** What stands around every page: the name, the search, the rooms, the kitchen, the line of floats. */
export function Shell({ children }: { readonly children: ReactNode }) {
  const { showing, hide } = useKeys()
  const isKitchen = useIsKitchen()
  useScrollToTop()
  useUndoKeys()
  return (
    <Box sx={{ minHeight: '100vh', display: 'flex', flexDirection: 'column' }}>
      <TopBar />
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
