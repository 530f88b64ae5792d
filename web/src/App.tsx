import { lazy, Suspense, useState } from 'react'
import { ErrorBoundary } from 'react-error-boundary'
import { Route, Routes, useLocation } from 'react-router'
import { HomePage } from './features/home/HomePage.tsx'
import { layPages } from './pages.ts'
import { Waiting } from './parts/Waiting.tsx'
import { PageFailed } from './shell/PageFailed.tsx'
import { Shell } from './shell/Shell.tsx'

const NothingHere = lazy(() => import('./shell/NothingHere.tsx'))

/** Every page at its address. */
export function App() {
  const { pathname } = useLocation()
  const [pages] = useState(layPages)
  return (
    <Shell>
      <ErrorBoundary FallbackComponent={PageFailed} resetKeys={[pathname]}>
        <Suspense fallback={<Waiting what="the page" />}>
          <Routes>
            <Route path="/" element={<HomePage />} />
            {pages.map(({ path, Page }) => (
              <Route key={path} path={path} element={<Page />} />
            ))}
            <Route path="*" element={<NothingHere />} />
          </Routes>
        </Suspense>
      </ErrorBoundary>
    </Shell>
  )
}
