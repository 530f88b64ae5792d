import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import InputAdornment from '@mui/material/InputAdornment'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import type { Form, Origin, Part, PriceUnit, ResolvedOffer, State } from '@tender-gill/contract'
import { FORM_LABEL } from '../../reader/index.ts'
import { Link } from 'react-router'
import { FleshPrint } from '../../drawings/FleshPrint.tsx'
import { INK } from '../../theme.ts'
import { findMistakes, type TypedFish } from './seenParams.ts'

interface Props {
  readonly fish: TypedFish
  readonly offers: readonly ResolvedOffer[]
  readonly currency: string
  readonly main: boolean
  readonly onChange: (patch: Partial<TypedFish>) => void
  readonly onRemove: (() => void) | null
}

const kindOf = ({ origin, state, part }: Pick<ResolvedOffer, 'origin' | 'state' | 'part'>) => `${origin}|${state}|${part}`
const isSaid = ({ origin, state, part }: TypedFish, offer: ResolvedOffer): boolean =>
  (origin || offer.origin) === offer.origin && (state || offer.state) === offer.state && (part || offer.part) === offer.part
const UNIT_WORDS: Readonly<Record<PriceUnit, string>> = { kg: 'a kilo', lb: 'a pound', each: 'each', box: 'a box' }

interface FieldProps {
  readonly label: string
  readonly value: string
  readonly onType: (text: string) => void
  readonly mistake: string | undefined
  readonly unit?: string
}

const NumberField = ({ label, value, onType, mistake, unit }: FieldProps) => (
  <TextField
    size="small"
    label={label}
    value={value}
    onChange={(event) => onType(event.target.value)}
    error={Boolean(mistake)}
    helperText={mistake}
    slotProps={{
      htmlInput: { inputMode: 'decimal' },
      input: unit ? { endAdornment: <InputAdornment position="end">{unit}</InputAdornment> } : {},
      inputLabel: { shrink: true },
    }}
  />
)

/** One fish that was seen: which it is, how it lies there, what its ticket and the scales say. Nothing needs to be filled in. */
export function SeenCard({ fish, offers, currency, main, onChange, onRemove }: Props) {
  const [first] = offers
  if (!first) return null
  const said = offers.filter((offer) => isSaid(fish, offer))
  const shown = said[0] ?? first
  const kind = fish.origin && fish.state && fish.part ? `${fish.origin}|${fish.state}|${fish.part}` : ''
  const forms = [...new Set((said.length > 0 ? said : offers).flatMap((offer) => offer.forms.map(({ form }) => form)))]
  const mistakes = findMistakes(fish)
  const setKind = (value: string) => {
    const [origin = '', state = '', part = ''] = value.split('|')
    onChange({ origin: origin as Origin | '', state: state as State | '', part: part as Part | '' })
  }
  const waits = fish.form === '' && (fish.price !== '' || fish.eachG !== '')
  return (
    <Box
      component="section"
      aria-label={first.common}
      sx={{ borderTop: main ? undefined : `1px solid ${INK.hairline}`, pt: main ? 0 : 1.5 }}
    >
      <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) auto', gap: 1, alignItems: 'center' }}>
        <div>
          <Typography component={main ? 'h1' : 'h2'} variant={main ? 'h1' : 'h2'}>
            {first.common}
          </Typography>
          <Typography variant="body2" color="text.secondary">
            <i>{first.species}</i>, {first.family}. <Link to={`/book/${encodeURIComponent(first.species)}`}>In the book</Link>
          </Typography>
        </div>
        <Box sx={{ textAlign: 'center', fontSize: 13 }}>
          <FleshPrint offer={shown} name={`${shown.common}, ${shown.label}`} />
          <div>{shown.traits.fat.typical} g fat</div>
        </Box>
      </Box>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: 'minmax(0, 1fr) minmax(0, 1fr)',
          columnGap: 1,
          rowGap: 1.5,
          mt: 1.5,
          '& .MuiInputBase-root': { minHeight: { xs: 44, md: 40 } },
        }}
      >
        <TextField
          size="small"
          select
          label="Which of it"
          value={offers.some((offer) => kindOf(offer) === kind) ? kind : ''}
          onChange={(event) => setKind(event.target.value)}
          slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
        >
          <MenuItem value="">not said</MenuItem>
          {offers.map((offer) => (
            <MenuItem key={offer.id} value={kindOf(offer)}>
              {offer.label}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          size="small"
          select
          label="How it lies there"
          value={forms.includes(fish.form as Form) ? fish.form : ''}
          onChange={(event) => onChange({ form: event.target.value as Form | '' })}
          slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
          error={waits}
          helperText={waits ? 'say it, for price and weight to count' : undefined}
        >
          <MenuItem value="">not said</MenuItem>
          {forms.map((form) => (
            <MenuItem key={form} value={form}>
              {FORM_LABEL[form]}
            </MenuItem>
          ))}
        </TextField>
        <NumberField label={`Price, ${currency}`} value={fish.price} onType={(price) => onChange({ price })} mistake={mistakes.price} />
        <TextField
          size="small"
          select
          label="For"
          value={fish.unit}
          onChange={(event) => onChange({ unit: event.target.value as PriceUnit })}
          slotProps={{ inputLabel: { shrink: true } }}
        >
          {(Object.entries(UNIT_WORDS) as [PriceUnit, string][]).map(([unit, words]) => (
            <MenuItem key={unit} value={unit}>
              {words}
            </MenuItem>
          ))}
        </TextField>
        <NumberField label="One weighs" unit="g" value={fish.eachG} onType={(eachG) => onChange({ eachG })} mistake={mistakes.eachG} />
        <NumberField label="How many" value={fish.pieces} onType={(pieces) => onChange({ pieces })} mistake={mistakes.pieces} />
      </Box>
      {onRemove && (
        <Button size="small" onClick={onRemove} aria-label={`Leave ${first.common} out`} sx={{ mt: 0.5 }}>
          Leave it out
        </Button>
      )}
    </Box>
  )
}
