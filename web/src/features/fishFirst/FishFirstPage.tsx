import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import type { BriefRecord, ResolvedOffer } from '@tender-gill/contract'
import { FORMAT_LABEL } from '@tender-gill/core'
import { Link, useParams } from 'react-router'
import { useBriefsQuery } from '../../api/api.ts'
import { FleshPrint } from '../../drawings/FleshPrint.tsx'
import type { DishRow } from '../../engine/engine.worker.ts'
import type { MethodRow } from '../../engine/rankMethods.ts'
import { useAnswer, useSheet } from '../../engine/useEngine.ts'
import { Waiting } from '../../shell/Waiting.tsx'
import { HEADING, INK } from '../../theme.ts'
import LaterPage from '../later/LaterPage.tsx'

const Fit = ({ value }: { readonly value: number | null }) => (
  <Box sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: 22, textAlign: 'right' }}>{value === null ? 'no' : value.toFixed(0)}</Box>
)
const ROW = {
  display: 'grid',
  gridTemplateColumns: 'minmax(0, 1fr) auto',
  gap: 1,
  py: 0.75,
  borderTop: `1px solid ${INK.hairline}`,
  alignItems: 'center',
} as const

function DishList({ rows, records }: { readonly rows: readonly DishRow[]; readonly records: readonly BriefRecord[] }) {
  const sorted = [...rows].sort((a, b) => (b.fit ?? -1) - (a.fit ?? -1))
  return (
    <Box component="ol" aria-label="Your dishes for it" sx={{ listStyle: 'none', p: 0, m: 0 }}>
      {sorted.map(({ id, place, of, fit, sentence }) => (
        <Box component="li" key={id} sx={ROW}>
          <div>
            <Typography component="h3" variant="h3">
              <Link to={`/dishes/${id}/line-up`} style={{ color: INK.squid }}>
                {records.find((record) => record.id === id)?.brief.dish}
              </Link>
            </Typography>
            <Typography variant="body2" color="text.secondary">
              {place ? `Number ${place} of ${of}. ` : 'Left out. '}
              {sentence}
            </Typography>
          </div>
          <Fit value={fit} />
        </Box>
      ))}
    </Box>
  )
}

function MethodList({ rows }: { readonly rows: readonly MethodRow[] }) {
  return (
    <Box component="ol" aria-label="Ways to cook it" sx={{ listStyle: 'none', p: 0, m: 0 }}>
      {rows.map(({ method, label, format, fit, sentence }) => (
        <Box component="li" key={method} sx={ROW}>
          <div>
            <Typography component="h3" variant="h3">
              {fit === null ? (
                label
              ) : (
                <Link to={`/dishes/new?method=${method}`} style={{ color: INK.squid }}>
                  {label}
                </Link>
              )}
            </Typography>
            <Typography variant="body2" color="text.secondary">
              {fit === null ? '' : `As ${FORMAT_LABEL[format]}. `}
              {sentence}
            </Typography>
          </div>
          <Fit value={fit} />
        </Box>
      ))}
    </Box>
  )
}

function FishHeader({ offers }: { readonly offers: readonly ResolvedOffer[] }) {
  const [first] = offers
  if (!first) return null
  const fresh = offers.filter(({ state }) => state === 'fresh')
  return (
    <Paper
      component="section"
      aria-label="The fish"
      sx={{ p: 2, display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'center', gridColumn: '1 / -1' }}
    >
      <div>
        <Typography variant="h1">{first.common}</Typography>
        <Link to={`/book/${encodeURIComponent(first.species)}`}>All about it in the book</Link>
        <Typography color="text.secondary">
          <i>{first.species}</i>, {first.family}. Sold as {first.marketNames.slice(0, 6).join(', ')}.
        </Typography>
      </div>
      {(fresh.length > 0 ? fresh : offers).map((offer) => (
        <Box key={offer.id} sx={{ textAlign: 'center', fontSize: 13 }}>
          <FleshPrint offer={offer} name={`${offer.common}, ${offer.label}`} size="medium" />
          <div>
            {offer.label}: {offer.traits.fat.typical} g of fat
          </div>
        </Box>
      ))}
    </Paper>
  )
}

/** From a fish: which of the kitchen's dishes it does best, and the ways to cook it, by the same engine. */
export default function FishFirstPage() {
  const { species = '' } = useParams()
  const { data: records } = useBriefsQuery()
  const snapshot = useSheet()
  const offers = useAnswer(snapshot, species, (engine) => engine.offersOf(species))
  const methods = useAnswer(snapshot, species, (engine) => engine.methodsFor(species))
  const dishKey = records ? `${species}|${records.map(({ id, revision }) => `${id}.${revision}`).join(',')}` : null
  const dishes = useAnswer(snapshot, dishKey, (engine) => engine.dishesFor(species, records ?? []))
  if (offers?.key === species && offers.value.length === 0) return <LaterPage />
  if (!offers) return <Waiting what="the fish" />
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1.5,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1fr) minmax(0, 1fr)' },
        alignItems: 'start',
        mt: 1,
      }}
    >
      <FishHeader offers={offers.value} />
      <Paper component="section" aria-label="Your dishes" sx={{ p: 2 }}>
        <Typography variant="h2" gutterBottom>
          Your dishes for it
        </Typography>
        {records?.length === 0 && (
          <Button component={Link} to="/dishes/new">
            Start a first dish
          </Button>
        )}
        {dishes && records ? <DishList rows={dishes.value} records={records} /> : <Waiting what="your dishes" />}
      </Paper>
      <Paper component="section" aria-label="Ways to cook it" sx={{ p: 2 }}>
        <Typography variant="h2" gutterBottom>
          Ways to cook it
        </Typography>
        {methods ? <MethodList rows={methods.value} /> : <Waiting what="the ways to cook it" />}
      </Paper>
    </Box>
  )
}
