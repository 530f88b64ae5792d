import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Amounts, Brief } from '@tender-gill/contract'
import { FORM_LABEL, describeMass, formatMass } from '../../reader/index.ts'

const percent = (share: number): string => `${Math.round(share * 100)} %`
type Factor = Amounts['factors'][number]

const FACTOR_WORDS: Readonly<Record<Factor['name'], (form: string) => string>> = {
  form: (form) => `Kept from ${form}`,
  trim: () => 'Kept in trimming',
  thaw: () => 'Kept in thawing',
  glaze: () => 'Fish in the weight, ice apart',
  cooking: () => 'Kept in cooking',
}
const describeFactor = ({ low, typical, high }: Factor): string =>
  low === high ? percent(typical) : `${percent(typical)} (${percent(low)} to ${percent(high)})`

/** The figures behind the weight, each with its range. */
export function Workings({ amounts, brief }: { readonly amounts: Amounts; readonly brief: Brief }) {
  const { portionBasis = 'cooked', covers = 1 } = brief
  const { portions, needG, factors, kept, form } = amounts
  // What loses nothing is not told, but for the cut itself.
  const told = factors.filter(({ name, typical }) => name === 'form' || typical < 1)
  const rows: readonly (readonly [string, string])[] = [
    ['Portions', `${portions.toFixed(1)} for ${covers} covers (a child counts 0.6)`],
    ['On the plates', `${formatMass(needG)}, ${describeMass(needG / portions)} ${portionBasis} a portion`],
    ...told.map((factor): readonly [string, string] => [FACTOR_WORDS[factor.name](FORM_LABEL[form]), describeFactor(factor)]),
    ['Kept of what is bought', percent(Math.exp(kept.mean))],
  ]
  return (
    <>
      <Box component="dl" sx={{ display: 'grid', gridTemplateColumns: 'max-content 1fr', columnGap: 2, rowGap: 0.5, m: 0 }}>
        {rows.map(([term, value]) => (
          <Box key={term} sx={{ display: 'contents' }}>
            <Typography component="dt" color="text.secondary">
              {term}
            </Typography>
            <Typography component="dd" sx={{ m: 0 }}>
              {value}
            </Typography>
          </Box>
        ))}
      </Box>
      <Typography variant="body2" color="text.secondary" sx={{ mt: 1 }}>
        Yields are compiled averages with their ranges, not measured in this kitchen. The weight is such that it falls short no more often
        than is said. What work costs and what the rest of the fish is worth to you are set in the house.
      </Typography>
    </>
  )
}
