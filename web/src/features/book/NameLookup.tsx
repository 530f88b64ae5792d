import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import Typography from '@mui/material/Typography'
import { ASK_LABEL } from '../../reader/index.ts'
import { Link } from 'react-router'
import { FleshPrint } from '../../drawings/FleshPrint.tsx'
import type { BookRow, BookTrait } from '../../engine/bookRows.ts'
import type { FishHit, SharedName } from '@tender-gill/names'
import { INK } from '../../theme.ts'
import { TRAIT_STEPS, describeFlesh, stepOf } from './bookFilter.ts'
import { MOST_COMPARED, comparePath, fishPath } from '../../parts/bookWords.ts'

const TOLD: readonly BookTrait[] = ['firmness', 'flake', 'fat', 'flavour', 'bones', 'tolerance', 'weight']

/** Traits on which fish of one name are not the same. */
export const listDifferences = (rows: readonly BookRow[]): readonly BookTrait[] =>
  TOLD.filter((trait) => new Set(rows.map((row) => stepOf(trait, row.traits[trait]))).size > 1)

const COUNT = ['', '', 'Two', 'Three', 'Four', 'Five', 'Six', 'Seven', 'Eight', 'Nine', 'Ten']

/** A market name that covers several species: who they are, side by side, and in what they differ. */
export function NameLookup({ shared, rows }: { readonly shared: SharedName; readonly rows: readonly BookRow[] }) {
  const found = shared.species.flatMap((species) => rows.find((row) => row.species === species) ?? [])
  const differences = listDifferences(found)
  return (
    <Paper component="section" aria-label={`Sold as ${shared.name}`} sx={{ p: 2, mb: 1.5, borderLeft: `5px solid ${INK.brass}` }}>
      <Typography variant="h2">
        {COUNT[found.length] ?? found.length} species are sold as “{shared.name}”
      </Typography>
      <Typography gutterBottom>
        {differences.length > 0
          ? `They differ in ${differences.map((trait) => (trait === 'weight' ? 'size' : ASK_LABEL[trait].toLowerCase())).join(', ')}. `
          : 'Their flesh is much alike. '}
        Ask for the scientific name.
      </Typography>
      <Box
        component="ul"
        sx={{ listStyle: 'none', p: 0, m: 0, display: 'grid', gap: 1.5, gridTemplateColumns: 'repeat(auto-fill, minmax(190px, 1fr))' }}
      >
        {found.map((row) => (
          <Box component="li" key={row.species} sx={{ borderTop: `1px solid ${INK.hairline}`, pt: 1 }}>
            <FleshPrint offer={row.print} name={row.common} size="medium" />
            <Typography component="h3" variant="h3">
              <Link to={fishPath(row.species)} style={{ color: INK.squid }}>
                {row.common}
              </Link>
            </Typography>
            <Typography variant="body2" color="text.secondary">
              <i>{row.species}</i>
            </Typography>
            <Typography variant="body2">{describeFlesh(row)}</Typography>
            <Typography variant="body2">
              Whole: {TRAIT_STEPS.weight.words[['low', 'middle', 'high'].indexOf(stepOf('weight', row.traits.weight))]}
            </Typography>
            {row.warnings.length > 0 && (
              <Typography variant="body2" sx={{ color: 'warning.main', fontWeight: 700 }}>
                Caution: {row.warnings.join(', ')}
              </Typography>
            )}
          </Box>
        ))}
      </Box>
      <Button component={Link} to={comparePath(shared.species.slice(0, MOST_COMPARED))} sx={{ mt: 1 }}>
        Set them side by side
      </Button>
    </Paper>
  )
}

const MOST_NEAR = 4

/** A name that is not shared: the fish it finds, or that none goes by it. */
export function NameAlone({ name, hits }: { readonly name: string; readonly hits: readonly FishHit[] }) {
  return (
    <Paper component="section" aria-label={`Sold as ${name}`} role="status" sx={{ p: 2, mb: 1.5 }}>
      {hits.length === 0 ? (
        <Typography>No fish of the book is sold as “{name}”. Below are all of them.</Typography>
      ) : (
        <Typography>
          “{name}” finds{' '}
          {hits.slice(0, MOST_NEAR).map(({ species, common }, i) => (
            <span key={species}>
              {i > 0 && ', '}
              <Link to={fishPath(species)} style={{ color: INK.squid }}>
                {common}
              </Link>
            </span>
          ))}
          .
        </Typography>
      )}
    </Paper>
  )
}
