import type { GridColDef } from '@mui/x-data-grid'
import Button from '@mui/material/Button'
import type { LeftOutFish, Opening } from '@tender-gill/contract'
import { Link } from 'react-router'
import { fishPath } from '../../parts/bookWords.ts'
import { Grid } from '../../parts/Grid.tsx'
import { GATE_LABEL } from '../../reader/index.ts'
import { INK } from '../../theme.ts'

type Row = LeftOutFish & { readonly id: string }

interface Props {
  readonly leftOut: readonly LeftOutFish[]
  readonly onOpen: (opens: readonly Opening[]) => void
}

const listColumns = (onOpen: Props['onOpen']): readonly GridColDef<Row>[] => [
  {
    ...{ field: 'common', headerName: 'Fish', flex: 1, minWidth: 130 },
    renderCell: ({ row: { species, common } }) => (
      <Link to={fishPath(species)} style={{ color: INK.squid, fontWeight: 700 }}>
        {common}
      </Link>
    ),
  },
  {
    ...{ field: 'gate', headerName: 'Left out for', width: 112 },
    valueGetter: (_value, { gate }) => GATE_LABEL[gate],
    renderCell: ({ value }) => <span style={{ color: INK.dulse }}>{value as string}</span>,
  },
  { field: 'sentence', headerName: 'Why', flex: 1.6, minWidth: 180, sortable: false },
  {
    ...{ field: 'opensIf', headerName: 'What lets it in', flex: 1.7, minWidth: 190 },
    // Those that something lets in stand together.
    sortComparator: (a: string | null, b: string | null) => Number(b !== null) - Number(a !== null) || (a ?? '').localeCompare(b ?? ''),
    valueGetter: (_value, { opensIf }) => opensIf ?? null,
    renderCell: ({ row: { opensIf, opens } }) =>
      opens && opensIf ? (
        <span>
          {opensIf}{' '}
          <Button size="small" onClick={() => onOpen(opens)}>
            Change the brief so
          </Button>
        </span>
      ) : (
        <span style={{ color: INK.slate }}>No change of this dish does.</span>
      ),
  },
]

/** Who was left out, to be sorted by name, by reason, or by whether anything lets them in. */
export function LeftOutGrid({ leftOut, onOpen }: Props) {
  return (
    <Grid<Row> label="Who was left out" tall rows={leftOut.map((row) => ({ ...row, id: row.species }))} columns={listColumns(onOpen)} />
  )
}
