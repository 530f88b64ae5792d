import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import { useEffect, useState } from 'react'

/** Says what is awaited, once it has taken long enough to be noticed. */
export function Waiting({ what }: { readonly what: string }) {
  const [noticed, setNoticed] = useState(false)
  useEffect(() => {
    const timer = setTimeout(() => setNoticed(true), 300)
    return () => clearTimeout(timer)
  }, [])
  return (
    <Box role="status" sx={{ p: 3, minHeight: 120 }}>
      {noticed && <Typography color="text.secondary">Fetching {what} ...</Typography>}
    </Box>
  )
}
