import { LIST_FIELDS, type ListField, type ListReading } from '@tender-gill/contract'

const fold = (text: string) =>
  text
    .toLowerCase()
    .replaceAll(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()

/** Words merchants head their columns with, the plainest first. */
const HEADINGS: Readonly<Record<ListField, readonly string[]>> = {
  name: ['fish', 'name', 'species', 'market name', 'product', 'item', 'description', 'article'],
  price: ['price', 'price per kg', 'per kg', 'price kg', 'eur kg', 'cost', 'amount', 'today'],
  form: ['form', 'cut', 'presentation', 'as', 'preparation'],
  unit: ['unit', 'per', 'sold by', 'uom'],
  eachG: ['g each', 'weight g', 'piece g', 'box g', 'unit weight g', 'each g'],
  grade: ['grade', 'size', 'size grade', 'calibre'],
  origin: ['origin', 'wild farmed', 'source', 'caught or farmed'],
  state: ['state', 'fresh frozen', 'condition', 'storage'],
  currency: ['currency', 'ccy'],
  minimumKg: ['minimum kg', 'min kg', 'minimum', 'least kg', 'moq'],
}

/**
 * A first reading of a list nobody has read before: columns by their headings, each heading once. Where no heading says so, prices are by the
 * kilo in the kitchen's currency, for whole fish.
 */
export function guessReading(headings: readonly string[], sample: readonly (readonly string[])[], currency: string): ListReading {
  const columns: Partial<Record<ListField, string>> = {}
  const taken = new Set<string>()
  for (const field of LIST_FIELDS)
    for (const word of HEADINGS[field]) {
      const heading = headings.find((one) => fold(one) === word && !taken.has(one))
      if (!heading) continue
      columns[field] = heading
      taken.add(heading)
      break
    }
  const at = columns.price === undefined ? -1 : headings.indexOf(columns.price)
  const prices = sample.map((row) => (row[at] ?? '').trim())
  const after = (sign: RegExp) => prices.filter((price) => sign.test(price)).length
  return {
    columns,
    form: columns.form === undefined ? 'whole' : null,
    unit: 'kg',
    currency,
    origin: null,
    state: null,
    decimal: after(/\d,\d{1,2}$/) > after(/\d\.\d{1,2}$/) ? ',' : '.',
  }
}
