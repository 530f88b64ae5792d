import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import { Link, useParams } from 'react-router'
import { FLOATS } from './floats.ts'

/** For a float that is not built yet, and for an address that leads nowhere: says so and points on. */
export default function LaterPage() {
  const { room } = useParams()
  const float = FLOATS.find(({ slug }) => slug === room)
  return (
    <Paper sx={{ p: 3, maxWidth: 620, m: 'auto' }}>
      <Typography variant="h1" gutterBottom>
        {float ? `${float.label} is not built yet` : 'Nothing stands here'}
      </Typography>
      <Typography gutterBottom>{float ? `It will show ${float.will}.` : 'The address may be mistyped, or the dish taken away.'}</Typography>
      <Button component={Link} to="/" variant="contained">
        To the dishes
      </Button>
    </Paper>
  )
}
