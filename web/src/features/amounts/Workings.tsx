import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Amounts, Brief } from '@tender-gill/contract'
import { FORM_LABEL, describeMass, formatMass, formatMoney } from '../../reader/index.ts'
import { INK } from '../../theme.ts'

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
        than is said. Labour is not counted. What the rest of the fish is worth to you is set in the house.
      </Typography>
    </>
  )
}

/** What of the fish does not go into the pan: each part with its weight and its uses, drawn to one scale. */
export function RestOfFish({ amounts }: { readonly amounts: Amounts }) {
  const { rest, cost } = amounts
  const most = Math.max(...rest.map(({ shareOfBought }) => shareOfBought), 0.01)
  if (rest.length === 0) return <Typography>All of it goes into the pan.</Typography>
  return (
    <Box component="ul" aria-label="The rest of the fish" sx={{ listStyle: 'none', p: 0, m: 0 }}>
      {[...rest]
        .sort((a, b) => b.g - a.g)
        .map(({ part, g, shareOfBought, uses, worth }) => (
          <Box component="li" key={part} sx={{ borderTop: `1px solid ${INK.hairline}`, py: 0.5 }}>
            <Box sx={{ display: 'flex', gap: 1, alignItems: 'baseline' }}>
              <Typography sx={{ flex: 1, fontWeight: 700 }}>{part === 'loss' ? 'lost: ice and drip' : part}</Typography>
              <Typography>
                {formatMass(g)}
                {worth !== null && cost ? `, ${formatMoney(worth, cost.currency)}` : ''}
              </Typography>
            </Box>
            <Box
              aria-hidden
              sx={{ height: 5, width: `${(100 * shareOfBought) / most}%`, bgcolor: uses.length > 0 ? INK.kelp : INK.hairline }}
            />
            <Typography variant="body2" color="text.secondary">
              {uses.length > 0 ? uses.join('; ') : part === 'liver' ? 'not eaten, unless it is known to be safe' : 'of no use'}
            </Typography>
          </Box>
        ))}
    </Box>
  )
}
