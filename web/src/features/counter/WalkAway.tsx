import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import type { Brief, BuyLine, BuyStandIn, Rung } from '@tender-gill/contract'
import { groupBy } from '@tender-gill/core'
import { nameQuestion, useAnswer, useSheet } from '../../engine/index.ts'
import { FORM_LABEL, formatMassPrice, formatMassToBuy } from '../../reader/index.ts'
import { HEADING, INK } from '../../theme.ts'
import type { CounterLine } from './counterLines.ts'
import { saySo } from './counterWords.ts'
import { Foot, TwoButtons } from './LookFoot.tsx'

/** A fish that stands in for servings of a line, with its weight for all of them. */
export interface Instead {
  readonly standIns: readonly BuyStandIn[]
  readonly first: BuyStandIn
  readonly g: number
}

/** Who stands in, nearest first: whoever does it for the most servings of the line before the others. */
export function listInstead({ line }: CounterLine): readonly Instead[] {
  const places = new Map(line.standIns.map(({ offerId }, i) => [offerId, i]))
  return [...groupBy(line.standIns, ({ offerId, form }) => `${offerId} ${form}`).values()]
    .flatMap((standIns): readonly Instead[] => {
      const [first] = standIns
      return first ? [{ standIns, first, g: standIns.reduce((sum, { g }) => sum + g, 0) }] : []
    })
    .sort((a, b) => b.standIns.length - a.standIns.length || (places.get(a.first.offerId) ?? 0) - (places.get(b.first.offerId) ?? 0))
}

/** A stand-in as a line of its own, so that it is looked at, priced and left as any other; the rungs beyond it stand in for it. */
export function toLine({ standIns, first, g }: Instead, { line }: CounterLine): BuyLine {
  const ids = new Set(standIns.map(({ servingId }) => servingId))
  const { species, common, offerId, offer, form, perKg, currency, asks, limit } = first
  return {
    ...line,
    ...{ species, common, offerId, offer, form, currency, asks, limit, cautions: [], purchase: null, grade: null, asked: null },
    ...{ key: `${line.key}|${offerId}`, needG: g, buy: { g, count: first.count, packs: null, packG: null, roundedUpG: 0 } },
    ...{ perKg: perKg === null ? null : { low: perKg, typical: perKg, high: limit?.perKg ?? perKg }, goods: null },
    servings: line.servings.filter(({ servingId }) => ids.has(servingId)),
    standIns: line.standIns.filter((one) => one.offerId !== offerId),
  }
}

/** Changes that cost or save minutes, or want another hand, before those that are only good to know. */
const TOLD = ['safety', 'cook-time', 'pull-temp', 'handling', 'fat', 'bones', 'skin', 'seasoning'] as const
const MOST_TOLD = 4

/** What changes in the pan, from the ladder itself. */
function useChanges(one: CounterLine, brief: Brief | undefined, instead: Instead | undefined): readonly Rung['changes'][number][] {
  const { species, offerId } = one.line
  const asked = brief && instead ? { ...brief, missing: species, missingOffer: offerId, because: 'looked-bad' as const } : null
  const answer = useAnswer(useSheet(brief?.date), asked && nameQuestion(asked), (desk) =>
    desk.standIns(asked as NonNullable<typeof asked>, 'where-there-are-lists'),
  )?.value
  const rung = answer?.ok ? answer.value.standIns.ladder.find((r) => r.species === instead?.first.species) : undefined
  return (rung?.changes ?? [])
    .filter(({ kind }) => (TOLD as readonly string[]).includes(kind))
    .sort((a, b) => TOLD.indexOf(a.kind as (typeof TOLD)[number]) - TOLD.indexOf(b.kind as (typeof TOLD)[number]))
    .slice(0, MOST_TOLD)
}

interface Props {
  readonly one: CounterLine
  readonly brief: Brief | undefined
  /** Why one walks away, in words. */
  readonly because: string
  readonly at: number
  readonly onOther: (at: number) => void
  readonly onTake: (instead: Instead) => void
  /** The stand-in is looked at before it is taken. */
  readonly onLook: (instead: Instead) => void
  /** The dish does without, or what it takes instead is settled later. */
  readonly onWithout: () => void
  readonly onBack: () => void
}

