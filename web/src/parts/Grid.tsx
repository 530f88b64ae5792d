import type { GridColDef, GridRowId, GridSortModel, GridValidRowModel } from '@mui/x-data-grid'
import { lazy, Suspense } from 'react'
import { readStyleNonce } from '../styleNonce.ts'
import { INK } from '../theme.ts'
import { Waiting } from './Waiting.tsx'

// Fetched where a table is looked at, and not before.
const DataGrid = lazy(() => import('@mui/x-data-grid').then((grid) => ({ default: grid.DataGrid })))

interface Props<R extends GridValidRowModel & { readonly id: GridRowId }> {
  readonly label: string
  readonly rows: readonly R[]
  readonly columns: readonly GridColDef<R>[]
  readonly sortedBy?: GridSortModel[number]
  /** Rows as tall as what is said in them, not one line each; all of them stand in the page, to be found by whoever searches it. */
  readonly tall?: boolean
}

const ROW_PX = 44
const HEAD_PX = 44
/** Rows of one page of the table. */
const PAGE = 100
/** More rows than this scroll within the table. */
const MOST_PX = 620

/** Rows that are compared and sorted: a press on a head sorts by it, and again the other way round. */
export function Grid<R extends GridValidRowModel & { readonly id: GridRowId }>({ label, rows, columns, sortedBy, tall = false }: Props<R>) {
  const height = Math.min(MOST_PX, HEAD_PX + Math.max(1, rows.length) * ROW_PX + 2)
  return (
    <div style={tall ? { maxHeight: MOST_PX, display: 'flex', flexDirection: 'column' } : { height }}>
      <Suspense fallback={<Waiting what="the table" shape="rows" />}>
        <DataGrid
          aria-label={label}
          rows={rows}
          columns={columns as readonly GridColDef[]}
          initialState={sortedBy ? { sorting: { sortModel: [sortedBy] } } : {}}
          rowHeight={ROW_PX}
          columnHeaderHeight={HEAD_PX}
          disableVirtualization={tall}
          getRowHeight={tall ? () => 'auto' : undefined}
          nonce={readStyleNonce()}
          hideFooter={rows.length <= PAGE}
          pageSizeOptions={[PAGE]}
          disableColumnMenu
          disableRowSelectionOnClick
          sx={{
            border: 'none',
            bgcolor: 'background.paper',
            '& .MuiDataGrid-columnHeaderTitle': { fontWeight: 700 },
            '& .MuiDataGrid-columnSeparator': { color: INK.hairline },
            '& .MuiDataGrid-row': { borderBottom: `1px solid ${INK.hairline}` },
            '& .MuiDataGrid-cell': {
              borderColor: INK.hairline,
              ...(tall ? { py: 1, whiteSpace: 'normal', alignItems: 'flex-start' } : {}),
            },
          }}
        />
      </Suspense>
    </div>
  )
}
