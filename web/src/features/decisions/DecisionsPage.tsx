import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import type { Decision, LineUpDifference, Moved } from '@tender-gill/contract'
import { FORM_LABEL, describeMoment, formatMoney } from '../../reader/index.ts'
import { useState } from 'react'
import { Link } from 'react-router'
import { toProblemDetails, useDecisionQuery, useDecisionsQuery, useLazyRerunDecisionQuery } from '../../api/api.ts'
import { Waiting } from '../../parts/Waiting.tsx'
import type { Dish } from '../../state/useDish.ts'
import { HEADING, INK } from '../../theme.ts'
import { DishGate } from '../../parts/DishGate.tsx'
import { joinWords } from '../../parts/dishWords.ts'

const SHOWN = 6

const placeWords = (place: number | null) => (place === null ? 'left out' : `number ${place}`)
const fitWords = (fit: number | null) => (fit === null ? '' : `, fit ${fit.toFixed(1)}`)
const describeMove = ({ common, placeThen, placeNow, fitThen, fitNow }: Moved): string =>
  `${common}: ${placeWords(placeThen)}${fitWords(fitThen)} then; ${placeWords(placeNow)}${fitWords(fitNow)} now.`

function Difference({ title, difference }: { readonly title: string; readonly difference: LineUpDifference }) {
  const { identical, leaderThen, leaderNow, chosen, moved } = difference
  return (
    <Box component="section" aria-label={title} sx={{ borderTop: `1px solid ${INK.hairline}`, pt: 1 }}>
      <Typography component="h3" variant="h3">
        {title}
      </Typography>
      {identical ? (
        <Typography>The same answer: nothing moved.</Typography>
      ) : (
        <>
          <Typography>
            {leaderThen === leaderNow
              ? `${leaderNow ?? 'Nobody'} still leads.`
              : `${leaderThen ?? 'Nobody'} led; ${leaderNow ?? 'nobody'} leads now.`}{' '}
            {describeMove(chosen)}
          </Typography>
          <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
            {moved.slice(0, SHOWN).map((one) => (
              <li key={one.species}>
                <Typography variant="body2">{describeMove(one)}</Typography>
              </li>
            ))}
          </Box>
        </>
      )}
    </Box>
  )
}

/** A decision as it was: who stood behind it, read and not worked out anew; and what running it again shows. */
function Reopened({ id }: { readonly id: string }) {
  const { data } = useDecisionQuery(id)
  const [rerun, { data: again, isLoading, error }] = useLazyRerunDecisionQuery()
  if (!data) return <Waiting what="the decision" />
  const { output } = data
  return (
    <Box sx={{ display: 'grid', gap: 1, pt: 1 }}>
      <Typography>
        {output.ranked.length} of {output.ranked.length + output.leftOut.length} could do it then:
      </Typography>
      <Box component="ol" aria-label="The line-up then" sx={{ m: 0, pl: 3 }}>
        {output.ranked.slice(0, SHOWN).map((row) => (
          <li key={row.species}>
            <b>{row.common}</b> <span style={{ fontFamily: HEADING, fontWeight: 700 }}>{row.fit.toFixed(1)}</span>
            {row.portionCost ? `, ${formatMoney(row.portionCost.typical, row.portionCost.currency)} a portion` : ''}
          </li>
        ))}
      </Box>
      <Button variant="outlined" sx={{ justifySelf: 'start' }} onClick={() => void rerun(id)} disabled={isLoading}>
        Run it again
      </Button>
      {error && <Alert severity="error">{toProblemDetails(error)?.detail ?? 'It could not be run again. Try in a moment.'}</Alert>}
      {again && (
        <>
          <Difference
            title={
              again.engineThen === again.engineNow
                ? 'On the same inputs'
                : `On the same inputs, engine ${again.engineNow} instead of ${again.engineThen}`
            }
            difference={again.sameInputs}
          />
          <Difference title="On the dish, the prices and the book of today" difference={again.todaysInputs} />
        </>
      )}
    </Box>
  )
}

function DecisionRow({ decision, open, onToggle }: { readonly decision: Decision; readonly open: boolean; readonly onToggle: () => void }) {
  const { revision, common, beside, form, place, fit, decidedAt, note, engineVersion, inputsHash } = decision
  return (
    <Box component="li" sx={{ borderTop: `1px solid ${INK.hairline}`, py: 1 }}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline', flexWrap: 'wrap' }}>
        <Typography component="h2" variant="h2">
          {joinWords([common, ...(beside ?? [])])}
        </Typography>
        <Typography sx={{ mr: 'auto' }}>
          {FORM_LABEL[form]}; {placeWords(place)}
          {fitWords(fit)}
        </Typography>
        <Button onClick={onToggle} aria-expanded={open}>
          {open ? 'Close it' : 'Open it as it was'}
        </Button>
      </Box>
      <Typography variant="body2" color="text.secondary">
        Decision {revision}, {describeMoment(decidedAt)}. {note ?? ''} Engine {engineVersion}, inputs {inputsHash.slice(0, 8)}.
      </Typography>
      {open && <Reopened id={decision.id} />}
    </Box>
  )
}

function DecisionsView({ dish }: { readonly dish: Dish }) {
  const { data } = useDecisionsQuery({ serving: dish.id })
  const [openId, setOpenId] = useState<string | null>(null)
  if (!data) return <Waiting what="the decisions" />
  return (
    <Paper component="section" aria-label="Decisions" sx={{ p: 2, maxWidth: 900 }}>
      <Typography variant="h1" gutterBottom>
        Decided for {dish.brief.dish}
      </Typography>
      {data.length === 0 ? (
        <Typography>
          Nothing yet. Take a fish in the <Link to={`/dishes/${dish.id}/line-up`}>line-up</Link>, and it is kept here with everything that
          stood behind it.
        </Typography>
      ) : (
        <Box component="ol" aria-label="Decisions, newest first" sx={{ listStyle: 'none', p: 0, m: 0 }}>
          {data.map((decision) => (
            <DecisionRow
              key={decision.id}
              decision={decision}
              open={openId === decision.id}
              onToggle={() => setOpenId(openId === decision.id ? null : decision.id)}
            />
          ))}
        </Box>
      )}
    </Paper>
  )
}

/** Every decision for a dish, each with the line-up behind it. */
export default function DecisionsPage() {
  return <DishGate>{(dish) => <DecisionsView key={dish.id} dish={dish} />}</DishGate>
}
