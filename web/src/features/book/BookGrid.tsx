import type { GridColDef } from '@mui/x-data-grid'
import type { Method } from '@tender-gill/contract'
import { Link } from 'react-router'
import type { BookRow, BookTrait } from '../../engine/bookRows.ts'
import { fishPath } from '../../parts/bookWords.ts'
import { Grid } from '../../parts/Grid.tsx'
import { ASK_LABEL, METHOD_LABEL, describeValue } from '../../reader/index.ts'
import { INK } from '../../theme.ts'

type Row = BookRow & { readonly id: string }
const TRAITS: readonly BookTrait[] = ['firmness', 'flake', 'cohesion', 'fat', 'flavour', 'bones', 'tolerance', 'collagen', 'skin', 'weight']

/** Wide enough for the longest word of the trait. */
const WIDTH_PX: { readonly [T in BookTrait]?: number } = { weight: 90, flake: 160, cohesion: 170, flavour: 160, tolerance: 150, skin: 160 }

const nameColumn: GridColDef<Row> = {
  field: 'common',
  headerName: 'Fish',
  flex: 1,
  minWidth: 190,
  renderCell: ({ row }) => (
    <span title={row.species}>
      <Link to={fishPath(row.species)} style={{ color: INK.squid, fontWeight: 700 }}>
        {row.common}
      </Link>
    </span>
  ),
}
const traitColumn = (trait: BookTrait): GridColDef<Row> => ({
  field: trait,
  headerName: trait === 'weight' ? 'Size' : ASK_LABEL[trait],
  type: 'number',
  width: WIDTH_PX[trait] ?? 132,
  align: 'left',
  headerAlign: 'left',
  valueGetter: (_value, { traits }) => traits[trait],
  valueFormatter: (value: number) => describeValue(trait, value),
})
const fitColumn = (method: Method): GridColDef<Row> => ({
  field: 'fit',
  headerName: METHOD_LABEL[method],
  description: 'Fit of 100 for this way of cooking, in its usual cut',
  type: 'number',
  width: 120,
  valueGetter: (_value, { fits }) => fits?.[method] ?? null,
  valueFormatter: (fit: number | null) => (fit === null ? 'cannot' : fit.toFixed(0)),
})
const cautionColumn: GridColDef<Row> = {
  field: 'warnings',
  headerName: 'Caution',
  width: 160,
  valueGetter: (_value, { warnings }) => warnings.join(', '),
}

/** The fish found as a table: every trait in a column, sorted by whichever head is pressed. */
export function BookGrid({ rows, method }: { readonly rows: readonly BookRow[]; readonly method: Method | null }) {
  const columns = [nameColumn, ...(method ? [fitColumn(method)] : []), ...TRAITS.map(traitColumn), cautionColumn]
  return <Grid<Row> label="Fish found" rows={rows.map((row) => ({ ...row, id: row.species }))} columns={columns} />
}
