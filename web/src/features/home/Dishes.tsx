import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { ServingRecord, Method } from '@tender-gill/contract'
import { isOver, listComing, listTaken, pickPerDish } from '@tender-gill/core'
import { useState } from 'react'
import { Link } from 'react-router'
import { useKitchenQuery, useRemoveServingMutation, useRestoreServingMutation } from '../../api/api.ts'
import { FleshPrint } from '../../drawings/FleshPrint.tsx'
import { useAnswer, useSheet, useOffers } from '../../engine/index.ts'
import { describeMaking, describeServing, joinWords } from '../../parts/dishWords.ts'
import { Waiting } from '../../parts/Waiting.tsx'
import { useUndoable } from '../../notices/index.ts'
import { METHOD_LABEL, describeDay } from '../../reader/index.ts'
import { useOnlyOffered } from '../../state/useOnlyOffered.ts'
import { HEADING, INK } from '../../theme.ts'
import { DishAlert } from '../alerts/index.ts'
import { useServeAgain } from '../servings/index.ts'

const FIRST_METHODS: readonly Method[] = ['pan-sear', 'roast-whole', 'grill', 'poach', 'deep-fry', 'curry', 'stew', 'raw']

interface DishLineProps {
  readonly record: ServingRecord
  readonly state: string | undefined
  readonly onRemove: (record: ServingRecord) => void
  readonly onAgain: (record: ServingRecord) => void
}

function DishLine({ record, state, onRemove, onAgain }: DishLineProps) {
  const { id, revision, brief, choice } = record
  // Each dish is answered from the offers of its own day.
  const sheet = useSheet(brief.date)
  const [only] = useOnlyOffered()
  const leaders = useAnswer(sheet, sheet ? `${sheet.name}|${only}|${id}.${revision}` : null, (desk) => desk.leaders([record], only))?.value
  const leader = leaders?.[id]
  const taken = choice ? listTaken(choice).map(({ offerId }) => offerId) : []
  const ids = taken.length > 0 ? taken : [leader?.offerId ?? []].flat()
  const offers = useOffers(ids, brief.date)
  const offer = offers.get(ids[0] ?? '')
  const takenNames = taken.flatMap((offerId) => offers.get(offerId)?.common ?? [])
  // A dish may stand here on several days.
  const named = brief.date ? `${brief.dish} of ${describeDay(brief.date)}` : brief.dish
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '68px minmax(0, 1fr)', md: '76px minmax(0, 1fr) 220px auto' },
        gap: 1.5,
        alignItems: 'center',
        py: 1,
        borderTop: `1px solid ${INK.hairline}`,
      }}
    >
      {offer ? <FleshPrint offer={offer} name={offer.common} /> : <Box sx={{ width: 64, height: 32 }} />}
      <Box sx={{ minWidth: 0 }}>
        <Typography component="h2" variant="h3">
          <Link to={`/dishes/${id}/line-up`} style={{ color: INK.squid }}>
            {brief.dish}
          </Link>
        </Typography>
        <Typography variant="body2" color="text.secondary">
          {describeMaking(brief)}; {describeServing(brief)}
          {brief.date ? `; ${describeDay(brief.date)}` : ''}
        </Typography>
        {choice && <DishAlert servingId={id} />}
      </Box>
      <Box sx={{ gridColumn: { xs: '2', md: 'auto' } }}>
        <Box sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: 17 }}>
          {takenNames.length > 0 ? joinWords(takenNames) : (leader?.common ?? (leader === null ? 'No fish can' : ' '))}
        </Box>
        <Typography variant="body2" color="text.secondary">
          {choice ? 'taken' : leader ? `leads, fit ${leader.fit.toFixed(0)}, of ${leader.count} that can` : ' '}
        </Typography>
        {state && (
          <Box
            component="span"
            sx={{ ...{ display: 'inline-block', mt: 0.5, px: 1, border: 1, borderColor: 'divider' }, ...{ borderRadius: 2, fontSize: 13 } }}
          >
            {state}
          </Box>
        )}
      </Box>
      <Box sx={{ gridColumn: { xs: '2', md: 'auto' }, justifySelf: 'start', display: 'flex', flexDirection: { xs: 'row', md: 'column' } }}>
        <Button size="small" onClick={() => onAgain(record)} aria-label={`Serve ${named} once more`}>
          Once more
        </Button>
        <Button size="small" onClick={() => onRemove(record)} aria-label={`Take ${named} away`}>
          Take away
        </Button>
      </Box>
    </Box>
  )
}

