import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import { ArrowLeftIcon, ArrowRightIcon } from '@mui/x-date-pickers/icons'
import type { AfterService } from '@tender-gill/contract'
import { addDays, foldActs, isServedLine } from '@tender-gill/core'
import { Link } from 'react-router'
import { useAfterServiceQuery, useEntriesQuery, useKitchenQuery, useServingsQuery } from '../../api/api.ts'
import { useKeptOffline } from '../../offline/index.ts'
import { useUnread, type Outbox } from '../../outbox/index.ts'
import { DayField } from '../../parts/moments.tsx'
import { Waiting } from '../../parts/Waiting.tsx'
import { describeDay } from '../../reader/index.ts'
import { useSearch } from '../../state/useSearch.ts'
import { HouseBookRooms } from '../../parts/HouseBookRooms.tsx'
import { EntryList } from './EntryList.tsx'
import { isWritten } from './servedDraft.ts'
import { ServedCard } from './ServedCard.tsx'

/** The dishes of a day with what waits in this browser laid over what the server knows. */
function layWaiting({ dishes }: AfterService, outbox: Outbox): AfterService['dishes'] {
  const acts = outbox.flatMap((given) =>
    given.command === 'writeEntries' && given.state === 'waiting'
      ? (given.arg as { entries: { id?: string; entry: AfterService['dishes'][number]['lines'][number]['entry'] | null }[] }).entries.map(
          ({ id = '', entry }) => ({ about: id, act: entry ? ('write' as const) : ('withdraw' as const), entry, writtenAt: given.at }),
        )
      : [],
  )
  if (acts.length === 0) return dishes
  return dishes.map((dish) => {
    const own = acts.filter(({ about }) => isServedLine(about, dish.key))
    const before = dish.lines.map(({ id, entry, writtenAt }) => ({ about: id, act: 'write' as const, entry, writtenAt }))
    return own.length === 0 ? dish : { ...dish, lines: [...foldActs([...before, ...own]).lines] }
  })
}

interface Props {
  readonly day: string
  /** One serving alone, where the page is of a dish. */
  readonly servingId?: string
}

/** The dishes of one day, as cards to be answered. */
export function ServedDishes({ day, servingId }: Props) {
  useKeptOffline()
  const { data, isError } = useAfterServiceQuery({ day })
  const { data: servings } = useServingsQuery()
  const { data: kitchen } = useKitchenQuery()
  const outbox = useUnread()
  if (!data)
    return isError ? (
      <Alert severity="warning">The dishes of that day could not be fetched.</Alert>
    ) : (
      <Waiting what="the dishes of the day" />
    )
  const dishes = layWaiting(data, outbox).filter((dish) => servingId === undefined || dish.servingId === servingId)
  const left = dishes.filter((dish) => !isWritten(dish)).length
  return (
    <>
      <Typography role="status" aria-label="What is still to be written down" sx={{ fontSize: 20, mb: 1.5 }}>
        {dishes.length === 0
          ? `Nothing was on the menu on ${describeDay(day)}.`
          : left === 0
            ? `All ${dishes.length === 1 ? 'of it' : `${dishes.length} dishes`} of ${describeDay(day)} ${dishes.length === 1 ? 'is' : 'are'} written down.`
            : `${left} of ${dishes.length} still to be written down.`}
      </Typography>
      {dishes.length === 0 && servingId === undefined && (
        <Box component="nav" aria-label="Days with dishes" sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
          {data.others.map((other) => (
            <Button key={other} component={Link} to={`/house-book?day=${other}`} variant="outlined" sx={{ minHeight: 44 }}>
              {describeDay(other)}
            </Button>
          ))}
        </Box>
      )}
      {kitchen && day > kitchen.today && dishes.length > 0 && (
        <Alert severity="info" sx={{ mb: 1.5 }}>
          {describeDay(day)} is still to come. What is written now counts as what came of it.
        </Alert>
      )}
      <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'repeat(auto-fill, minmax(380px, 1fr))' } }}>
        {dishes.map((dish) => (
          <ServedCard key={dish.key} dish={dish} day={day} brief={servings?.find(({ id }) => id === dish.servingId)?.brief} />
        ))}
      </Box>
    </>
  )
}

const LAST = 8

/** What was written last, whatever the day: the page is never empty in a house that writes. */
function WrittenLast() {
  const { data } = useEntriesQuery({})
  if (!data || data.total === 0) return null
  return (
    <Box component="section" aria-label="Written last" sx={{ mt: 3, maxWidth: 980 }}>
      <Typography variant="h2" gutterBottom>
        Written last
      </Typography>
      <EntryList lines={data.lines.slice(0, LAST)} />
    </Box>
  )
}

/** After service: what each dish of the day was like, in a few taps. */
export default function AfterServicePage() {
  const { data: kitchen } = useKitchenQuery()
  const [search, change] = useSearch()
  if (!kitchen) return <Waiting what="the day" />
  const day = search.get('day') ?? kitchen.today
  const go = (to: string) => change((params) => (to === kitchen.today || to === '' ? params.delete('day') : params.set('day', to)))
  return (
    <>
      <HouseBookRooms here="/house-book" />
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', mb: 1.5, flexWrap: 'wrap' }}>
        <Button
          variant="outlined"
          aria-label="The day before"
          onClick={() => go(addDays(day, -1))}
          sx={{ minHeight: 44, minWidth: 44, p: 0 }}
        >
          <ArrowLeftIcon />
        </Button>
        <DayField label="Day" value={day} onChange={go} />
        <Button
          variant="outlined"
          aria-label="The day after"
          disabled={day >= kitchen.today}
          onClick={() => go(addDays(day, 1))}
          sx={{ minHeight: 44, minWidth: 44, p: 0 }}
        >
          <ArrowRightIcon />
        </Button>
      </Box>
      <ServedDishes day={day} />
      <WrittenLast />
    </>
  )
}
