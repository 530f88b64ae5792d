import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { ServingRecord, DishForSeen, SeenRow } from '@tender-gill/contract'
import { FORM_LABEL, formatMassToBuy, formatMoney } from '../../reader/index.ts'
import { Link } from 'react-router'
import { HEADING, INK } from '../../theme.ts'
import { nameCautions } from '../../parts/dishWords.ts'
import { describeSupply } from './supply.ts'

/** A fit as it stands at the end of a row. */
export const FitFigure = ({ value, large = false }: { readonly value: number | null; readonly large?: boolean }) => (
  <Box sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: large ? 44 : 24, lineHeight: 1, textAlign: 'right' }}>
    {value === null ? 'no' : value.toFixed(0)}
  </Box>
)

export const SEEN_ROW = {
  display: 'grid',
  gridTemplateColumns: 'minmax(0, 1fr) auto',
  columnGap: 2,
  py: 1,
  borderTop: `1px solid ${INK.hairline}`,
  alignItems: 'center',
} as const

function Money({ row, covers }: { readonly row: SeenRow; readonly covers: number }) {
  const supply = describeSupply(row, covers)
  if (!row.portionCost && !supply) return null
  return (
    <Typography variant="body2" sx={{ fontWeight: 700 }}>
      {row.portionCost && `${formatMoney(row.portionCost.typical, row.portionCost.currency)} a portion. `}
      {supply}
    </Typography>
  )
}

interface RowProps {
  readonly dish: DishForSeen
  readonly record: ServingRecord
  readonly first: boolean
  readonly several: boolean
}

function DishRow({ dish, record, first, several }: RowProps) {
  const [best, ...others] = dish.rows
  if (!best) return null
  const { covers = 1 } = record.brief
  const cautions = nameCautions(best.cautions.map(({ kind }) => kind))
  return (
    <Box component="li" sx={{ ...SEEN_ROW, borderLeft: `5px solid ${first && best.fit !== null ? INK.roe : 'transparent'}`, pl: 1.5 }}>
      <div>
        <Typography component="h3" variant={first ? 'h2' : 'h3'}>
          <Link to={`/dishes/${record.id}/line-up`} style={{ color: INK.squid }}>
            {dish.name}
          </Link>
        </Typography>
        <Typography variant="body2" color="text.secondary">
          {several && <b>{best.common}, </b>}
          {best.offer}; {FORM_LABEL[best.form]}: {best.place ? `number ${best.place} of ${best.of}. ` : 'left out. '}
          {best.sentence}
        </Typography>
        {best.fit !== null && <Money row={best} covers={covers} />}
        {best.fit !== null && first && (
          <Typography variant="body2">
            The dish takes {formatMassToBuy(best.buyG)} of it for {covers} {covers === 1 ? 'cover' : 'covers'}.
          </Typography>
        )}
        {cautions !== '' && best.fit !== null && (
          <Typography variant="body2" sx={{ color: 'warning.main', fontWeight: 700 }}>
            Caution: {cautions}
          </Typography>
        )}
        {others.length > 0 && (
          <Typography variant="body2" color="text.secondary">
            {others.map(({ common, fit }) => `${common} ${fit === null ? 'cannot' : fit.toFixed(0)}`).join(', ')}
          </Typography>
        )}
      </div>
      <FitFigure value={best.fit} large={first} />
    </Box>
  )
}

interface Props {
  readonly dishes: readonly DishForSeen[]
  readonly records: readonly ServingRecord[]
  readonly several: boolean
}

/** The kitchen's dishes for fish that were seen, the one they do best first. */
export const DishesForSeen = ({ dishes, records, several }: Props) => (
  <Box component="ol" aria-label="Your dishes for it" sx={{ listStyle: 'none', p: 0, m: 0 }}>
    {dishes.map((dish, i) => {
      const record = records[dish.dish]
      return record ? <DishRow key={record.id} dish={dish} record={record} first={i === 0} several={several} /> : null
    })}
  </Box>
)
