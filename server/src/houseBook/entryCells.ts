import { FLESH_KEYS, type Entry, type EntryKind, type EntryLine } from '@tender-gill/contract'

/** How a field of an entry stands in a row: as it is, as a number, as yes or no, as three numbers, or as a column a trait. */
type Codec = 'text' | 'number' | 'flag' | 'range' | 'notes'
interface Field {
  /** Its name in the entry, and in the file. */
  readonly key: string
  readonly column: string
  readonly codec: Codec
  /** Whether an empty cell says nothing rather than that it is not known. */
  readonly needed?: true
}
const field = (key: string, column: string, codec: Codec = 'text', needed?: true): Field => ({
  key,
  column,
  codec,
  ...(needed && { needed }),
})

const ABOUT: readonly Field[] = [
  field('at', 'at'),
  field('day', 'day', 'text', true),
  field('servingId', 'serving'),
  field('dish', 'dish'),
  field('method', 'method'),
  field('species', 'species'),
  field('offerId', 'offer'),
  field('form', 'form'),
  field('merchant', 'merchant'),
  field('words', 'words'),
]
const OWN: Readonly<Record<EntryKind, readonly Field[]>> = {
  bought: [
    field('state', 'state', 'text', true),
    field('orderedG', 'ordered_g', 'number', true),
    ...[field('g', 'g', 'number'), field('perKg', 'per_kg', 'number'), field('expectedPerKg', 'expected_per_kg', 'number')],
    field('currency', 'currency'),
  ],
  looked: [field('outcome', 'outcome', 'text', true), field('refused', 'refused', 'flag', true), field('iceDays', 'ice_days', 'range')],
  kept: [field('end', 'end', 'text', true), field('g', 'g', 'number', true), field('days', 'days_kept', 'number', true)],
  weighed: [
    field('boughtAs', 'bought_as', 'text', true),
    field('boughtG', 'bought_g', 'number', true),
    field('edibleG', 'edible_g', 'number', true),
  ],
  cooked: [
    field('done', 'done'),
    ...[field('minutes', 'minutes', 'number'), field('sheetMinutes', 'sheet_minutes', 'range')],
    ...[field('pullC', 'out_at_c', 'number'), field('sheetPullC', 'sheet_out_at_c', 'number')],
  ],
  served: [
    field('covers', 'covers', 'number', true),
    field('notes', 'note', 'notes', true),
    ...[field('bones', 'bones'), field('again', 'again', 'flag'), field('photo', 'photo')],
  ],
  'came-back': [field('portions', 'portions', 'number', true)],
  swapped: [field('missing', 'missing', 'text', true), field('standIn', 'stand_in', 'text', true), field('worked', 'worked', 'flag')],
  lesson: [],
}
const ENDS = ['low', 'typical', 'high'] as const
const columnsOf = ({ column, codec }: Field): readonly string[] =>
  codec === 'range' ? ENDS.map((end) => `${column}_${end}`) : codec === 'notes' ? FLESH_KEYS.map((trait) => `${column}_${trait}`) : [column]

/** Every column of the house book as a file, in the order in which they are written. */
export const ENTRY_COLUMNS: readonly string[] = [
  ...new Set(['id', 'kind', 'set_aside', ...ABOUT.flatMap(columnsOf), ...Object.values(OWN).flat().flatMap(columnsOf)]),
]

const write = (value: unknown): string =>
  value === null || value === undefined ? '' : value === true ? 'yes' : value === false ? 'no' : String(value)

/** A line as the cells of a row. */
export function toCells({ id, entry, setAside }: EntryLine): Readonly<Record<string, string>> {
  const said = entry as unknown as Readonly<Record<string, unknown>>
  const cells = [...ABOUT, ...OWN[entry.kind]].flatMap((one): readonly (readonly [string, string])[] => {
    const value = said[one.key]
    if (one.codec === 'text' || one.codec === 'number' || one.codec === 'flag') return [[one.column, write(value)]]
    const parts = (value ?? {}) as Readonly<Record<string, unknown>>
    return (one.codec === 'range' ? ENDS : FLESH_KEYS).map((part) => [`${one.column}_${part}`, write(parts[part])] as const)
  })
  return { id, kind: entry.kind, set_aside: setAside ? 'yes' : '', ...Object.fromEntries(cells) }
}

type Fail = (column: string, message: string) => void
type Cells = Readonly<Record<string, string | undefined>>

const YES = new Set(['yes', 'true', '1'])
const NO = new Set(['no', 'false', '0'])

function readCell(cells: Cells, { column, codec, needed }: Field, fail: Fail): unknown {
  const text = cells[column] ?? ''
  if (text === '') {
    if (needed) fail(column, 'is wanted')
    return null
  }
  if (codec === 'number') return readNumber(text, column, fail)
  if (codec !== 'flag') return text
  if (YES.has(text.toLowerCase())) return true
  if (!NO.has(text.toLowerCase())) fail(column, 'must be yes or no')
  return false
}
function readNumber(text: string, column: string, fail: Fail): number {
  const value = Number(text.replace(',', '.'))
  if (!Number.isFinite(value)) fail(column, `must be a number, not "${text.slice(0, 20)}"`)
  return value
}
function readParts(cells: Cells, { column, codec }: Field, fail: Fail): unknown {
  const names = codec === 'range' ? ENDS : FLESH_KEYS
  const parts = names.flatMap((name): readonly (readonly [string, number])[] => {
    const text = cells[`${column}_${name}`] ?? ''
    return text === '' ? [] : [[name, readNumber(text, `${column}_${name}`, fail)]]
  })
  if (codec === 'notes') return Object.fromEntries(parts)
  if (parts.length === 0) return null
  const typical = parts.find(([name]) => name === 'typical')?.[1]
  if (typical === undefined) fail(`${column}_typical`, 'is wanted where the others are given')
  return { low: typical, typical, high: typical, ...Object.fromEntries(parts) }
}

/** An entry out of a row, not yet checked against its schema; what cannot be read is said by its column. */
export function fromCells(cells: Cells, fail: Fail): { readonly [key: string]: unknown } | undefined {
  const kind = cells.kind ?? ''
  const own = Object.hasOwn(OWN, kind) ? OWN[kind as EntryKind] : undefined
  if (!own) {
    fail('kind', kind === '' ? 'is wanted' : `must be one of ${Object.keys(OWN).join(', ')}`)
    return undefined
  }
  const known = new Set([...ABOUT, ...own].flatMap(columnsOf))
  for (const [column, text] of Object.entries(cells))
    if (text && !known.has(column) && !['id', 'kind', 'set_aside'].includes(column))
      fail(column, `says nothing of an entry of the kind ${kind}`)
  const read = (one: Field) => (one.codec === 'range' || one.codec === 'notes' ? readParts(cells, one, fail) : readCell(cells, one, fail))
  const entry = Object.fromEntries([...ABOUT, ...own].map((one) => [one.key, read(one)]))
  const { day } = entry
  // A day without an hour: the middle of it.
  return { kind, ...entry, at: entry.at ?? (typeof day === 'string' ? `${day}T12:00:00Z` : null) }
}

/** The column in which a place of an entry stands. */
export function columnOf(entry: Pick<Entry, 'kind'>, path: string): string | null {
  const [, key = '', part] = path.split('/')
  const found = [...ABOUT, ...OWN[entry.kind]].find((one) => one.key === key)
  return found ? (part === undefined || found.codec === 'text' ? found.column : `${found.column}_${part}`) : null
}
