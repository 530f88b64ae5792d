import type { Kitchen } from '@tender-gill/contract'
import { nameContents } from '../contents/index.ts'
import { computeHour } from '../kitchens/today.ts'
import { createLeastRecent } from '../sheets/leastRecent.ts'
import type { Desk } from './desk.ts'
import type { StudyName } from './studies.ts'

/**
 * Studies whose answer holds until something in the kitchen changes, or until the minute is over where they look at the clock: every page asks
 * them, and the second time they cost nothing.
 */
const HOLDS: { readonly [Name in StudyName]?: 'until-changed' | 'for-the-minute' } = {
  coverCard: 'until-changed',
  alerts: 'until-changed',
  buySheet: 'for-the-minute',
  slab: 'for-the-minute',
}

/** Answers that are kept at once, over all kitchens. */
const MOST_ANSWERS = 60

/** Keeps the answers of some studies as long as they hold. */
export function createKeptAnswers({ kitchens, now }: Pick<Desk, 'kitchens' | 'now'>) {
  const kept = createLeastRecent<{ readonly answer: unknown }>(MOST_ANSWERS)
  return {
    /** Under what an answer is kept; null where it is not. Read before the study: what changes meanwhile is asked for anew. */
    nameAnswer: async (name: StudyName, kitchen: Kitchen, payload: unknown): Promise<string | null> => {
      const holds = HOLDS[name]
      if (holds === undefined) return null
      const version = await kitchens.readVersion(kitchen.id)
      const minute = holds === 'for-the-minute' ? computeHour(now(), kitchen.zone) : ''
      return nameContents([name, kitchen.id, kitchen.today, version, minute, payload])
    },
    find: (key: string | null) => (key === null ? undefined : kept.find(key)),
    keep: (key: string | null, answer: unknown): void => {
      if (key !== null) kept.keep(key, { answer })
    },
  }
}
