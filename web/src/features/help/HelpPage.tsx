import Box from '@mui/material/Box'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import type { RankedFish, ServingRecord } from '@tender-gill/contract'
import { useEffect, type ReactNode } from 'react'
import { Link, useLocation } from 'react-router'
import { useServingsQuery } from '../../api/api.ts'
import { AskStrip } from '../../drawings/AskStrip.tsx'
import { FleshPrint } from '../../drawings/FleshPrint.tsx'
import { Shoal } from '../../drawings/Shoal.tsx'
import { useOffers } from '../../engine/index.ts'
import { EXPLANATIONS } from '../../parts/explanations.ts'
import { joinWords, ofHundred } from '../../parts/dishWords.ts'
import { Waiting } from '../../parts/Waiting.tsx'
import { ASK_LABEL } from '../../reader/index.ts'
import { HEADING, INK } from '../../theme.ts'
import { useLineUp } from '../lineUp/index.ts'

/** What is of the reader's own kitchen stands apart. */
const EXAMPLE = { borderLeft: `5px solid ${INK.roe}`, pl: 1.5, my: 1 } as const

function Chapter({ at, title, children }: { readonly at: string; readonly title: string; readonly children: ReactNode }) {
  return (
    <Box
      component="section"
      id={at}
      aria-labelledby={`${at}-title`}
      sx={{ borderTop: `1px solid ${INK.hairline}`, pt: 2, scrollMarginTop: 12 }}
    >
      <Typography id={`${at}-title`} variant="h2" gutterBottom>
        {title}
      </Typography>
      {children}
    </Box>
  )
}

/** How many points one fish of the reader's own dish lost, and where: they add up. */
function FitExample({ fish, dish }: { readonly fish: RankedFish; readonly dish: string }) {
  const lost = fish.pointsLost.filter(({ points }) => points >= 0.05)
  return (
    <Box sx={EXAMPLE}>
      <Typography>
        In your dish <b>{dish}</b>, {fish.common} stands at{' '}
        <Box component="b" sx={{ fontFamily: HEADING, fontSize: 22 }}>
          {fish.fit.toFixed(1)}
        </Box>
        {lost.length === 0 ? ': it meets every ask.' : ', which is 100 less what it misses:'}
      </Typography>
      {lost.length > 0 && (
        <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
          {lost.map(({ trait, points, sentence }) => (
            <li key={trait}>
              <b>{points.toFixed(1)}</b> for {ASK_LABEL[trait].toLowerCase()}: {sentence}
            </li>
          ))}
        </Box>
      )}
    </Box>
  )
}

type Part = 'fit' | 'sureness' | 'strip' | 'print' | 'standing'
/** The reader's own dish as one part of it shows it; nothing where there is no dish, or not yet. */
type Example = (part: Part) => ReactNode

/** One fish of the reader's own dish, as each figure and drawing has it. The line-up is asked for once, whoever shows it. */
function useExample(record: ServingRecord): Example {
  const lineUp = useLineUp(record.brief)
  const ready = lineUp.status === 'ready' ? lineUp : null
  const ranked = ready?.lineUp.ranked ?? []
  // A fish that misses something explains more than one that misses nothing.
  const fish = ranked.slice(0, 8).find(({ pointsLost }) => pointsLost.length > 1) ?? ranked[0]
  const offer = useOffers(fish ? [fish.offerId] : [], record.brief.date).get(fish?.offerId ?? '')
  const { dish } = record.brief
  const standing = ready && fish?.standings.find(({ trait }) => trait !== 'colour' && ready.lineUp.brief.asks[trait])
  const ask = standing && ready.lineUp.brief.asks[standing.trait]
  return (part) => {
    if (!fish) return null
    if (part === 'fit') return <FitExample fish={fish} dish={dish} />
    if (part === 'sureness')
      return ready?.sharesReady ? (
        <Typography sx={EXAMPLE}>
          In <b>{dish}</b>,{' '}
          {joinWords(ranked.slice(0, 3).map((row) => `${row.common} came first in ${ofHundred(row.firstShare)} of 100 draws`))}.
        </Typography>
      ) : null
    if (part === 'strip')
      return standing && ask ? (
        <Box sx={EXAMPLE}>
          <Typography>
            {fish.common} in <b>{dish}</b>, {ASK_LABEL[standing.trait].toLowerCase()}:
          </Typography>
          <AskStrip standing={standing} ask={ask} width={220} />
        </Box>
      ) : null
    if (!offer) return null
    return (
      <Box sx={{ ...EXAMPLE, display: 'flex', gap: 2, alignItems: 'center' }}>
        {part === 'print' ? (
          <FleshPrint offer={offer} name={offer.common} size="medium" />
        ) : (
          <Shoal standing={offer.stock} weakest={offer.stock?.weakest ?? null} />
        )}
        <Typography>
          {offer.common}, {offer.label}
        </Typography>
      </Box>
    )
  }
}

