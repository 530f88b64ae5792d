import type { GridColDef } from '@mui/x-data-grid'
import type { Price } from '@tender-gill/contract'
import { Grid } from '../../parts/Grid.tsx'
import { FORM_LABEL, describeMass, formatMoney } from '../../reader/index.ts'

const UNIT_WORDS = { kg: 'a kilo', lb: 'a pound', each: 'each', box: 'a box' } as const

interface Row extends Omit<Price, 'id'> {
  readonly id: number
  readonly fish: string
}

const COLUMNS: readonly GridColDef<Row>[] = [
  { field: 'fish', headerName: 'Fish', flex: 1, minWidth: 150 },
  { field: 'form', headerName: 'Sold as', width: 140, valueFormatter: (form: Row['form']) => FORM_LABEL[form] },
  { field: 'grade', headerName: 'Grade', width: 110 },
  {
    field: 'price',
    headerName: 'Price',
    type: 'number',
    width: 100,
    valueFormatter: (price: number, { currency }) => formatMoney(price, currency),
  },
  {
    field: 'unit',
    headerName: 'for',
    width: 130,
    valueFormatter: (unit: Row['unit'], { eachG }) => `${UNIT_WORDS[unit]}${eachG ? ` of ${describeMass(eachG)}` : ''}`,
  },
  {
    field: 'minimumKg',
    headerName: 'Sold from',
    type: 'number',
    width: 110,
    valueFormatter: (minimumKg: number | undefined) => (minimumKg ? describeMass(minimumKg * 1000) : ''),
  },
]

interface Props {
  readonly quotes: readonly Price[]
  /** Common names by species. */
  readonly names: Readonly<Record<string, string>>
}

/** The prices of one list, sorted by whichever head is pressed. */
export function QuoteGrid({ quotes, names }: Props) {
  const rows = quotes.map((quote, id): Row => ({ ...quote, id, fish: names[quote.species] ?? quote.species }))
  return <Grid<Row> label="Rows kept" rows={rows} columns={COLUMNS} />
}