const MOST_BEFORE = 6

/** Dishes that are on no day to come: once more with one press, or opened as they were. */
function Before({ records, onAgain }: { readonly records: readonly ServingRecord[]; readonly onAgain: DishLineProps['onAgain'] }) {
  const [all, setAll] = useState(false)
  if (records.length === 0) return null
  return (
    <Box component="section" aria-labelledby="before" sx={{ mt: 2 }}>
      <Typography id="before" component="h2" variant="h3" gutterBottom>
        Cooked before
      </Typography>
      <Box component="ul" aria-label="Cooked before" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {(all ? records : records.slice(0, MOST_BEFORE)).map((record) => (
          <Box
            key={record.id}
            component="li"
            sx={{ display: 'flex', alignItems: 'center', gap: 1.5, borderTop: `1px solid ${INK.hairline}`, minHeight: 48 }}
          >
            <Box sx={{ flex: 1, minWidth: 0 }}>
              <Link to={`/dishes/${record.id}/line-up`} style={{ color: INK.squid }}>
                {record.brief.dish}
              </Link>
              <Typography component="span" variant="body2" color="text.secondary">
                {record.brief.date ? `, ${describeDay(record.brief.date)}` : ''}; {describeServing(record.brief)}
              </Typography>
            </Box>
            <Button onClick={() => onAgain(record)} aria-label={`Serve ${record.brief.dish} once more`}>
              Once more
            </Button>
          </Box>
        ))}
      </Box>
      {!all && records.length > MOST_BEFORE && <Button onClick={() => setAll(true)}>All {records.length} dishes</Button>}
    </Box>
  )
}

/** The dishes of the days to come, those touched last before those touched long ago; below, what was cooked before. */
export function Dishes({
  records,
  states,
}: {
  readonly records: readonly ServingRecord[]
  /** How it stands with the fish of a serving, in words. */
  readonly states: ReadonlyMap<string, string>
}) {
  const [remove] = useRemoveServingMutation()
  const [restore] = useRestoreServingMutation()
  const undoable = useUndoable()
  const { data: kitchen } = useKitchenQuery()
  const serveAgain = useServeAgain(kitchen?.today ?? '')
  if (!kitchen) return <Waiting what="the dishes" shape="rows" />
  const onRemove = ({ id, revision, brief }: ServingRecord) =>
    void undoable(() => remove({ id, revision }).unwrap(), {
      done: `“${brief.dish}” was taken away.`,
      undone: `“${brief.dish}” is back.`,
      undo: () => restore(id).unwrap(),
      redo: (back) => remove({ id, revision: back.revision }).unwrap(),
    })
  const onAgain = (record: ServingRecord) => void serveAgain(record)
  const touched = [...records].sort((a, b) => b.updatedAt.localeCompare(a.updatedAt))
  const coming = listComing(touched, kitchen.today)
  const before = pickPerDish(touched, kitchen.today).filter((record) => isOver(record, kitchen.today))
  return (
    <>
      {coming.length === 0 && <Typography>Nothing is to come. Serve a dish once more, or start a new one.</Typography>}
      <Box component="ul" aria-label="Dishes" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {coming.map((record) => (
          <DishLine key={record.id} record={record} state={states.get(record.id)} onRemove={onRemove} onAgain={onAgain} />
        ))}
      </Box>
      <Before records={before} onAgain={onAgain} />
    </>
  )
}

/** The first step of a kitchen that has no dish yet. */
export function FirstDish() {
  return (
    <>
      <Typography gutterBottom>No dishes yet. Start with how you want to cook, and the fish that can do it stand in line.</Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        {FIRST_METHODS.map((method) => (
          <Button key={method} component={Link} to={`/dishes/new?method=${method}`} variant="outlined">
            {METHOD_LABEL[method]}
          </Button>
        ))}
      </Box>
    </>
  )
}
