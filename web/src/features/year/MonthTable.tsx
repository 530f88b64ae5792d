import Box from '@mui/material/Box'
import { alpha } from '@mui/material/styles'
import useMediaQuery from '@mui/material/useMediaQuery'
import { visuallyHidden } from '@mui/utils'
import type { YearOfDish } from '@tender-gill/contract'
import { nameMonth } from '../../reader/index.ts'
import { HEADING, INK } from '../../theme.ts'
import { isAmongBest } from './yearWords.ts'

interface RowProps {
  readonly name: string
  readonly fits: readonly (number | null)[]
  readonly month: number
  readonly strong?: boolean
}

/** Below this a fit is no answer: as pale as nothing. */
const PALE = 40
const shade = (fit: number | null): string =>
  fit === null ? 'transparent' : alpha(INK.kelp, Math.max(0, (fit - PALE) / (100 - PALE)) * 0.55)

/** One line of twelve: the fuller the month, the better; the best underlined, none as a stroke. */
function MonthRow({ name, fits, month, strong = false }: RowProps) {
  const narrow = useMediaQuery('(max-width: 600px)')
  const label = (
    <Box
      component="th"
      scope="row"
      colSpan={narrow ? fits.length : 1}
      sx={{ textAlign: 'left', fontWeight: strong ? 700 : 400, pr: 1, pt: narrow ? 1 : 0, fontSize: 15 }}
    >
      {name}
    </Box>
  )
  const cells = (
    <>
      {fits.map((fit, i) => (
        <Box
          component="td"
          key={i}
          sx={{
            background: shade(fit),
            borderLeft: `1px solid ${INK.ice}`,
            borderBottom: `4px solid ${isAmongBest(fits, fit) ? INK.squid : 'transparent'}`,
            outline: i + 1 === month ? `2px solid ${INK.roe}` : 'none',
            outlineOffset: -2,
            textAlign: 'center',
            fontFamily: HEADING,
            fontWeight: isAmongBest(fits, fit) ? 700 : 400,
            fontSize: { xs: 13, md: 15 },
            height: strong ? 40 : 32,
            p: 0,
          }}
        >
          {fit === null ? (
            <>
              <span aria-hidden>–</span>
              <span style={visuallyHidden}>cannot</span>
            </>
          ) : (
            fit.toFixed(0)
          )}
        </Box>
      ))}
    </>
  )
  return narrow ? (
    <>
      <tr>{label}</tr>
      <tr>{cells}</tr>
    </>
  ) : (
    <tr>
      {label}
      {cells}
    </tr>
  )
}

/** How good each month is for the dish, and for each of its fish: fit of 100, the best months underlined, that of the dish framed. */
export function MonthTable({ year, dish, month }: { readonly year: YearOfDish; readonly dish: string; readonly month: number }) {
  const narrow = useMediaQuery('(max-width: 600px)')
  return (
    <Box component="table" sx={{ width: '100%', borderCollapse: 'collapse', tableLayout: 'fixed', my: 1.5 }}>
      <caption style={visuallyHidden}>Fit of 100 in each month</caption>
      {!narrow && (
        <colgroup>
          <Box component="col" sx={{ width: 190 }} />
        </colgroup>
      )}
      <thead>
        <tr>
          {!narrow && <td />}
          {year.months.map(({ month: at }) => (
            <Box component="th" key={at} scope="col" sx={{ fontSize: 13, fontWeight: at === month ? 700 : 400, color: INK.slate, p: 0 }}>
              <span aria-hidden>{nameMonth(at).slice(0, 1)}</span>
              <span style={visuallyHidden}>{nameMonth(at)}</span>
            </Box>
          ))}
        </tr>
      </thead>
      <tbody>
        <MonthRow strong name={dish} fits={year.months.map(({ best }) => best)} month={month} />
        {year.fish.map(({ species, common }, i) => (
          <MonthRow key={species} name={common} fits={year.months.map(({ fits }) => fits[i] ?? null)} month={month} />
        ))}
      </tbody>
    </Box>
  )
}
