/** What of a kitchen is kept on the phone, so that the counter works with no reception. */
const KEPT = [
  '',
  '/buy-sheet',
  '/servings',
  '/dishes',
  '/sheets',
  '/purchases',
  '/looks',
  '/lots',
  '/cold-places',
  '/cold-readings',
  '/merchants',
  '/leanings',
  '/absences',
  '/house-book/after-service',
]
const OF_KITCHEN = /^\/api\/kitchens\/[^/]+(\/.*)?$/

/** Whether the answer to an address is kept for when there is no reception. */
export function isKept(path: string): boolean {
  if (path === '/api/kitchens') return true
  const [match, rest = ''] = OF_KITCHEN.exec(path) ?? []
  return match !== undefined && (KEPT.includes(rest) || /^\/servings\/[^/]+$/.test(rest))
}

/** Told to pages once the server has answered otherwise than what was kept, after they were given that. */
export const ANSWERED_LATE = 'answered late'
