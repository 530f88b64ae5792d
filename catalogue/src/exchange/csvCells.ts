import { SourceSpecies } from '@tender-gill/contract'

/** The parts of a JSON Schema that say how a cell is read. */
interface Schema {
  readonly type?: string
  readonly properties?: Readonly<Record<string, Schema>>
  readonly patternProperties?: Readonly<Record<string, Schema>>
  readonly items?: Schema
}

const INDEX = /^[1-9]\d?$/

/** What the schema says of a column; undefined for a column it does not know. Lists of things are numbered from 1. */
function findSchema(column: string): Schema | undefined {
  let schema: Schema | undefined = SourceSpecies as unknown as Schema
  for (const token of column.split('.')) {
    if (schema?.type === 'array') schema = INDEX.test(token) ? schema.items : undefined
    else {
      const pattern: string | undefined = Object.keys(schema?.patternProperties ?? {}).find((one) => new RegExp(one).test(token))
      schema = schema?.properties?.[token] ?? (pattern === undefined ? undefined : schema?.patternProperties?.[pattern])
    }
  }
  return schema
}

const isPlainList = (schema: Schema) => schema.type === 'array' && schema.items?.type !== 'object'
/** Whether a column holds a value of its own, rather than things that have columns of theirs. */
const isCell = (schema: Schema): boolean => isPlainList(schema) || (schema.type !== 'object' && schema.type !== 'array')

const escape = (text: string) => text.replaceAll('\\', '\\\\').replaceAll('|', '\\|')
const unescape = (text: string) => text.replaceAll('\\|', '|').replaceAll('\\\\', '\\')
const splitList = (text: string) => text.match(/(?:\\.|[^|\\])+/gu)?.map((part) => unescape(part.trim())) ?? []

/** A value as a cell: numbers of a list apart by spaces, words of a list apart by bars. */
function toCell(value: unknown): string {
  if (!Array.isArray(value)) return String(value)
  return value.every((part) => typeof part === 'number') ? value.join(' ') : value.map((part) => escape(String(part))).join(' | ')
}

/** A cell that should be a number and is none stays as it stands, for the schema to refuse it at its place. */
function toNumber(text: string): number | string {
  const number = Number(text)
  return Number.isFinite(number) ? number : text
}

/** A cell as the value its schema asks for. */
function fromCell(text: string, schema: Schema): unknown {
  switch (schema.type) {
    case 'number':
    case 'integer':
      return toNumber(text.trim())
    case 'boolean':
      return text.trim() === 'true' ? true : text.trim() === 'false' ? false : text
    case 'array': {
      const numbers = schema.items?.type === 'number' || schema.items?.type === 'integer'
      return numbers
        ? text
            .trim()
            .split(/[\s,;]+/)
            .map(toNumber)
        : splitList(text)
    }
    default:
      return text
  }
}

type Node = Record<string, unknown> | unknown[]
const isNode = (value: unknown): value is Node => typeof value === 'object' && value !== null

type Cells = (readonly [column: string, cell: string])[]

function flattenInto(cells: Cells, value: unknown, prefix: string): void {
  if (!isNode(value) || (Array.isArray(value) && value.every((part) => !isNode(part)))) {
    cells.push([prefix, toCell(value)])
    return
  }
  const above = prefix === '' ? '' : `${prefix}.`
  if (Array.isArray(value)) value.forEach((part, i) => flattenInto(cells, part, `${above}${i + 1}`))
  else for (const key of Object.keys(value)) flattenInto(cells, value[key], above + key)
}

/** Lays a species out as columns, in the order of its fields. */
export function flatten(value: unknown): Readonly<Cells> {
  const cells: Cells = []
  flattenInto(cells, value, '')
  return cells
}

const holderKey = (node: Node, token: string): string | number => (Array.isArray(node) ? Number(token) - 1 : token)

/** Sets a value at a column, making what stands above it; undefined takes it away. */
function setAt(root: Record<string, unknown>, tokens: readonly string[], value: unknown): void {
  let node: Node = root
  for (const [i, token] of tokens.entries()) {
    const holder = node as Record<string | number, unknown>
    const key = holderKey(node, token)
    if (i === tokens.length - 1) {
      if (value === undefined) delete holder[key]
      else holder[key] = value
      return
    }
    if (value === undefined && holder[key] === undefined) return
    holder[key] ??= INDEX.test(tokens[i + 1] ?? '') ? [] : {}
    node = holder[key] as Node
  }
}

/** What is left of a thing all of whose cells were emptied is nothing. */
function dropEmpty(value: unknown): unknown {
  if (Array.isArray(value)) {
    const kept = value.map(dropEmpty).filter((part) => part !== undefined)
    return kept.length > 0 ? kept : undefined
  }
  if (!isNode(value)) return value
  const entries = Object.entries(value).flatMap(([key, part]) => {
    const kept = dropEmpty(part)
    return kept === undefined ? [] : [[key, kept] as const]
  })
  return entries.length > 0 ? Object.fromEntries(entries) : undefined
}

/** A column as its cells are read: where it leads, and what its schema asks for. */
export interface Column {
  readonly name: string
  readonly tokens: readonly string[]
  readonly schema: Schema
}

/** A column by its name; undefined for one that no cell of a species stands in. */
export function findColumn(name: string): Column | undefined {
  const schema = findSchema(name)
  return schema && isCell(schema) ? { name, tokens: name.split('.'), schema } : undefined
}

/**
 * Builds a species from its cells, one for each column. An empty cell says that there is nothing; a column that is not there leaves what
 * the species already has.
 * @param base the entry that the row changes; undefined for a new species
 */
export function unflatten(cells: readonly string[], columns: readonly Column[], base?: unknown): unknown {
  const root = (base === undefined ? {} : JSON.parse(JSON.stringify(base))) as Record<string, unknown>
  columns.forEach(({ tokens, schema }, i) => {
    const text = cells[i] ?? ''
    setAt(root, tokens, text.trim() === '' ? undefined : fromCell(text, schema))
  })
  return dropEmpty(root) ?? {}
}

/** A JSON Pointer as the column a person sees: `/offers/0/flesh/fat/1` is `offers.1.flesh.fat`. */
export function toColumn(pointer: string): string {
  const tokens = pointer.split('/').slice(1)
  const column: string[] = []
  for (const token of tokens) {
    const next = [...column, /^\d+$/.test(token) ? String(Number(token) + 1) : token]
    if (!findSchema(next.join('.'))) break
    const above = findSchema(column.join('.'))
    if (column.length > 0 && above && isCell(above)) break
    column.push(next.at(-1) ?? '')
  }
  return column.length > 0 ? column.join('.') : tokens.join('.')
}
