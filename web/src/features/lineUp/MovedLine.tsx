import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { useHistory } from '../../documents/index.ts'
import { INK } from '../../theme.ts'

/** What the last change moved, with the way back and forth. It always has its room, so that no row jumps when it speaks. */
export function MovedLine({ moved }: { readonly moved: string | null }) {
  const { last, next, undo, redo } = useHistory()
  return (
    <Box
      component="section"
      aria-label="Your changes"
      sx={{
        mx: 1.5,
        mb: 0.5,
        pl: 1,
        borderLeft: `3px solid ${INK.hairline}`,
        display: 'flex',
        gap: 0.5,
        alignItems: 'center',
        minHeight: { xs: 44, md: 32 },
      }}
    >
      <Typography variant="body2" role="status" aria-label="What the last change did" sx={{ flex: 1, minWidth: 0 }}>
        {moved ?? 'Change what it asks, and what moves is said here.'}
      </Typography>
      <Button size="small" disabled={!last} onClick={undo} aria-keyshortcuts="Control+Z" title="Undo the last change (Ctrl+Z)">
        Undo
      </Button>
      <Button size="small" disabled={!next} onClick={redo} aria-keyshortcuts="Control+Shift+Z" title="Do it again (Ctrl+Shift+Z)">
        Redo
      </Button>
    </Box>
  )
}
