import Box from '@mui/material/Box'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import type { AbsenceDish, ResolvedOffer, Rung } from '@tender-gill/contract'
import { FORM_LABEL, describeDay, formatMassToBuy } from '../../reader/index.ts'
import { Link } from 'react-router'
import { FleshPrint } from '../../drawings/FleshPrint.tsx'
import { HEADING, INK } from '../../theme.ts'

const AUTOMATIC = '*'
const NONE_YET = ''
const MOST_CHANGES = 3
/** Said already: the weight and the form stand beside the name, the menu below all dishes. */
const SAID: ReadonlySet<string> = new Set(['menu-name', 'weight', 'format'])

interface Props {
  readonly dish: AbsenceDish
  readonly held: string | undefined
  readonly offers: ReadonlyMap<string, ResolvedOffer>
  readonly onHold: (species: string | null) => void
}

/** What the move asks of the kitchen, the most consequential first. */
function RungWords({ rung }: { readonly rung: Rung }) {
  const changes = rung.changes.filter(({ kind }) => !SAID.has(kind)).slice(0, MOST_CHANGES)
  return (
    <>
      <Typography variant="body2" color="text.secondary">
        {rung.offer}; buy {formatMassToBuy(rung.buyG)} {FORM_LABEL[rung.form]}; stands in at {rung.standIn.toFixed(0)} of 100
      </Typography>
      {changes.length === 0 && <Typography variant="body2">Cooks and serves the same.</Typography>}
      {changes.map(({ sentence }) => (
        <Typography key={sentence} variant="body2">
          {sentence}
        </Typography>
      ))}
    </>
  )
}

/** One dish that loses its fish: what it takes instead, why, and the cook's own word about it. */
export function MovedDish({ dish, held, offers, onHold }: Props) {
  const rung = dish.ladder[dish.move ?? -1]
  const offer = offers.get(rung?.offerId ?? '')
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '68px minmax(0, 1fr)', md: '200px 76px minmax(0, 1fr) 220px' },
        columnGap: 1.5,
        rowGap: 0.5,
        alignItems: 'start',
        borderTop: `1px solid ${INK.hairline}`,
        py: 1.25,
      }}
    >
      <Box sx={{ gridColumn: { xs: '1 / -1', md: 'auto' } }}>
        <Typography component="h3" variant="h3">
          <Link to={`/dishes/${dish.servingId}/stand-ins`} style={{ color: INK.squid }}>
            {dish.dish}
          </Link>
        </Typography>
        <Typography variant="body2" color="text.secondary">
          {dish.date ? `${describeDay(dish.date)}; ` : ''}
          {dish.covers} {dish.covers === 1 ? 'cover' : 'covers'}
        </Typography>
      </Box>
      {offer ? <FleshPrint offer={offer} name={offer.common} /> : <span />}
      <div>
        <Typography sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: 20, lineHeight: 1.2 }}>
          {rung ? rung.common : held === NONE_YET ? 'Nothing yet' : 'Nothing is left for it'}
        </Typography>
        {rung && <RungWords rung={rung} />}
        {dish.emptyBecause && <Typography variant="body2">{dish.emptyBecause}</Typography>}
        {dish.sentence && (
          <Typography variant="body2" sx={{ borderLeft: `4px solid ${INK.brass}`, pl: 1, mt: 0.5 }}>
            {dish.sentence}
          </Typography>
        )}
      </div>
      <TextField
        select
        size="small"
        label={`For ${dish.dish}`}
        value={held ?? AUTOMATIC}
        onChange={({ target }) => onHold(target.value === AUTOMATIC ? null : target.value)}
        sx={{ gridColumn: { xs: '2', md: 'auto' }, mt: 0.5 }}
      >
        <MenuItem value={AUTOMATIC}>the best for all dishes</MenuItem>
        {dish.ladder.map(({ species, common, standIn }) => (
          <MenuItem key={species} value={species}>
            {common}, {standIn.toFixed(0)}
          </MenuItem>
        ))}
        <MenuItem value={NONE_YET}>none yet</MenuItem>
      </TextField>
    </Box>
  )
}
