import type { Entry, EntryLine } from '@tender-gill/contract'
import { countDays } from '../calendar/index.ts'
import { LESSON_HALF_LIFE_DAYS, TELLING } from '../tables/learning.ts'
import { findOutcome } from './findOutcome.ts'

/** What a page speaks of. */
export interface LessonSubject {
  readonly dish?: string | undefined
  readonly species?: string | undefined
  readonly merchant?: string | undefined
}

/** How much an entry has to say to somebody who is about to do the same again; 0 where it went as it should and nobody wrote a word. */
function weighTelling(entry: Entry): number {
  const words = entry.words === null ? 0 : entry.kind === 'lesson' ? TELLING.lesson : TELLING.words
  const notes =
    entry.kind === 'served' ? Object.values(entry.notes).reduce<number>((sum, note = 0) => sum + Math.abs(note), 0) * TELLING.note : 0
  const bad = findOutcome(entry) === 'bad' ? TELLING.bad : 0
  return words + notes + bad
}

/**
 * What the house wrote about a dish, a fish or a merchant, the most telling and the newest first: what tells fades by half in half a year,
 * and what was written about just this dish with just this fish counts in full, about one of them half.
 */
export function rankLessons(lines: readonly EntryLine[], subject: LessonSubject, today: string, most: number): readonly EntryLine[] {
  const asked = (Object.keys(subject) as (keyof LessonSubject)[]).filter((key) => subject[key] !== undefined)
  return lines
    .flatMap((line) => {
      const met = asked.filter((key) => line.entry[key] === subject[key]).length
      if (line.setAside || met === 0) return []
      const age = Math.max(0, countDays(line.entry.day, today))
      const weight = weighTelling(line.entry) * (met / asked.length) * 2 ** (-age / LESSON_HALF_LIFE_DAYS)
      return weight > 0 ? [{ line, weight }] : []
    })
    .sort((a, b) => b.weight - a.weight || (a.line.entry.at > b.line.entry.at ? -1 : 1))
    .slice(0, most)
    .map(({ line }) => line)
}
