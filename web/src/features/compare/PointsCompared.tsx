import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { RankedFish } from '@tender-gill/contract'
import { ASK_LABEL, formatMoney } from '../../reader/index.ts'
import { HEADING, INK } from '../../theme.ts'

/** Hatchings tell the traits apart in black and white too. */
const TONES = [INK.slate, INK.tide, INK.brass, INK.dulse, INK.kelp, '#7F9298', '#A9B7BB'] as const

/** What each fish lost and on what: bars of points that add up to what is missing to 100. */
export function PointsCompared({ rows }: { readonly rows: readonly RankedFish[] }) {
  const traits = [...new Set(rows.flatMap(({ pointsLost }) => pointsLost.map(({ trait }) => trait)))]
  const toneOf = (trait: (typeof traits)[number]) => TONES[traits.indexOf(trait) % TONES.length] ?? INK.slate
  return (
    <Box component="ul" aria-label="Points each loses" sx={{ listStyle: 'none', p: 0, m: 0 }}>
      {rows.map((row) => (
        <Box
          component="li"
          key={row.species}
          sx={{ borderTop: `1px solid ${INK.hairline}`, py: 1, display: 'grid', gridTemplateColumns: '170px minmax(0, 1fr)', columnGap: 2 }}
        >
          <div>
            <Typography sx={{ fontWeight: 700 }}>{row.common}</Typography>
            <Typography variant="body2">
              <b style={{ fontFamily: HEADING, fontSize: 18 }}>{row.fit.toFixed(1)}</b> = 100 − {(100 - row.fit).toFixed(1)}
            </Typography>
            <Typography variant="body2" color="text.secondary">
              {row.portionCost ? `${formatMoney(row.portionCost.typical, row.portionCost.currency)} a portion` : 'no price'}
            </Typography>
          </div>
          <div>
            <svg viewBox="0 0 400 14" width="100%" height={14} preserveAspectRatio="none" aria-hidden>
              <rect x={0} y={0} width={row.fit * 4} height={14} fill={INK.brine} stroke={INK.kelp} strokeWidth={0.5} />
              {row.pointsLost.map(({ trait, points }, i) => {
                const before = row.pointsLost.slice(0, i).reduce((sum, lost) => sum + lost.points, 0)
                return (
                  <rect
                    key={trait}
                    x={(row.fit + before) * 4}
                    y={0}
                    width={points * 4}
                    height={14}
                    fill={toneOf(trait)}
                    stroke={INK.ice}
                    strokeWidth={0.8}
                  />
                )
              })}
            </svg>
            <Typography variant="body2">
              {row.pointsLost.length === 0
                ? 'Loses nothing.'
                : row.pointsLost.map(({ trait, points }, i) => (
                    <span key={trait}>
                      {i > 0 && ', '}
                      <svg width={10} height={10} aria-hidden>
                        <rect width={10} height={10} fill={toneOf(trait)} />
                      </svg>{' '}
                      {ASK_LABEL[trait].toLowerCase()} {points.toFixed(1)}
                    </span>
                  ))}
            </Typography>
          </div>
        </Box>
      ))}
    </Box>
  )
}
