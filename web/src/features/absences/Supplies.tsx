import Box from '@mui/material/Box'
import InputAdornment from '@mui/material/InputAdornment'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import type { SupplyUse } from '@tender-gill/contract'
import { INK } from '../../theme.ts'
import { joinWords } from '../../parts/dishWords.ts'
import { parseKilos } from './absenceParams.ts'
import { formatMass } from '../../reader/index.ts'

interface Props {
  readonly supplies: readonly SupplyUse[]
  readonly typed: ReadonlyMap<string, string>
  readonly onType: (species: string, text: string | null) => void
}

function describeUse({ wantedBy, wantedKg, dishes, neededKg, kg }: SupplyUse): string {
  const wanted = wantedBy.length > 0 ? `${formatMass(wantedKg * 1000)} would do for ${joinWords(wantedBy)}` : 'nobody’s first wish'
  return kg === null
    ? `${wanted}.`
    : `${wanted}. As settled: ${formatMass(neededKg * 1000)}${dishes.length > 0 ? ` for ${joinWords(dishes)}` : ''}.`
}

/** What can be had of each stand-in, where that is little: the dishes that fall on it are settled together. */
export function Supplies({ supplies, typed, onType }: Props) {
  const shared = supplies.filter(({ wantedBy }) => wantedBy.length > 1).map(({ common }) => common)
  return (
    <section aria-labelledby="supplies">
      <Typography id="supplies" component="h2" variant="h2">
        Is any of it scarce?
      </Typography>
      <Typography variant="body2" color="text.secondary" gutterBottom>
        {shared.length > 0 ? `Several dishes fall on ${joinWords(shared)}. ` : ''}
        Type what there is, and all dishes are settled together so that the covers lose least. Empty: there is plenty.
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {supplies.map((use) => {
          const text = typed.get(use.species) ?? ''
          const wrong = text !== '' && parseKilos(text) === undefined
          return (
            <Box
              component="li"
              key={use.species}
              sx={{
                display: 'grid',
                gridTemplateColumns: 'minmax(0, 1fr) 130px',
                gap: 1.5,
                alignItems: 'center',
                borderTop: `1px solid ${INK.hairline}`,
                py: 1,
              }}
            >
              <div>
                <Typography component="h3" variant="h3">
                  {use.common}
                </Typography>
                <Typography variant="body2">{describeUse(use)}</Typography>
              </div>
              <TextField
                size="small"
                label="There is"
                value={text}
                error={wrong}
                helperText={wrong ? 'an amount, as 6.5' : undefined}
                onChange={({ target }) => onType(use.species, target.value === '' ? null : target.value)}
                slotProps={{
                  htmlInput: { inputMode: 'decimal', 'aria-label': `There is, of ${use.common}` },
                  input: { endAdornment: <InputAdornment position="end">kg</InputAdornment> },
                  inputLabel: { shrink: true },
                }}
              />
            </Box>
          )
        })}
      </Box>
    </section>
  )
}
