import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { Brief, HouseLearnt, Method, ServingRecord } from '@tender-gill/contract'
import { useSaveServingMutation, useServingsQuery } from '../../api/api.ts'
import { useUndoable } from '../../notices/index.ts'
import { ASK_LABEL, describeDay, METHOD_LABEL } from '../../reader/index.ts'
import { HEADING, INK } from '../../theme.ts'

type Pull = HouseLearnt['pulls'][number]

/** Pulls that moved less than this, as a logarithm, are as they were. */
const MOVED = 0.1
const MOST_PULL = 5
const MOST_TOLD = 3
const MOST_CHOICES = 8

const byMove = (a: Pull, b: Pull): number => Math.abs(Math.log(b.is / b.was)) - Math.abs(Math.log(a.is / a.was))
/** Those that a cook would notice, what moved most first. */
export const listMoved = (pulls: readonly Pull[], method: Method): readonly Pull[] =>
  pulls.filter((pull) => pull.method === method && Math.abs(Math.log(pull.is / pull.was)) > MOVED).sort(byMove)

/** A brief that asks as the kitchen seems to care; pulls in halves, as they are set by hand. */
export function askSo(brief: Brief, pulls: readonly Pull[]): Brief {
  return pulls.reduce((asked, { trait, is }): Brief => {
    const pull = Math.min(MOST_PULL, Math.round(is * 2) / 2)
    // The colour of the flesh is asked apart, and only where a dish asks it at all.
    if (trait === 'colour') return asked.colour ? { ...asked, colour: { ...asked.colour, pull } } : asked
    return { ...asked, asks: { ...asked.asks, [trait]: { ...asked.asks?.[trait], pull } } }
  }, brief)
}

interface Props {
  readonly method: Method
  readonly pulls: readonly Pull[]
  readonly chosen: HouseLearnt['chosen']
}

/** What this kitchen seems to care about in one way of cooking, with the choices that speak for it; laid on a dish only by a press. */
export function Leaning({ method, pulls, chosen }: Props) {
  const { data: servings = [] } = useServingsQuery()
  const [save] = useSaveServingMutation()
  const undoable = useUndoable()
  const moved = listMoved(pulls, method)
  const choices = chosen.filter((choice) => choice.method === method)
  const lay = ({ id, revision, brief, choice }: ServingRecord) => {
    const put = (at: number, now: Brief) => save({ id, revision: at, input: { brief: now, choice } }).unwrap()
    return undoable(() => put(revision, askSo(brief, moved)), {
      done: `${brief.dish} asks as this kitchen chooses.`,
      undone: `${brief.dish} asks as before.`,
      undo: (kept) => put(kept.revision, brief),
      redo: (kept) => put(kept.revision, askSo(brief, moved)),
    })
  }
  const dishes = [...new Map(servings.filter(({ brief }) => brief.method === method).map((serving) => [serving.dishId, serving])).values()]
  return (
    <Box component="li" sx={{ borderTop: `1px solid ${INK.hairline}`, py: 1 }}>
      <Box component="h3" sx={{ fontFamily: HEADING, fontSize: 17, m: 0 }}>
        {METHOD_LABEL[method]}
      </Box>
      <Typography>
        {moved
          .slice(0, MOST_TOLD)
          .map(
            ({ trait, was, is }) =>
              `${ASK_LABEL[trait].toLowerCase()} matters ${is > was ? 'more' : 'less'} (${was.toFixed(1)} to ${is.toFixed(1)})`,
          )
          .join('; ')}
      </Typography>
      <Typography variant="body2" color="text.secondary">
        From {choices.length} choices:{' '}
        {choices
          .slice(0, MOST_CHOICES)
          .map(({ common, dish, day }) => `${common} for ${dish}, ${describeDay(day)}`)
          .join('; ')}
        . It is only a suggestion.
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 0.5 }}>
        {dishes.map((serving) => (
          <Button key={serving.id} size="small" variant="outlined" onClick={() => void lay(serving)} sx={{ minHeight: 40 }}>
            Ask so in {serving.brief.dish}
          </Button>
        ))}
      </Box>
    </Box>
  )
}
