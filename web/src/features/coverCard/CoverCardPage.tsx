import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import { styled } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import type { CoverCard, CoverRow, CoverRung } from '@tender-gill/contract'
import { isDay } from '@tender-gill/core'
import { FORM_LABEL, describeDay, formatMassToBuy } from '../../reader/index.ts'
import { Link, useSearchParams } from 'react-router'
import { useCoverCardQuery, useKitchenQuery } from '../../api/api.ts'
import { Waiting } from '../../parts/Waiting.tsx'
import { HEADING, INK } from '../../theme.ts'
import { chanceOfHundred } from '../../parts/dishWords.ts'
import { HangBars } from './HangBars.tsx'
import { weekOf } from './week.ts'

/** How much of each ladder is told, so that a long card still goes on one page. */
const toldFor = (rows: number): { readonly rungs: number; readonly changes: number } =>
  rows <= 7 ? { rungs: 3, changes: 2 } : rows <= 12 ? { rungs: 2, changes: 1 } : { rungs: 2, changes: 0 }
type Told = ReturnType<typeof toldFor>
/** Said already: the weight and the form stand beside the name, the menu at the foot. */
const SAID: ReadonlySet<string> = new Set(['menu-name', 'weight', 'format'])

/** "8 to 14 June", or with both months where they differ. */
const describeDays = ({ from, to }: CoverCard): string =>
  `${from.slice(0, 7) === to.slice(0, 7) ? Number(from.slice(8)) : describeDay(from)} to ${describeDay(to)}`

/** One sheet of paper: black on white, nothing of the screen around it. */
const Sheet = styled('section')({
  background: INK.ice,
  border: `1px solid ${INK.hairline}`,
  borderRadius: 4,
  maxWidth: 1080,
  margin: '8px auto',
  padding: 24,
  '& table': { width: '100%', borderCollapse: 'collapse', tableLayout: 'fixed' },
  '& th, & td': { textAlign: 'left', verticalAlign: 'top', padding: '8px 10px 8px 0', borderTop: `1px solid ${INK.hairline}` },
  '& thead th': { borderTop: 'none', fontSize: 13, color: INK.slate, fontWeight: 400, paddingBottom: 2 },
  '& tr': { breakInside: 'avoid' },
  '& col:nth-of-type(1)': { width: '22%' },
  '& col:nth-of-type(2)': { width: '26%' },
  '& .apart, & .after': { display: 'block' },
  '& .paper': { display: 'none' },
  '@media (max-width: 700px)': {
    padding: 12,
    '& thead, & colgroup': { display: 'none' },
    '& table, & tbody, & tr, & th, & td': { display: 'block', width: 'auto' },
    '& td': { borderTop: 'none', paddingTop: 0 },
  },
  '@media print': {
    border: 'none',
    margin: 0,
    padding: 0,
    maxWidth: 'none',
    color: '#000',
    background: '#fff',
    fontSize: 11,
    '& .screen': { display: 'none' },
    '& .paper': { display: 'inline' },
    '& p, & li, & td, & th': { fontSize: 11, lineHeight: 1.25 },
    '& th, & td': { padding: '3px 6px 3px 0', borderColor: '#888' },
    // A long card goes on one page either way up: what stands on a line of its own on a screen follows the line before.
    '& col:nth-of-type(1)': { width: '20%' },
    '& col:nth-of-type(2)': { width: '31%' },
    '& .apart': { display: 'inline', '&::before': { content: '"; "' } },
    '& .after': { display: 'inline' },
    '& h1': { fontSize: 18 },
    '& h2': { fontSize: 13 },
  },
})

interface RungProps {
  readonly rung: CoverRung
  readonly at: number
  readonly most: number
  /** How sure all of the ladder is; said after its last rung. */
  readonly sure: { readonly rungs: number; readonly of100: string } | null
}

function RungCell({ rung, at, most, sure }: RungProps) {
  const all = rung.changes.filter(({ kind }) => !SAID.has(kind))
  // Another allergen is told however long the card is, and in the colour of stop.
  const [allergen] = rung.otherAllergen ? all : []
  const changes = all.filter((change) => change !== allergen).slice(0, most)
  return (
    <Box component="li" sx={{ mb: 0.5 }}>
      <b>
        {at}. {rung.common}
      </b>
      , {rung.standIn.toFixed(0)}; {formatMassToBuy(rung.buyG)} {FORM_LABEL[rung.form]}
      {allergen && (
        <Box component="strong" sx={{ color: 'error.main' }}>
          . {allergen.sentence}
        </Box>
      )}
      {all.length === 0 ? '. Cooks and serves the same.' : `. ${changes.map(({ sentence }) => sentence).join(' ')}`}
      {sure && (
        <Box component="span" className="after" sx={{ color: 'text.secondary' }}>
          <span className="screen">
            At least one of {sure.rungs === 1 ? '1 rung' : `${sure.rungs} rungs`} is there in {sure.of100} of 100.
          </span>
          <span className="paper"> {sure.of100} of 100.</span>
        </Box>
      )}
    </Box>
  )
}

