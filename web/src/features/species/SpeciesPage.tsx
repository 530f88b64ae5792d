import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import { styled } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import type { ResolvedOffer, SpeciesSheet } from '@tender-gill/contract'
import { useMemo, useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { FleshPrint } from '../../drawings/FleshPrint.tsx'
import { useAnswer, useOffers, useSheet } from '../../engine/index.ts'
import { HouseSays } from '../../parts/HouseSays.tsx'
import { Lessons } from '../../parts/Lessons.tsx'
import { Waiting } from '../../parts/Waiting.tsx'
import { INK } from '../../theme.ts'
import { comparePath } from '../../parts/bookWords.ts'
import NothingHere from '../../shell/NothingHere.tsx'
import { MarketOf } from '../../parts/MarketOf.tsx'
import { CompositionPanel, GoodFor, Panel, Relatives, Safety, Sizes, WildFarmed } from './FactPanels.tsx'
import { NamesPanel } from './NamesPanel.tsx'
import { TraitTable } from './TraitTable.tsx'
import { useHouseHand, type HouseHand } from './useHouseHand.ts'
import { useUndoable } from '../../notices/index.ts'

const OfferButton = styled('button')({
  font: 'inherit',
  fontSize: 14,
  minHeight: 36,
  padding: '2px 10px',
  border: `1px solid ${INK.slate}`,
  borderRadius: 4,
  background: INK.ice,
  color: INK.squid,
  cursor: 'pointer',
  '&[aria-pressed=true]': { background: INK.brine, border: `2px solid ${INK.kelp}`, fontWeight: 700 },
  '@media (max-width: 900px)': { minHeight: 44 },
})

/** Closed fish say so before anything else. */
function Closed({ offer }: { readonly offer: ResolvedOffer }) {
  const { listing, waxEster } = offer
  if (listing?.status === 'prohibited') return <Alert severity="error">Protected. {listing.sentence} No line-up offers it.</Alert>
  if (waxEster) return <Alert severity="error">Not fit to eat: its oil is wax. No line-up offers it, under whatever name it is sold.</Alert>
  return null
}

function HandNotice({ sheet, hand }: { readonly sheet: SpeciesSheet; readonly hand: HouseHand }) {
  const navigate = useNavigate()
  const undoable = useUndoable()
  const own = sheet.hand === 'house-own'
  const takeOff = async () => {
    const done = await undoable(hand.takeOff, {
      done: own ? `${sheet.common} was taken away.` : `The house’s hand was taken off ${sheet.common}.`,
      undone: own ? `${sheet.common} is back.` : `The house’s hand is on ${sheet.common} again.`,
      undo: hand.putBack,
    })
    if (done && own) void navigate('/book')
  }
  if (!hand.changed || (sheet.hand === 'book' && !sheet.hidden)) return null
  const what =
    sheet.hand === 'house-own'
      ? 'The house’s own species.'
      : sheet.hidden
        ? 'The house keeps it out of line-ups.'
        : 'The house’s hand is on it.'
  return (
    <Alert
      severity="info"
      icon={false}
      action={<Button onClick={() => void takeOff()}>{sheet.hand === 'house-own' ? 'Take it away' : 'All as the book has it'}</Button>}
    >
      {what}
    </Alert>
  )
}

function Header({ sheet, offer, hand }: { readonly sheet: SpeciesSheet; readonly offer: ResolvedOffer; readonly hand: HouseHand }) {
  const english = sheet.names.en ?? []
  return (
    <Paper
      component="section"
      aria-label="The fish"
      sx={{ p: 2, display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'center', gridColumn: '1 / -1' }}
    >
      <FleshPrint offer={offer} name={`${sheet.common}, ${offer.label}`} size="large" />
      <Box sx={{ flex: '1 1 320px', minWidth: 0 }}>
        <Typography variant="h1" sx={{ fontSize: '2.2rem' }}>
          {sheet.common}
        </Typography>
        <Typography color="text.secondary" gutterBottom>
          <i>{sheet.species}</i>, {sheet.family}
          {english.length > 0 && `. Sold as ${english.slice(0, 5).join(', ')}`}
        </Typography>
        <Lessons species={sheet.species} />
        {sheet.notes.map((note) => (
          <Typography key={note}>{note}</Typography>
        ))}
      </Box>
      <Box sx={{ display: 'grid', gap: 1 }}>
        <Button variant="contained" component={Link} to={`/fish/${encodeURIComponent(sheet.species)}`}>
          I have this fish
        </Button>
        <Button component={Link} to={comparePath([sheet.species])}>
          Compare it
        </Button>
        {hand.source && (
          <Button onClick={() => hand.source && void hand.keep(hand.source, !sheet.hidden)}>
            {sheet.hidden ? 'Show it in line-ups' : 'Keep it out of line-ups'}
          </Button>
        )}
      </Box>
    </Paper>
  )
}

function Traits({
  sheet,
  hand,
  offer,
  onPick,
}: {
  readonly sheet: SpeciesSheet
  readonly hand: HouseHand
  readonly offer: ResolvedOffer
  readonly onPick: (id: string) => void
}) {
  const learnt = useOffers(
    useMemo(() => [offer.id], [offer.id]),
    undefined,
  ).get(offer.id)
  const [editing, setEditing] = useState(false)
  return (
    <Paper component="section" aria-label="Traits of the flesh" sx={{ p: 2 }}>
      <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', alignItems: 'center', mb: 1 }}>
        <Typography variant="h2" sx={{ mr: 'auto' }}>
          The flesh
        </Typography>
        {!editing && hand.source && <Button onClick={() => setEditing(true)}>Change in the house’s hand</Button>}
      </Box>
      {learnt && <HouseSays offer={learnt} />}
      <Box role="group" aria-label="Which of it" sx={{ display: 'flex', gap: 0.75, flexWrap: 'wrap', mb: 1 }}>
        {sheet.offers.map(({ id, label }) => (
          <OfferButton key={id} type="button" aria-pressed={id === offer.id} onClick={() => onPick(id)} disabled={editing}>
            {label}
          </OfferButton>
        ))}
      </Box>
      <TraitTable key={offer.id} offer={offer} hand={hand} editing={editing} onDone={() => setEditing(false)} />
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
        A line runs from what one fish in twenty falls below to what one in twenty exceeds; the dot is the usual fish. Compiled is common
        knowledge, not a measurement.
      </Typography>
    </Paper>
  )
}

function SpeciesView({ sheet }: { readonly sheet: SpeciesSheet }) {
  const { species } = sheet
  const offers = useSheet()
  const hand = useHouseHand(species)
  const [picked, setPicked] = useState<string>()
  const offer = sheet.offers.find(({ id }) => id === picked) ?? sheet.offers[0]
  const methods = useAnswer(offers, species, async (desk) => (await desk.fishFirst([{ species }], []))?.answer.methods ?? [])
  const relatives = useAnswer(offers, offer?.id ?? null, (desk) => desk.relatives(offer?.id ?? ''))
  if (!offer) return null
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1.5,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1.35fr) minmax(0, 1fr)' },
        alignItems: 'start',
        mt: 1,
      }}
    >
      <Header sheet={sheet} offer={offer} hand={hand} />
      <Box sx={{ gridColumn: '1 / -1', display: 'grid', gap: 1, '&:empty': { display: 'none' } }}>
        <Closed offer={offer} />
        <HandNotice sheet={sheet} hand={hand} />
      </Box>
      <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: 'minmax(0, 1fr)' }}>
        <Traits sheet={sheet} hand={hand} offer={offer} onPick={setPicked} />
        <Sizes sheet={sheet} />
        <Panel title="In your waters">
          <MarketOf species={sheet.species} />
        </Panel>
        <CompositionPanel sheet={sheet} />
        <NamesPanel sheet={sheet} hand={hand} />
      </Box>
      <Box sx={{ display: 'grid', gap: 1.5, gridTemplateColumns: 'minmax(0, 1fr)' }}>
        <Safety sheet={sheet} />
        {methods && <GoodFor rows={methods.value} />}
        <WildFarmed sheet={sheet} />
        {relatives && <Relatives species={species} relatives={relatives.value} />}
      </Box>
    </Box>
  )
}

/** One species of the book: its flesh with ranges and bases, what it is good for, its kin, its facts, its names, and the house's hand. */
export default function SpeciesPage() {
  const { species = '' } = useParams()
  const offers = useSheet()
  const answer = useAnswer(offers, offers ? `${offers.name}|${species}` : null, (desk) => desk.sheets([species]))
  if (!answer?.key.endsWith(`|${species}`)) return <Waiting what="the fish" />
  const [sheet] = answer.value
  return sheet ? <SpeciesView key={species} sheet={sheet} /> : <NothingHere />
}
