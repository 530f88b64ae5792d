import type { EntryLine } from '@tender-gill/contract'
import { useAnswer, useSheet } from '../../engine/index.ts'
import type { NameOf } from '../../parts/entryWords.ts'

/** What the species of some lines are called here; their own names until that is known. */
export function useNames(lines: readonly Pick<EntryLine, 'entry'>[]): NameOf {
  const species = [
    ...new Set(
      lines.flatMap(({ entry }) => [
        ...(entry.species === null ? [] : [entry.species]),
        ...(entry.kind === 'swapped' ? [entry.missing, entry.standIn] : []),
      ]),
    ),
  ].sort()
  const names = useAnswer(useSheet(), species.join(',') || null, (desk) => desk.commonNames(species))?.value
  return (one) => names?.[one] ?? one
}
