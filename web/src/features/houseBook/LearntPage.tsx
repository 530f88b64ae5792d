import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import { type ReactNode } from 'react'
import { Link } from 'react-router'
import { useHouseLearntQuery } from '../../api/api.ts'
import { TraitStrip } from '../../drawings/TraitStrip.tsx'
import { countEntries, sayDeliveries, sayHouseSwap, sayLearnt } from '../../parts/entryWords.ts'
import { capitalise } from '../../parts/dishWords.ts'
import { Waiting } from '../../parts/Waiting.tsx'
import { ASK_LABEL, describeValue, FORM_LABEL } from '../../reader/index.ts'
import { HEADING, INK } from '../../theme.ts'
import { Leaning } from './Leaning.tsx'
import { useSetAside } from './useSetAside.ts'
import { HouseBookRooms } from '../../parts/HouseBookRooms.tsx'

const percent = (share: number): string => `${Math.round(100 * share)}`
const GROUP_WORDS = {
  ...{ fried: 'fried', fierce: 'over fierce heat', oven: 'in the oven', moist: 'in steam or liquor', pot: 'in the pot' },
  ...{ raw: 'raw', smoke: 'smoked', mince: 'minced' },
} as const

interface RowProps {
  readonly value: { readonly key: string; readonly setAside: boolean }
  readonly name: string
  readonly says: string
  readonly book: string
  readonly entries: string
  readonly children?: ReactNode
}

/** One learnt value: what the house says, the book's beside it, the entries behind it, and the way to put it back. */
function LearntRow({ value: { key, setAside: aside }, name, says, book, entries, children }: RowProps) {
  const setAside = useSetAside()
  return (
    <Box
      component="li"
      sx={{
        borderTop: `1px solid ${INK.hairline}`,
        py: 1,
        display: 'grid',
        gap: 0.5,
        opacity: aside ? 0.6 : 1,
        gridTemplateColumns: 'minmax(0, 1fr) auto',
      }}
    >
      <Box sx={{ minWidth: 0 }}>
        <Box component="h3" sx={{ fontFamily: HEADING, fontSize: 17, m: 0 }}>
          {name}
        </Box>
        <Typography sx={{ textDecoration: aside ? 'line-through' : 'none' }}>{capitalise(says)}</Typography>
        <Typography variant="body2" color="text.secondary">
          {book}
        </Typography>
        {children}
      </Box>
      <Box sx={{ display: 'flex', flexDirection: 'column', alignItems: 'flex-end' }}>
        <Button size="small" component={Link} to={`/house-book/entries?${entries}`} sx={{ minHeight: 36 }}>
          Entries behind it
        </Button>
        <Button size="small" onClick={() => void setAside(key, !aside, name)} sx={{ minHeight: 36 }}>
          {aside ? 'Let it count' : 'Put the book’s back'}
        </Button>
      </Box>
    </Box>
  )
}

function Section({ title, none, children }: { readonly title: string; readonly none: string; readonly children: readonly ReactNode[] }) {
  return (
    <Paper component="section" aria-label={title} sx={{ p: { xs: 1.5, md: 2 } }}>
      <Typography variant="h2">{title}</Typography>
      {children.length === 0 ? (
        <Typography color="text.secondary">{none}</Typography>
      ) : (
        <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
          {children}
        </Box>
      )}
    </Paper>
  )
}

/** What the book has taught: every value with what it rests on, and the way back to the shipped book. */
export default function LearntPage() {
  const { data } = useHouseLearntQuery()
  if (!data) return <Waiting what="what the book taught" />
  const { traits, yields, merchants, swaps, pulls, chosen, counted } = data
  const of = (value: string) => encodeURIComponent(value)
  return (
    <Box sx={{ maxWidth: 1180 }}>
      <HouseBookRooms here="/house-book/learnt" />
      <Typography role="status" aria-label="What it rests on" sx={{ fontSize: 20, mb: 1.5 }}>
        {counted === 0
          ? 'Nothing is written yet, so nothing is learnt.'
          : `Learnt from ${countEntries(counted)}. Every page counts with it; nothing of it opens a rule of safety.`}
      </Typography>
      <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '1fr 1fr' }, alignItems: 'start' }}>
        <Section title="Fish" none="Notes after service teach how this house’s fish is.">
          {traits.map((value) => (
            <LearntRow
              key={value.key}
              value={value}
              name={`${value.common}, ${value.offer}: ${ASK_LABEL[value.trait].toLowerCase()}`}
              says={sayLearnt(value.trait, value.house, value)}
              book={`${describeValue(value.trait, value.house.typical)} here; the book: ${describeValue(value.trait, value.book.typical)}`}
              entries={`offerId=${of(value.offerId)}&kinds=served`}
            >
              <TraitStrip trait={value.trait} value={value.house} name={value.common} ghost={value.book.typical} />
            </LearntRow>
          ))}
        </Section>
        <Box sx={{ display: 'grid', gap: 1.5 }}>
          <Section title="What comes off" none="Weights after trimming teach what a fish yields here.">
            {yields.map((value) => (
              <LearntRow
                key={value.key}
                value={value}
                name={`${value.common}, ${FORM_LABEL[value.form]}`}
                says={`house: ${percent(value.house.typical)} of 100 of the whole fish, ${percent(value.house.low)} to ${percent(value.house.high)}, from ${value.n} weighed`}
                book={`the book: ${percent(value.book.typical)}, ${percent(value.book.low)} to ${percent(value.book.high)}`}
                entries={`offerId=${of(value.offerId)}&kinds=weighed`}
              />
            ))}
          </Section>
          <Section title="Merchants" none="What comes, and how fresh, teaches whom to trust.">
            {merchants.map((value) => (
              <LearntRow
                key={value.key}
                value={value}
                name={value.merchant}
                says={sayDeliveries(value)}
                book={`Usually taken: 5 of 100. On ice on arrival: ${value.iceDays.typical.toFixed(1)} days, ${value.iceDays.low.toFixed(1)} to ${value.iceDays.high.toFixed(1)}, ${value.arrivals === 0 ? 'as is usual' : `from ${value.arrivals} looked at`}`}
                entries={`merchant=${of(value.merchant)}&kinds=bought,looked`}
              />
            ))}
          </Section>
          <Section title="Swaps" none="Whether a stand-in was worth taking again teaches which swaps hold.">
            {swaps.map((value) => (
              <LearntRow
                key={value.key}
                value={value}
                name={`${capitalise(value.standInCommon)} for ${value.missingCommon}, ${GROUP_WORDS[value.group]}`}
                says={sayHouseSwap(value)}
                book={`Alike ${value.alike.toFixed(0)} of 100 here; by the book ${value.alikeWas.toFixed(0)}`}
                entries={`species=${of(value.standIn)}&kinds=swapped`}
              />
            ))}
          </Section>
          <Section
            title="What this kitchen seems to care about"
            none="Nothing yet: it takes eight choices in one way of cooking that agree."
          >
            {[...new Set(pulls.map(({ method }) => method))].map((method) => (
              <Leaning key={method} method={method} pulls={pulls} chosen={chosen} />
            ))}
          </Section>
        </Box>
      </Box>
    </Box>
  )
}
