import { lazy, Suspense } from 'react'
import { ErrorBoundary } from 'react-error-boundary'
import { Route, Routes, useLocation } from 'react-router'
import { HomePage } from './features/home/HomePage.tsx'
import { PageFailed } from './shell/PageFailed.tsx'
import { Shell } from './shell/Shell.tsx'
import { Waiting } from './parts/Waiting.tsx'

const BriefPage = lazy(() => import('./features/brief/BriefPage.tsx'))
const LineUpPage = lazy(() => import('./features/lineUp/LineUpPage.tsx'))
const StandInsPage = lazy(() => import('./features/standIns/StandInsPage.tsx'))
const AmountsPage = lazy(() => import('./features/amounts/AmountsPage.tsx'))
const FishFirstPage = lazy(() => import('./features/fishFirst/FishFirstPage.tsx'))
const BookPage = lazy(() => import('./features/book/BookPage.tsx'))
const SpeciesPage = lazy(() => import('./features/species/SpeciesPage.tsx'))
const NewSpeciesPage = lazy(() => import('./features/species/NewSpeciesPage.tsx'))
const ComparePage = lazy(() => import('./features/compare/ComparePage.tsx'))
const FilesPage = lazy(() => import('./features/bookFiles/FilesPage.tsx'))
const PotPage = lazy(() => import('./features/pot/PotPage.tsx'))
const DecisionsPage = lazy(() => import('./features/decisions/DecisionsPage.tsx'))
const AbsencesPage = lazy(() => import('./features/absences/AbsencesPage.tsx'))
const BuySheetPage = lazy(() => import('./features/buySheet/BuySheetPage.tsx'))
const CounterPage = lazy(() => import('./features/counter/CounterPage.tsx'))
const LookPage = lazy(() => import('./features/counter/LookPage.tsx'))
const DishCounterPage = lazy(() => import('./features/counter/DishCounterPage.tsx'))
const ColdPage = lazy(() => import('./features/cold/ColdPage.tsx'))
const DishColdPage = lazy(() => import('./features/cold/DishColdPage.tsx'))
const CookPage = lazy(() => import('./features/cook/CookPage.tsx'))
const RunSheetPage = lazy(() => import('./features/runSheet/RunSheetPage.tsx'))
const CoverCardPage = lazy(() => import('./features/coverCard/CoverCardPage.tsx'))
const SwapMapPage = lazy(() => import('./features/swapMap/SwapMapPage.tsx'))
const SlabPage = lazy(() => import('./features/slab/SlabPage.tsx'))
const PricesPage = lazy(() => import('./features/prices/PricesPage.tsx'))
const MerchantsPage = lazy(() => import('./features/merchants/MerchantsPage.tsx'))
const BringListPage = lazy(() => import('./features/merchants/BringListPage.tsx'))
const StandingPage = lazy(() => import('./features/stocks/StandingPage.tsx'))
const WatersPage = lazy(() => import('./features/waters/WatersPage.tsx'))
const StocksPage = lazy(() => import('./features/stocks/StocksPage.tsx'))
const YearPage = lazy(() => import('./features/year/YearPage.tsx'))
const HelpPage = lazy(() => import('./features/help/HelpPage.tsx'))
const HousePage = lazy(() => import('./features/house/HousePage.tsx'))
const AfterServicePage = lazy(() => import('./features/houseBook/AfterServicePage.tsx'))
const DishBookPage = lazy(() => import('./features/houseBook/DishBookPage.tsx'))
const EntriesPage = lazy(() => import('./features/houseBook/EntriesPage.tsx'))
const LookBackPage = lazy(() => import('./features/houseBook/LookBackPage.tsx'))
const BookInOutPage = lazy(() => import('./features/houseBook/BookInOutPage.tsx'))
const PracticePage = lazy(() => import('./features/practice/PracticePage.tsx'))
const LearntPage = lazy(() => import('./features/houseBook/LearntPage.tsx'))
const NothingHere = lazy(() => import('./shell/NothingHere.tsx'))

/** Every page and its address. Pages beyond home are fetched when first walked to. */
export function App() {
  const { pathname } = useLocation()
  return (
    <Shell>
      <ErrorBoundary FallbackComponent={PageFailed} resetKeys={[pathname]}>
        <Suspense fallback={<Waiting what="the page" />}>
          <Routes>
            <Route path="/" element={<HomePage />} />
            <Route path="/dishes/new" element={<BriefPage />} />
            <Route path="/dishes/:id/brief" element={<BriefPage />} />
            <Route path="/dishes/:id/line-up" element={<LineUpPage />} />
            <Route path="/dishes/:id/stand-ins" element={<StandInsPage />} />
            <Route path="/dishes/:id/amounts" element={<AmountsPage />} />
            <Route path="/dishes/:id/pot" element={<PotPage />} />
            <Route path="/dishes/:id/decisions" element={<DecisionsPage />} />
            <Route path="/dishes/:id/year" element={<YearPage />} />
            <Route path="/dishes/:id/counter" element={<DishCounterPage />} />
            <Route path="/dishes/:id/cold" element={<DishColdPage />} />
            <Route path="/dishes/:id/cook" element={<CookPage />} />
            <Route path="/dishes/:id/house-book" element={<DishBookPage />} />
            <Route path="/fish/:species" element={<FishFirstPage />} />
            <Route path="/book" element={<BookPage />} />
            <Route path="/book/compare" element={<ComparePage />} />
            <Route path="/book/new" element={<NewSpeciesPage />} />
            <Route path="/book/files" element={<FilesPage />} />
            <Route path="/book/swaps" element={<SwapMapPage />} />
            <Route path="/book/:species" element={<SpeciesPage />} />
            <Route path="/help" element={<HelpPage />} />
            <Route path="/market" element={<SlabPage />} />
            <Route path="/market/prices" element={<PricesPage />} />
            <Route path="/market/merchants" element={<MerchantsPage />} />
            <Route path="/market/merchants/:id/list" element={<BringListPage />} />
            <Route path="/market/standing" element={<StandingPage />} />
            <Route path="/market/waters" element={<WatersPage />} />
            <Route path="/market/stocks" element={<StocksPage />} />
            <Route path="/missing" element={<AbsencesPage />} />
            <Route path="/buy" element={<BuySheetPage />} />
            <Route path="/cold" element={<ColdPage />} />
            <Route path="/counter" element={<CounterPage />} />
            <Route path="/counter/look" element={<LookPage />} />
            <Route path="/run-sheet" element={<RunSheetPage />} />
            <Route path="/cover-card" element={<CoverCardPage />} />
            <Route path="/house-book" element={<AfterServicePage />} />
            <Route path="/house-book/entries" element={<EntriesPage />} />
            <Route path="/house-book/look-back" element={<LookBackPage />} />
            <Route path="/house-book/files" element={<BookInOutPage />} />
            <Route path="/practice" element={<PracticePage />} />
            <Route path="/house-book/learnt" element={<LearntPage />} />
            <Route path="/house" element={<HousePage />} />
            <Route path="*" element={<NothingHere />} />
          </Routes>
        </Suspense>
      </ErrorBoundary>
    </Shell>
  )
}
