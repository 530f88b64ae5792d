import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { INK } from '../../theme.ts'

const SHOWN = 200

interface Row {
  readonly line: number
  /** The column, or whatever else the row is known by. */
  readonly at: string | null
  readonly message: string
}

/** Rows of a file that could not be kept, by line. @param heading what stands beside the line: a column, a species */
export function BadRows({ rows, heading = 'Column' }: { readonly rows: readonly Row[]; readonly heading?: string }) {
  if (rows.length === 0) return null
  return (
    <Box sx={{ overflow: 'auto', maxHeight: 320 }} tabIndex={0} role="region" aria-label="Rows that cannot be kept">
      <Box
        component="table"
        sx={{
          borderCollapse: 'collapse',
          width: '100%',
          fontSize: 14,
          '& th, & td': { borderTop: `1px solid ${INK.hairline}`, textAlign: 'left', py: 0.5, pr: 2, verticalAlign: 'top' },
        }}
      >
        <thead>
          <tr>
            <th scope="col">Line</th>
            <th scope="col">{heading}</th>
            <th scope="col">What is wrong</th>
          </tr>
        </thead>
        <tbody>
          {rows.slice(0, SHOWN).map(({ line, at, message }) => (
            <tr key={`${line} ${message}`}>
              <td>{line}</td>
              <td>{at ?? ''}</td>
              <td>{message}</td>
            </tr>
          ))}
        </tbody>
      </Box>
      {rows.length > SHOWN && <Typography variant="body2">and {rows.length - SHOWN} more</Typography>}
    </Box>
  )
}
