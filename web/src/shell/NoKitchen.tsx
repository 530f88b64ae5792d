import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import { useKitchenQuery, useKitchensQuery } from '../api/api.ts'
import { kitchenPath } from '../kitchen/index.ts'

/** Whether the kitchen in the address is kept here; until the server has answered it is taken to be. */
export function useIsKitchen(): boolean {
  const { error } = useKitchenQuery()
  return (error as { status?: unknown } | undefined)?.status !== 404
}

/** The address names a kitchen that is not kept: says so, and leads to those that are. */
export function NoKitchen() {
  const { data: kitchens = [] } = useKitchensQuery()
  return (
    <Paper sx={{ p: 3, maxWidth: 620, m: 'auto' }}>
      <Typography variant="h1" gutterBottom>
        There is no such kitchen
      </Typography>
      <Typography gutterBottom>The address may be mistyped. These are kept here:</Typography>
      {kitchens.map(({ id, name }) => (
        <Button key={id} href={`${kitchenPath(id)}/`} variant="outlined" sx={{ mr: 1, minHeight: 44 }}>
          {name}
        </Button>
      ))}
    </Paper>
  )
}
