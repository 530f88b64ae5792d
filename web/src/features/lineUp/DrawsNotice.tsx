import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import LinearProgress from '@mui/material/LinearProgress'
import Typography from '@mui/material/Typography'
import type { Dish } from '../../state/useDish.ts'

/** How far the draws are, and how they are left. */
export interface Study {
  readonly progress: number | null
  readonly left: boolean
  readonly leave: () => void
}

const MANY_DRAWS = 20_000
const thousands = (n: number) => n.toLocaleString('en-GB')

/** What the shares rest on; more draws on request, with their progress and a way to leave them. */
export function DrawsNotice({ dish, draws, progress, left, leave }: Study & { readonly dish: Dish; readonly draws: number }) {
  const draw = (n: number) => dish.edit({ brief: { ...dish.brief, draws: n } })
  return (
    <Box sx={{ px: 1.5, py: 0.5, display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap', minHeight: 44 }}>
      <Typography variant="body2" color="text.secondary">
        {left
          ? `The ${thousands(draws)} draws were left: no shares are shown.`
          : `Shares are of ${thousands(draws)} draws of traits, prices and how much each ask matters.`}
      </Typography>
      {progress !== null ? (
        <>
          <LinearProgress variant="determinate" value={100 * progress} aria-label="Draws done" sx={{ width: 120 }} />
          <Button size="small" onClick={leave}>
            Leave it
          </Button>
        </>
      ) : (
        draws < MANY_DRAWS && (
          <Button size="small" onClick={() => draw(MANY_DRAWS)}>
            Draw {thousands(MANY_DRAWS)}
          </Button>
        )
      )}
      {draws >= MANY_DRAWS && progress === null && (
        <Button size="small" onClick={() => draw(2000)}>
          Back to 2,000
        </Button>
      )}
    </Box>
  )
}
