import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import { Link } from 'react-router'

/** For an address that leads nowhere: says so and points on. */
export default function NothingHere() {
  return (
    <Paper sx={{ p: 3, maxWidth: 620, m: 'auto' }}>
      <Typography variant="h1" gutterBottom>
        Nothing stands here
      </Typography>
      <Typography gutterBottom>The address may be mistyped, or the dish taken away.</Typography>
      <Button component={Link} to="/" variant="contained">
        To the dishes
      </Button>
    </Paper>
  )
}