const WithOwnDish = ({ record, children }: { readonly record: ServingRecord; readonly children: (example: Example) => ReactNode }) =>
  children(useExample(record))
const NO_EXAMPLE: Example = () => null

/** What the figures and drawings say, each shown on the reader's own dish. */
export default function HelpPage() {
  const { hash } = useLocation()
  const { data: servings } = useServingsQuery()
  const own = [...(servings ?? [])].sort((a, b) => b.updatedAt.localeCompare(a.updatedAt))[0]
  useEffect(() => {
    if (hash !== '' && servings) document.getElementById(hash.slice(1))?.scrollIntoView()
  }, [hash, servings])
  if (!servings) return <Waiting what="the help" />
  const chapters = (example: Example) => (
    <Paper component="article" aria-label="How to read it" sx={{ p: { xs: 2, md: 3 }, mt: 1, maxWidth: 860, display: 'grid', gap: 2.5 }}>
      <div>
        <Typography variant="h1" gutterBottom>
          How to read it
        </Typography>
        <Typography>
          A dish asks for a kind of flesh. Every fish of the book is held against that, and stands in line. You have the last word; each
          figure says what it rests on.{' '}
          {own ? `The examples are from your own dish, ${own.brief.dish}.` : 'Once you have a dish, the examples here are from it.'}
        </Typography>
      </div>
      <Chapter at="fit" title="Fit, of 100">
        <Typography>{EXPLANATIONS.fit.words}</Typography>
        {example('fit')}
        <Typography>
          A must is another thing: nothing buys it back. Who misses a must is left out, and the list below the line-up says why and what
          would let it in. What is not known of a fish counts as middling, and is said.
        </Typography>
      </Chapter>
      <Chapter at="sureness" title="How sure">
        <Typography>{EXPLANATIONS.sureness.words}</Typography>
        {example('sureness')}
        <Typography>
          Where several come first about as often, it is a toss-up: let the price or the look of it decide. Sort the line-up by “How sure”
          to see who leads most often.
        </Typography>
      </Chapter>
      <Chapter at="standing" title="How a stock stands">
        <Typography>{EXPLANATIONS.standing.words}</Typography>
        {example('standing')}
        <Typography>
          <Link to="/market/standing">How a standing is worked out</Link>
        </Typography>
      </Chapter>
      <Chapter at="print" title="The print of the flesh">
        <Typography>{EXPLANATIONS.print.words}</Typography>
        {example('print')}
      </Chapter>
      <Chapter at="strip" title="The strips">
        <Typography>{EXPLANATIONS.strip.words}</Typography>
        {example('strip')}
      </Chapter>
      <Chapter at="ladder" title="The ladder of stand-ins">
        <Typography>{EXPLANATIONS.ladder.words}</Typography>
      </Chapter>
      <Chapter at="tide" title="Months and the year">
        <Typography gutterBottom>{EXPLANATIONS.tide.words}</Typography>
        <Typography>{EXPLANATIONS.year.words}</Typography>
      </Chapter>
      <Chapter at="day" title="The line of the day">
        <Typography>{EXPLANATIONS.dayLine.words}</Typography>
      </Chapter>
      <Chapter at="good" title="What is good today">
        <Typography>{EXPLANATIONS.good.words}</Typography>
      </Chapter>
      <Chapter at="pot" title="A pot of several">
        <Typography>{EXPLANATIONS.pot.words}</Typography>
      </Chapter>
      <Chapter at="house-book" title="What the house learns">
        <Typography>
          After service a few taps say how a fish was against the book, and what was bought, weighed, kept and thrown away writes itself.
          From these entries the house learns its own values, little from one and more from many: the book’s range weighs as what is not
          known of your supply yet. Where a learnt value speaks it says “house”, from how many entries, with the book’s value as a dashed
          ring; press it for the entries behind it. An odd fish is set aside, and any value put back. Nothing learnt opens a rule of safety.
        </Typography>
      </Chapter>
      <Chapter at="basis" title="What it rests on">
        <Typography>
          Traits are compiled from common knowledge and stand as ranges; what was measured says so, and what this house has changed is
          called the house’s. Prices are estimated from your merchants’ lists. Nothing here replaces your local authority’s advice, a label,
          or a look at the fish.
        </Typography>
      </Chapter>
    </Paper>
  )
  return own ? (
    <WithOwnDish key={own.id} record={own}>
      {chapters}
    </WithOwnDish>
  ) : (
    chapters(NO_EXAMPLE)
  )
}
