import Papa from 'papaparse'
import type { ListReading, Price } from '@tender-gill/contract'

const FIELDS = ['name', 'form', 'price', 'unit', 'eachG', 'grade', 'origin', 'state', 'currency', 'minimumKg'] as const

/** Quotes as a list with headings of their own, and how it is read back. Fish stand under their scientific names. */
export function writeListText(quotes: readonly Price[]): { readonly text: string; readonly reading: ListReading } {
  const data = quotes.map(({ species, ...quote }) => FIELDS.map((field) => (field === 'name' ? species : (quote[field] ?? ''))))
  return {
    text: Papa.unparse({ fields: [...FIELDS], data }),
    reading: {
      columns: Object.fromEntries(FIELDS.map((field) => [field, field])),
      ...{ form: null, unit: 'kg', currency: quotes[0]?.currency ?? 'EUR', origin: null, state: null, decimal: '.' },
    },
  }
}
