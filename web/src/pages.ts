import { lazy, type ComponentType } from 'react'
import { matchRoutes } from 'react-router'

interface PageAt {
  /** Its address below the kitchen's. */
  readonly path: string
  readonly load: () => Promise<{ readonly default: ComponentType }>
}

// One page at two addresses: what is typed into a new dish stays when it is kept.
const brief = () => import('./features/brief/BriefPage.tsx')

/** Every page but home, which comes with the ground: fetched when first walked to. */
const PAGES: readonly PageAt[] = [
  { path: '/dishes/new', load: brief },
  { path: '/dishes/:id/brief', load: brief },
  { path: '/dishes/:id/line-up', load: () => import('./features/lineUp/LineUpPage.tsx') },
  { path: '/dishes/:id/stand-ins', load: () => import('./features/standIns/StandInsPage.tsx') },
  { path: '/dishes/:id/amounts', load: () => import('./features/amounts/AmountsPage.tsx') },
  { path: '/dishes/:id/pot', load: () => import('./features/pot/PotPage.tsx') },
  { path: '/dishes/:id/decisions', load: () => import('./features/decisions/DecisionsPage.tsx') },
  { path: '/dishes/:id/year', load: () => import('./features/year/YearPage.tsx') },
  { path: '/dishes/:id/counter', load: () => import('./features/counter/DishCounterPage.tsx') },
  { path: '/dishes/:id/cold', load: () => import('./features/cold/DishColdPage.tsx') },
  { path: '/dishes/:id/cook', load: () => import('./features/cook/CookPage.tsx') },
  { path: '/dishes/:id/house-book', load: () => import('./features/houseBook/DishBookPage.tsx') },
  { path: '/fish/:species', load: () => import('./features/fishFirst/FishFirstPage.tsx') },
  { path: '/book', load: () => import('./features/book/BookPage.tsx') },
  { path: '/book/compare', load: () => import('./features/compare/ComparePage.tsx') },
  { path: '/book/new', load: () => import('./features/species/NewSpeciesPage.tsx') },
  { path: '/book/files', load: () => import('./features/bookFiles/FilesPage.tsx') },
  { path: '/book/swaps', load: () => import('./features/swapMap/SwapMapPage.tsx') },
  { path: '/book/:species', load: () => import('./features/species/SpeciesPage.tsx') },
  { path: '/help', load: () => import('./features/help/HelpPage.tsx') },
  { path: '/market', load: () => import('./features/slab/SlabPage.tsx') },
  { path: '/market/prices', load: () => import('./features/prices/PricesPage.tsx') },
  { path: '/market/merchants', load: () => import('./features/merchants/MerchantsPage.tsx') },
  { path: '/market/merchants/:id/list', load: () => import('./features/merchants/BringListPage.tsx') },
  { path: '/market/standing', load: () => import('./features/stocks/StandingPage.tsx') },
  { path: '/market/waters', load: () => import('./features/waters/WatersPage.tsx') },
  { path: '/market/stocks', load: () => import('./features/stocks/StocksPage.tsx') },
  { path: '/missing', load: () => import('./features/absences/AbsencesPage.tsx') },
  { path: '/buy', load: () => import('./features/buySheet/BuySheetPage.tsx') },
  { path: '/cold', load: () => import('./features/cold/ColdPage.tsx') },
  { path: '/counter', load: () => import('./features/counter/CounterPage.tsx') },
  { path: '/counter/look', load: () => import('./features/counter/LookPage.tsx') },
  { path: '/run-sheet', load: () => import('./features/runSheet/RunSheetPage.tsx') },
  { path: '/cover-card', load: () => import('./features/coverCard/CoverCardPage.tsx') },
  { path: '/house-book', load: () => import('./features/houseBook/AfterServicePage.tsx') },
  { path: '/house-book/entries', load: () => import('./features/houseBook/EntriesPage.tsx') },
  { path: '/house-book/look-back', load: () => import('./features/houseBook/LookBackPage.tsx') },
  { path: '/house-book/files', load: () => import('./features/houseBook/BookInOutPage.tsx') },
  { path: '/practice', load: () => import('./features/practice/PracticePage.tsx') },
  { path: '/house-book/learnt', load: () => import('./features/houseBook/LearntPage.tsx') },
  { path: '/house', load: () => import('./features/house/HousePage.tsx') },
]

const fetched = new Map<PageAt['load'], ComponentType>()

/** Fetches the page of an address before anything is drawn; done in any case within the time given. @param path below the kitchen's */
export async function fetchPage(path: string, patienceMs: number): Promise<void> {
  const [found] =
    matchRoutes(
      PAGES.map(({ path, load }) => ({ path, handle: load })),
      path,
    ) ?? []
  if (!found) return
  const load = found.route.handle
  const waited = new Promise<void>((resolve) => setTimeout(resolve, patienceMs))
  const come = load().then(
    ({ default: Page }) => void fetched.set(load, Page),
    // A page that cannot be fetched is told where it is drawn.
    () => undefined,
  )
  await Promise.race([waited, come])
}

/** The component of every address: the one that was fetched already is drawn at once, the others when they have come. */
export function layPages(): readonly { readonly path: string; readonly Page: ComponentType }[] {
  const drawn = new Map<PageAt['load'], ComponentType>()
  return PAGES.map(({ path, load }) => {
    const Page = drawn.get(load) ?? fetched.get(load) ?? lazy(load)
    drawn.set(load, Page)
    return { path, Page }
  })
}
