import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import { skipToken } from '@reduxjs/toolkit/query'
import { useState } from 'react'
import { toProblemDetails, useAbsencePlanQuery, useKitchenQuery, useMarkAbsentMutation } from '../../api/api.ts'
import { describeProblem } from '../../parts/dishWords.ts'
import { useAnswer, useSheet } from '../../engine/index.ts'
import { FishSearch } from '../../parts/fishSearch/index.ts'
import { Waiting } from '../../parts/Waiting.tsx'
import { useOnlyOffered } from '../../state/useOnlyOffered.ts'
import { useSearch } from '../../state/useSearch.ts'
import { readAbsence, toRequest, writePair, type TypedAbsence } from './absenceParams.ts'
import { MarkForm } from './MarkForm.tsx'
import { PlanView, listMoves } from './PlanView.tsx'
import { StandingAbsences } from './StandingAbsences.tsx'

function Marking({ typed, onDone }: { readonly typed: TypedAbsence; readonly onDone: () => void }) {
  const [, change] = useSearch()
  const [only] = useOnlyOffered()
  const request = toRequest(typed, only !== false)
  const { data: plan, currentData, error, refetch } = useAbsencePlanQuery(request ?? skipToken)
  const offers = useAnswer(useSheet(), typed.species, (desk) => desk.offersOf(typed.species))?.value ?? []
  const [mark, { isLoading }] = useMarkAbsentMutation()
  const [failure, setFailure] = useState<string | null>(null)
  const details = error && toProblemDetails(error)
  const confirm = async () => {
    if (!currentData) return
    const { species, offerId, because, from, to } = currentData
    const answer = await mark({ species, offerId, because, from, to, moves: listMoves(currentData) })
    if (answer.data) return onDone()
    setFailure(`${toProblemDetails(answer.error)?.detail ?? 'It could not be kept.'} Look at the plan again, it is fresh.`)
    void refetch()
  }
  return (
    <>
      <Typography variant="h1">Without {plan?.common ?? offers[0]?.common ?? typed.species}</Typography>
      <MarkForm
        absence={typed}
        offers={offers}
        onSet={(name, value) => change((search) => (value === null ? search.delete(name) : search.set(name, value)))}
      />
      {details && <Alert severity="error">{details.problems.map(describeProblem).join('; ') || details.detail}</Alert>}
      {!plan && !error && request && <Waiting what="what every dish could take" />}
      {plan && request && (
        <PlanView
          plan={plan}
          typed={typed}
          busy={isLoading || currentData === undefined}
          failure={failure}
          onPair={(name, key, value) => change((search) => writePair(search, name, key, value))}
          onConfirm={() => void confirm()}
        />
      )}
    </>
  )
}

/** A fish the whole kitchen does without for some days: which, why, what every dish takes instead, one confirmation, one way back. */
export default function AbsencesPage() {
  const [search, change] = useSearch()
  const { data: kitchen } = useKitchenQuery()
  if (!kitchen) return <Waiting what="the kitchen" />
  const typed = readAbsence(search, kitchen.today)
  const clear = () => change((params) => [...params.keys()].forEach((key) => params.delete(key)))
  return (
    <Paper component="section" aria-label="A fish is missing" sx={{ p: { xs: 2, md: 3 }, mt: 1, maxWidth: 1080, mx: 'auto' }}>
      {typed ? (
        <Marking typed={typed} onDone={clear} />
      ) : (
        <>
          <Typography variant="h1">A fish is missing</Typography>
          <StandingAbsences />
          <Typography sx={{ mt: 2 }} gutterBottom>
            Name the fish. Every dish that takes it is shown with its next rung, and one press moves them all.
          </Typography>
          <Box sx={{ maxWidth: 440 }}>
            <FishSearch label="Which fish is missing?" onPick={(species) => change((params) => params.set('fish', species))} />
          </Box>
        </>
      )}
      {typed && (
        <Button size="small" onClick={clear} sx={{ mt: 2 }}>
          Another fish, or those already missing
        </Button>
      )}
    </Paper>
  )
}