/** From "walk away" to the next rung: its weight, its price, what to say, what changes in the pan. */
export function WalkAway({ one, brief, because, at, onOther, onTake, onLook, onWithout, onBack }: Props) {
  const all = listInstead(one)
  const instead = all[at]
  const other = all[at + 1] ?? (at > 0 ? all[0] : undefined)
  const changes = useChanges(one, brief, instead)
  const { line } = one
  const wasG = line.buy.g
  return (
    <>
      <Paper role="status" aria-label="Why not" sx={{ borderLeft: `8px solid ${INK.dulse}`, p: 2, mb: 2 }}>
        <Typography variant="h1">Walk away</Typography>
        <Typography>{because}</Typography>
      </Paper>
      {!instead ? (
        <Typography variant="h2">Nothing on your lists stands in for it here.</Typography>
      ) : (
        <section aria-labelledby="instead">
          <Typography id="instead" variant="h2" sx={{ mb: 1 }}>
            Instead, here
          </Typography>
          <Paper sx={{ p: 2, '& > div': { borderTop: `1px solid ${INK.hairline}`, py: 1 } }}>
            <Typography variant="h2">
              {instead.first.common}, {FORM_LABEL[instead.first.form]}
            </Typography>
            <Box component="p" sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: 34, m: 0 }}>
              {formatMassToBuy(instead.g)}
            </Box>
            {Math.abs(instead.g - wasG) > 1 && (
              <Typography color="text.secondary" sx={{ mb: 1 }}>
                {formatMassToBuy(Math.abs(instead.g - wasG))} {instead.g > wasG ? 'more' : 'less'} than {line.common.toLowerCase()}
                {instead.standIns.length < line.servings.length ? `, for ${instead.standIns.map(({ dish }) => dish).join(' and ')}` : ''}.
              </Typography>
            )}
            {instead.first.otherAllergen && instead.first.change && (
              <Box sx={{ color: INK.dulse, fontWeight: 700 }}>{instead.first.change}</Box>
            )}
            {instead.first.perKg !== null && instead.first.currency !== null && (
              <div>
                {instead.first.limit && <b>Not past {formatMassPrice(instead.first.limit.perKg, instead.first.currency)}. </b>}
                About {formatMassPrice(instead.first.perKg, instead.first.currency)}
                {instead.first.merchant ? ` at ${instead.first.merchant}` : ''}.
              </div>
            )}
            {changes.map(({ kind, sentence }) => (
              <div key={kind}>{sentence}</div>
            ))}
            <div>
              <b>Say:</b> {saySo({ ...instead.first, amount: formatMassToBuy(instead.g) })}
            </div>
          </Paper>
          <Typography color="text.secondary" sx={{ mt: 1 }}>
            Taking it sets the menu, the floor and the sheet to {instead.first.common.toLowerCase()}.
          </Typography>
        </section>
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 1, '& button': { minHeight: 44 } }}>
        {instead && <Button onClick={() => onLook(instead)}>Look at {instead.first.common.toLowerCase()} first</Button>}
        <Button color="inherit" onClick={onWithout}>
          Go without it for now
        </Button>
        <Button color="inherit" onClick={onBack}>
          Back to it
        </Button>
      </Box>
      <Foot>
        <TwoButtons>
          {instead ? (
            <Button variant="contained" onClick={() => onTake(instead)}>
              Take {instead.first.common.toLowerCase()}
            </Button>
          ) : (
            <Button variant="contained" onClick={onBack}>
              Back to it
            </Button>
          )}
          {other && other !== instead ? (
            <Button variant="outlined" onClick={() => onOther(all.indexOf(other))}>
              {other.first.common}
            </Button>
          ) : (
            <Button variant="outlined" onClick={onBack}>
              Back
            </Button>
          )}
        </TwoButtons>
      </Foot>
    </>
  )
}
