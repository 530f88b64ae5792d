import type { EntryKind } from '@tender-gill/contract'

/** Records that write themselves into the house book. */
export const TELLING_RECORDS = ['purchase', 'look', 'lot'] as const
export type TellingRecord = (typeof TELLING_RECORDS)[number]
/** What is written of a fish after service, each on a line of its own. */
export type ServedLine = Extract<EntryKind, 'served' | 'cooked' | 'weighed' | 'came-back' | 'swapped' | 'lesson'>

/** Names that are no line's: learnt values, and files that were brought in. */
const NO_LINES = ['trait', 'yield', 'merchant', 'swap', 'import'] as const
const begins = (id: string, names: readonly string[]): boolean => names.some((name) => id.startsWith(`${name}:`))

/** The line that a record writes. */
export const recordLine = (record: TellingRecord, id: string): string => `${record}:${id}`
/** Whether a line is written by a record, and changed there. */
export const isRecordLine = (id: string): boolean => begins(id, TELLING_RECORDS)
/** Whether a name may be a line's. */
export const isLineName = (id: string): boolean => !begins(id, NO_LINES)
/** Whether a name is that of a learnt value. */
export const isLearntName = (id: string): boolean =>
  begins(
    id,
    NO_LINES.filter((name) => name !== 'import'),
  )

/** A fish of a serving: the serving itself for its first fish, named beside it for the others of a pot. */
export const servedKey = (servingId: string, besideOfferId?: string): string =>
  besideOfferId === undefined ? servingId : `${servingId}|${besideOfferId}`
/** A fish of a serving has one line of each kind, whoever writes it down on whatever device: written twice, it is corrected. */
export const servedLine = (key: string, kind: ServedLine): string => `service:${key}:${kind}`
/** Whether a line is one of a fish of a serving. */
export const isServedLine = (id: string, key: string): boolean => id.startsWith(`service:${key}:`)
