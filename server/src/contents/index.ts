import { createHash } from 'node:crypto'
import stringify from 'fast-json-stable-stringify'

/** Canonical JSON, so that the same contents have the same name whatever order their fields came in. */
export const toCanonical = (value: unknown): string => stringify(value) ?? 'null'

/** The name of a text: its SHA-256, 64 letters. */
export const nameText = (text: string): string => createHash('sha256').update(text).digest('hex')

/** The name of contents: the SHA-256 of their canonical JSON, 64 letters. */
export const nameContents = (value: unknown): string => nameText(toCanonical(value))

/** As much of a name as tells a kitchen's books and sheets apart, 32 letters. */
export const nameShortly = (value: unknown): string => nameContents(value).slice(0, 32)
