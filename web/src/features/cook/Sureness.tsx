import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Cook } from '@tender-gill/contract'
import { sayMinutes } from './cookWords.ts'

const WORDS: Record<Cook['sensitivity'][number]['what'], readonly [string, string]> = {
  thickness: ['a tenth thinner', 'a tenth thicker'],
  start: ['5 °C colder at the start', '5 °C warmer at the start'],
  target: ['4 °C less in the middle', '4 °C more in the middle'],
  heat: ['heat a twentieth weaker', 'heat a twentieth stronger'],
}

/** What the minutes rest on, and what they hang on most. */
export function Sureness({ cook }: { readonly cook: Cook }) {
  const { composition, properties, sensitivity, startC, depthMm } = cook
  return (
    <>
      <Typography>
        Heat led through {depthMm.toFixed(0)} mm of flesh from {startC} °C: {(100 * composition.fat).toFixed(0)} % fat,{' '}
        {(100 * composition.water).toFixed(0)} % water; conducts {properties.conductivity.toFixed(2)} W/(m K), diffusivity{' '}
        {(properties.diffusivity * 1e7).toFixed(2)}·10⁻⁷ m²/s (Choi and Okos). Times are good to a fifth: shrinking, bones, a crowded pan
        and a cooling one are not in the model. Check the middle.
      </Typography>
      <Box component="ul" sx={{ m: 0, mt: 1, pl: 2.5 }}>
        {sensitivity.map(({ what, less, more }) => (
          <li key={what}>
            {WORDS[what][0]}: {less === null ? 'never there' : sayMinutes(less)}; {WORDS[what][1]}:{' '}
            {more === null ? 'never there' : sayMinutes(more)}
          </li>
        ))}
      </Box>
    </>
  )
}
