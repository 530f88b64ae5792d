import Popover from '@mui/material/Popover'
import Typography from '@mui/material/Typography'
import { Link } from 'react-router'
import { INK } from '../theme.ts'
import { EXPLAINED, type Explained } from './explained.ts'
import { EXPLANATIONS } from './explanations.ts'

interface Props {
  readonly about: Explained
  readonly anchor: HTMLElement | null
  readonly onClose: () => void
}

/** What a drawing or a figure is, in a few words, and where more of it is told. */
export default function Explanation({ about, anchor, onClose }: Props) {
  const { words, at } = EXPLANATIONS[about]
  const title = EXPLAINED[about]
  return (
    <Popover
      open={anchor !== null}
      anchorEl={anchor}
      onClose={onClose}
      anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
      slotProps={{ paper: { role: 'dialog', 'aria-label': title, sx: { maxWidth: 360, p: 2 } } }}
    >
      <Typography component="h2" variant="h3" gutterBottom>
        {title}
      </Typography>
      <Typography gutterBottom>{words}</Typography>
      <Link to={`/help#${at}`} onClick={onClose} style={{ color: INK.kelp }}>
        How it is worked out
      </Link>
    </Popover>
  )
}