/** Which of the fish of a pot a row is for; nothing where one fish does it alone. */
const describeShare = (at: number, { kinds }: CoverRow): string => (kinds === 1 ? '' : `fish ${at} of ${kinds} in it; `)

function Row({ row, at, told }: { readonly row: CoverRow; readonly at: number; readonly told: Told }) {
  const { fish } = row
  const rungs = row.ladder.slice(0, told.rungs)
  return (
    <tr>
      <th scope="row">
        <Link to={`/dishes/${row.servingId}/line-up`} style={{ color: INK.squid, fontFamily: HEADING, fontSize: '1.1em' }}>
          {row.dish}
        </Link>
        <Typography variant="body2" color="text.secondary">
          {describeShare(at, row)}
          {row.date ? describeDay(row.date) : 'no day yet'}; {row.covers} {row.covers === 1 ? 'cover' : 'covers'}
        </Typography>
      </th>
      <td>
        {fish ? (
          <>
            <Box component="span" sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: '1.25em', display: 'block', lineHeight: 1.2 }}>
              {fish.common}
            </Box>
            {fish.offer}; {formatMassToBuy(fish.buyG)} {FORM_LABEL[fish.form]}
            {!fish.taken && (
              <Box component="span" className="apart" sx={{ color: 'text.secondary' }}>
                leads, not taken yet
              </Box>
            )}
            {fish.absentUntil && (
              <Box sx={{ borderLeft: `4px solid ${INK.brass}`, pl: 1, fontWeight: 700 }}>missing until {describeDay(fish.absentUntil)}</Box>
            )}
          </>
        ) : (
          <b>No fish can do it as it stands</b>
        )}
      </td>
      <td>
        <Box component="ol" aria-label={`If it is not there: ${row.dish}`} sx={{ listStyle: 'none', p: 0, m: 0, fontSize: 13 }}>
          {rungs.map((rung, i) => (
            <RungCell
              key={rung.species}
              rung={rung}
              at={i + 1}
              most={told.changes}
              sure={i + 1 === rungs.length ? { rungs: row.ladder.length, of100: chanceOfHundred(row.atLeastOne) } : null}
            />
          ))}
        </Box>
        {fish && row.ladder.length === 0 && 'Nothing stands in for it.'}
      </td>
    </tr>
  )
}

function Card({ card }: { readonly card: CoverCard }) {
  const [most] = card.hangs
  return (
    <>
      <table>
        <colgroup>
          <col />
          <col />
          <col />
        </colgroup>
        <thead>
          <tr>
            <th scope="col">Dish</th>
            <th scope="col">Fish</th>
            <th scope="col">
              If it is not there, in this order<span className="paper">; and how often one of them is there</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {card.rows.map((row, i) => {
            const at = card.rows.slice(0, i + 1).filter(({ servingId }) => servingId === row.servingId).length
            return <Row key={`${row.servingId}|${at}`} row={row} at={at} told={toldFor(card.rows.length)} />
          })}
        </tbody>
      </table>
      {most && (
        <Box component="section" aria-labelledby="hangs" sx={{ mt: 2 }}>
          <Typography id="hangs" component="h2" variant="h2" gutterBottom>
            What the {card.covers} covers hang on
          </Typography>
          <HangBars hangs={card.hangs} />
        </Box>
      )}
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1.5 }}>
        Stand-ins are of what your lists offer, where there are lists. Wherever another fish is served: change the menu, tell the floor and
        the allergen sheet. Minutes within a fifth; chances compiled. Follow your local authority’s advice.
      </Typography>
    </>
  )
}

/** One printed page for the week: each dish, its fish, its ladder, what changes, and what the covers hang on. */
export default function CoverCardPage() {
  const [search] = useSearchParams()
  const { data: kitchen } = useKitchenQuery()
  const asked = search.get('week')
  const week = weekOf(isDay(asked) ? asked : (kitchen?.today ?? '2000-01-03'))
  const { data: card, isError } = useCoverCardQuery(week, { skip: !kitchen })
  if (isError) return <Alert severity="error">The card could not be written. Try again.</Alert>
  if (!card || !kitchen) return <Waiting what="the card" shape="rows" />
  const others = [
    ['Week before', weekOf(week.from, -1).from],
    ['Week after', weekOf(week.from, 1).from],
  ] as const
  return (
    <Sheet aria-label="Cover card">
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1, mb: 1.5 }}>
        <Typography variant="h1" sx={{ flex: 1, minWidth: 240 }}>
          {kitchen.name}, {describeDays(card)}
        </Typography>
        <Box className="screen" sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
          {others.map(([words, day]) => (
            <Button key={words} component={Link} to={`/cover-card?week=${day}`}>
              {words}
            </Button>
          ))}
          <Button variant="contained" onClick={() => window.print()}>
            Print
          </Button>
        </Box>
      </Box>
      {card.rows.length === 0 ? (
        <Typography>Nothing is served in this week, and nothing waits for a day.</Typography>
      ) : (
        <Card card={card} />
      )}
    </Sheet>
  )
}
