import { afterEach, vi } from 'vitest'
import { closeAll } from './closing.ts'
import { cleanup } from './page.tsx'

// Files of pages share their modules and their document: after each test nothing is left on the page, open, put in another's place, or kept.
afterEach(async () => {
  cleanup()
  await closeAll()
  vi.useRealTimers()
  vi.unstubAllGlobals()
  localStorage.clear()
})
