import Box from '@mui/material/Box'
import { useAlertsQuery } from '../../api/api.ts'
import { INK } from '../../theme.ts'

/** What happened to the decision of a dish since it was taken; nothing where nothing did. */
export function DishAlert({ servingId }: { readonly servingId: string }) {
  const { data: alerts = [] } = useAlertsQuery()
  const alert = alerts.find((one) => one.servingId === servingId)
  if (!alert) return null
  return (
    <Box sx={{ borderLeft: `5px solid ${INK.roe}`, pl: 1, color: INK.dulse, fontWeight: 700 }} role="note">
      {alert.sentence}
    </Box>
  )
}
