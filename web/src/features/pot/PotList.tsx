import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Typography from '@mui/material/Typography'
import type { Pot, PotPlace, ResolvedOffer } from '@tender-gill/contract'
import { Link } from 'react-router'
import { FleshPrint } from '../../drawings/FleshPrint.tsx'
import { fishPath } from '../../parts/bookWords.ts'
import { nameCautions } from '../../parts/dishWords.ts'
import { FORM_LABEL, formatMoney, formatMassToBuy } from '../../reader/index.ts'
import { HEADING, INK } from '../../theme.ts'
import type { PotHand } from './usePotHand.ts'

interface RowProps {
  readonly place: PotPlace
  readonly offer: ResolvedOffer | undefined
  readonly at: number
  readonly hand: PotHand | undefined
}

function PlaceRow({ place, offer, at, hand }: RowProps) {
  const [worst] = place.pointsLost
  const held = hand?.holds.includes(place.species) === true
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gridTemplateColumns: '32px 72px minmax(0, 1fr) auto',
        columnGap: 1.5,
        alignItems: 'center',
        borderTop: `1px solid ${INK.hairline}`,
        py: 1,
      }}
    >
      <Box sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: 24, textAlign: 'center' }} aria-hidden>
        {at}
      </Box>
      {offer ? <FleshPrint offer={offer} name={place.common} /> : <span />}
      <div>
        <Typography component="h2" variant="h3">
          <Link to={fishPath(place.species)} style={{ color: INK.squid }}>
            {place.common}
          </Link>
          {place.or.length > 0 && (
            <Typography component="span" color="text.secondary">
              {' '}
              or {place.or.join(' or ')}
            </Typography>
          )}
        </Typography>
        <Typography variant="body2">
          <b>The {place.role} one</b>: {place.why}. {worst ? worst.sentence : ''}
        </Typography>
        <Typography variant="body2" color="text.secondary">
          {place.offer}; buy {formatMassToBuy(place.buyG)} {FORM_LABEL[place.form]}
          {place.portionCost
            ? `; ${formatMoney(place.portionCost.typical, place.portionCost.currency)} of the portion`
            : '; its price is not known'}
        </Typography>
        {place.cautions.length > 0 && (
          <Typography variant="body2" sx={{ color: 'warning.main', fontWeight: 700 }}>
            Caution: {nameCautions(place.cautions.map(({ kind }) => kind))}
          </Typography>
        )}
        {hand && (
          <Box
            role="group"
            aria-label={`${place.common}, by hand`}
            sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, ml: -1, displayPrint: 'none' }}
          >
            <Button
              size="small"
              aria-pressed={held}
              onClick={() => (held ? hand.letGo(place.species) : hand.putIn(place.species))}
              sx={{ minHeight: 44, fontWeight: held ? 700 : 400 }}
            >
              {held ? 'Kept in ✓' : 'Keep it in'}
            </Button>
            <Button size="small" color="inherit" onClick={() => hand.takeOut(place.species)} sx={{ minHeight: 44, fontWeight: 400 }}>
              Not this one
            </Button>
          </Box>
        )}
      </div>
      <Box sx={{ textAlign: 'right' }}>
        <Box sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: 22 }}>{place.fit.toFixed(0)}</Box>
        <Typography variant="body2" color="text.secondary">
          in its place
          {place.minutes > 0 && (
            <>
              <br />
              about {place.minutes} min
            </>
          )}
        </Typography>
      </Box>
    </Box>
  )
}

interface Props {
  readonly pot: Pot
  readonly offers: ReadonlyMap<string, ResolvedOffer>
  readonly label: string
  /** How its fish are kept in and taken out; left out where they are not. */
  readonly hand?: PotHand
}

/** The fish of a pot in the order in which they go in. */
export function PotList({ pot, offers, label, hand }: Props) {
  return (
    <Box component="ol" aria-label={label} sx={{ listStyle: 'none', p: 0, m: 0 }}>
      {pot.places.map((place, i) => (
        <PlaceRow key={place.species} place={place} offer={offers.get(place.offerId)} at={i + 1} hand={hand} />
      ))}
    </Box>
  )
}
