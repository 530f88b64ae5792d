import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import ToggleButton from '@mui/material/ToggleButton'
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup'
import Typography from '@mui/material/Typography'
import type { Brief, Kitchen, ColdPlaceRecord } from '@tender-gill/contract'
import { kindOf } from '@tender-gill/core'
import { useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { useServingsQuery } from '../../api/api.ts'
import { useOffers } from '../../engine/index.ts'
import { Deliveries } from '../../parts/Deliveries.tsx'
import { Lessons } from '../../parts/Lessons.tsx'
import { Waiting } from '../../parts/Waiting.tsx'
import { terms } from '../../reader/index.ts'
import { useSearch } from '../../state/useSearch.ts'
import { INK } from '../../theme.ts'
import type { StandingLot } from '../cold/index.ts'
import { stateOf, type CounterLine } from './counterLines.ts'
import { describeCame, describeFor, nameLine } from './counterWords.ts'
import { NoteField } from './NoteField.tsx'
import { LookFoot } from './LookFoot.tsx'
import { NOTHING_ASKED, PriceCheck, toPerKg, usePriceVerdict, type Asked } from './PriceCheck.tsx'
import { SignChoice } from './SignChoice.tsx'
import { TakeForm } from './TakeForm.tsx'
import { useCounter } from './useCounter.ts'
import { useCounterNotes, type Bought } from './useCounterNotes.ts'
import { useLook } from './useLook.ts'
import { toLine, WalkAway, type Instead } from './WalkAway.tsx'

type Stage =
  | { readonly at: 'look' }
  | { readonly at: 'take' }
  | { readonly at: 'other'; readonly instead: Instead; readonly rung: number; readonly because: string }
  | { readonly at: 'walk'; readonly rung: number; readonly because: string }
  | { readonly at: 'instead'; readonly instead: Instead; readonly rung: number; readonly because: string }

interface LookingProps {
  readonly one: CounterLine
  /** The line it stands in for, where it is looked at instead of another. */
  readonly insteadOf?: { readonly one: CounterLine; readonly instead: Instead }
  readonly kitchen: Kitchen
  readonly places: readonly ColdPlaceRecord[]
  readonly lots: readonly StandingLot[]
}

/** Looking at one fish: sign by sign, with the answer at the foot; then into the bag, or to the next rung. */
function Looking({ one, insteadOf, kitchen, places, lots }: LookingProps) {
  const navigate = useNavigate()
  const { line } = one
  const { data: servings } = useServingsQuery()
  const briefs = line.servings.flatMap(({ servingId }): readonly Brief[] => {
    const brief = servings?.find(({ id }) => id === servingId)?.brief
    return brief ? [brief] : []
  })
  const [stage, setStage] = useState<Stage>({ at: 'look' })
  const [asked, setAsked] = useState<Asked>(NOTHING_ASKED)
  const [note, setNote] = useState('')
  const offer = useOffers([line.offerId], undefined).get(line.offerId)
  const isShellfish = offer !== undefined && kindOf(offer) !== 'fish'
  const seeing = useLook({ line, briefs, kitchen, places, isShellfish, merchant: one.order.merchant })
  const notes = useCounterNotes({ today: kitchen.today, places, lots })
  const currency = line.currency ?? kitchen.currency
  const perKg = toPerKg(asked, line)
  const price = usePriceVerdict(line, briefs[0], currency, asked)
  const { answer, looked, view } = seeing
  const kept = { use: seeing.use, iceDays: looked && answer ? answer.iceDays : null }

  /** Whether there was a fish to be seen at all. */
  const seen = looked || seeing.refused
  const noteLook = (outcome: 'walk-away' | null): void => {
    if (!answer || (!looked && outcome === null && note.trim() === '')) return
    notes.look(
      seeing.write(answer, {
        line,
        note: note.trim(),
        merchant: one.order.merchant,
        outcome,
        asked: perKg === null ? null : { perKg, currency },
      }),
      line.common,
    )
  }
  const walk = (because: string): void => setStage({ at: 'walk', rung: 0, because })
  const take = (bought: Bought): void => {
    noteLook(null)
    if (insteadOf) {
      notes.leave(insteadOf.one, `${insteadOf.one.line.common}: ${line.common.toLowerCase()} instead.`)
      notes.takeInstead(insteadOf.one, insteadOf.instead.standIns, bought, kept)
    } else notes.take(one, bought, kept)
    void navigate('/counter')
  }
  const takeInstead = (instead: Instead, bought: Bought): void => {
    if (seen) noteLook('walk-away')
    const first = insteadOf?.one ?? one
    notes.leave(first, `${line.common}: ${seen ? 'walked away' : 'it was not there'}.`)
    notes.takeInstead(first, instead.standIns, bought, { use: seeing.use, iceDays: null })
    void navigate('/counter')
  }

  if (!answer) return <Waiting what="the signs" />
  if (stage.at === 'other') {
    const { instead } = stage
    const other: CounterLine = { line: toLine(instead, one), order: one.order, purchase: null, look: null }
    const first = insteadOf?.one ?? one
    return <Looking key={other.line.key} one={other} insteadOf={{ one: first, instead }} kitchen={kitchen} places={places} lots={lots} />
  }
  if (stage.at === 'take')
    return (
      <TakeForm
        name={line.common}
        g={line.buy.g}
        perKg={perKg ?? line.asked?.perKg ?? line.perKg?.typical ?? null}
        currency={currency}
        onDone={take}
        onLeave={() => setStage({ at: 'look' })}
      />
    )
  if (stage.at === 'instead') {
    const { first, g } = stage.instead
    return (
      <TakeForm
        name={first.common}
        g={g}
        perKg={first.perKg}
        currency={first.currency ?? kitchen.currency}
        onDone={(bought) => takeInstead(stage.instead, bought)}
        onLeave={() => setStage({ at: 'walk', rung: stage.rung, because: stage.because })}
      />
    )
  }
  if (stage.at === 'walk')
    return (
      <WalkAway
        one={one}
        brief={briefs[0]}
        because={stage.because}
        at={stage.rung}
        onOther={(rung) => setStage({ ...stage, rung })}
        onTake={(instead) => setStage({ ...stage, at: 'instead', instead })}
        onLook={(instead) => {
          if (seen) noteLook('walk-away')
          setStage({ ...stage, at: 'other', instead })
        }}
        onWithout={() => {
          if (seen) noteLook('walk-away')
          notes.leave(insteadOf?.one ?? one, `${line.common}: done without.`)
          void navigate('/counter')
        }}
        onBack={() => setStage({ at: 'look' })}
      />
    )
  const row = answer.table.find(({ sign }) => sign === seeing.sign) ?? answer.table[0]
  return (
    <>
      <Lessons label="What this house wrote about the fish" species={line.species} merchant={one.order.merchant ?? undefined} />
      {one.order.merchant !== null && <Deliveries merchant={one.order.merchant} />}
      {insteadOf && (
        <Typography variant="h2" component="p" sx={{ mb: 1 }}>
          {nameLine(line)}, instead of {insteadOf.one.line.common.toLowerCase()}
        </Typography>
      )}
      {!isShellfish && (
        <ToggleButtonGroup
          exclusive
          size="small"
          value={view}
          aria-label="How it lies there"
          onChange={(_event, next: 'whole' | 'fillet' | null) => next && seeing.setView(next)}
          sx={{ mb: 1, '& .MuiToggleButton-root': { minHeight: 44, textTransform: 'none', bgcolor: INK.ice } }}
        >
          <ToggleButton value="whole">Whole fish</ToggleButton>
          <ToggleButton value="fillet">Fillet or steak</ToggleButton>
        </ToggleButtonGroup>
      )}
      {row && (
        <SignChoice
          row={row}
          seen={seeing.signs[row.sign]}
          circumstances={seeing.circumstances}
          onSee={(level) => seeing.see(row.sign, level)}
          onCircumstances={seeing.setCircumstances}
        />
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, mt: 1.5 }} role="group" aria-label="Every sign">
        {answer.table.map(({ sign, levels }) => {
          const level = seeing.signs[sign]
          return (
            <Button
              key={sign}
              size="small"
              color="inherit"
              variant={sign === row?.sign ? 'outlined' : 'text'}
              aria-current={sign === row?.sign}
              onClick={() => seeing.setSign(sign)}
              sx={{ minHeight: 44, fontWeight: level === undefined ? 400 : 700 }}
            >
              {terms.sign[sign]}
              {level === undefined ? '' : `: ${levels[level] ?? ''}`}
            </Button>
          )
        })}
      </Box>
      <NoteField note={note} onNote={setNote} />
      <PriceCheck line={line} currency={currency} asked={asked} onAsk={setAsked} />
      <LookFoot
        answer={answer}
        price={price}
        looked={seen}
        nextSign={seeing.nextSign === null ? null : terms.sign[seeing.nextSign]}
        onNext={() => seeing.nextSign && seeing.setSign(seeing.nextSign)}
        onTake={() => setStage({ at: 'take' })}
        onWalk={() => walk(seen ? answer.sentence.replace(/^Walk away[.:] ?/, '') : 'It is not here.')}
        onRefused={seeing.refuse}
      />
    </>
  )
}

interface AtProps {
  /** The line of the buy sheet; without it, that of a serving. */
  readonly line?: string
  readonly serving?: string
  readonly day?: string
}

/** A fish of the buy sheet at the counter. */
export function LookAt({ line: key, serving, day }: AtProps) {
  const { kitchen, counter, places, lots, isError } = useCounter(day)
  const one = counter?.lines.find(({ line }) =>
    key === undefined ? line.servings.some(({ servingId }) => servingId === serving) : line.key === key,
  )
  const notes = useCounterNotes({ today: kitchen?.today ?? '', places, lots })
  if (!kitchen || !counter)
    return isError ? (
      <Alert severity="warning">The buy sheet could not be fetched, and none is kept here.</Alert>
    ) : (
      <Waiting what="the fish" />
    )
  return (
    <Box sx={{ maxWidth: 760, mx: 'auto' }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, mb: 1 }}>
        <Button component={Link} to="/counter" sx={{ minHeight: 44, flexShrink: 0 }}>
          ‹ To buy
        </Button>
        {one && (
          <Box sx={{ minWidth: 0 }}>
            <Typography variant="h2" component="p">
              {nameLine(one.line)}
            </Typography>
            <Typography color="text.secondary" variant="body2">
              {describeFor(one.line)}
            </Typography>
          </Box>
        )}
      </Box>
      {!one ? (
        <Typography variant="h1">It is no longer on the sheet.</Typography>
      ) : stateOf(one) === 'open' ? (
        <Looking key={one.line.key} one={one} kitchen={kitchen} places={places} lots={lots} />
      ) : (
        <>
          <Typography variant="h1" gutterBottom>
            {describeCame(one)}
          </Typography>
          <Button variant="outlined" onClick={() => notes.putBack(one)} sx={{ minHeight: 52 }}>
            {stateOf(one) === 'in-the-bag' ? 'Take it out of the bag' : 'Look at it again'}
          </Button>
        </>
      )}
    </Box>
  )
}

export default function LookPage() {
  const [search] = useSearch()
  return <LookAt line={search.get('line') ?? ''} />
}
