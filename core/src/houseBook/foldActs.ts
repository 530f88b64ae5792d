import type { EntryAct, EntryLine } from '@tender-gill/contract'

/** The book as all its acts come to: lines in the order in which they began, and the learnt values that are set aside. */
export interface Book {
  readonly lines: readonly EntryLine[]
  /** Keys of learnt values that are not to count. */
  readonly setAside: ReadonlySet<string>
}

/**
 * What acts come to, in their order: of a line the last thing written counts, a withdrawn one is not there, one set aside is there and does
 * not count. An act about a line that nobody began does nothing but set a learnt value aside.
 */
export function foldActs(acts: readonly EntryAct[]): Book {
  const lines = new Map<string, EntryLine | null>()
  const setAside = new Set<string>()
  for (const { about, act, entry, writtenAt } of acts) {
    const line = lines.get(about)
    if (act === 'write' && entry)
      lines.set(about, { id: about, entry, setAside: line?.setAside ?? false, written: (line?.written ?? 0) + 1, writtenAt })
    else if (act === 'withdraw') lines.set(about, null)
    else if (line) lines.set(about, { ...line, setAside: act === 'set-aside' })
    else if (act === 'set-aside') setAside.add(about)
    else setAside.delete(about)
  }
  return { lines: [...lines.values()].filter((line) => line !== null), setAside }
}
