import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import MenuItem from '@mui/material/MenuItem'
import Paper from '@mui/material/Paper'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import type { Method, SwapFish, SwapMap } from '@tender-gill/contract'
import { METHODS } from '@tender-gill/contract/vocabulary'
import { FORMAT_LABEL, METHOD_LABEL } from '../../reader/index.ts'
import { useMemo, useState } from 'react'
import { Link, useSearchParams } from 'react-router'
import { useAnswer, useSheet, useOffers } from '../../engine/index.ts'
import { FishSearch } from '../../parts/fishSearch/index.ts'
import { Waiting } from '../../parts/Waiting.tsx'
import { HEADING, INK } from '../../theme.ts'
import { fishPath } from '../../parts/bookWords.ts'
import { SwapDrawing } from './SwapDrawing.tsx'
import { describeParting } from './swapWords.ts'

const FIRST_METHOD: Method = 'grill'
interface SideProps {
  readonly map: SwapMap
  /** Every pair is compared: who stands in for whom is known both ways. */
  readonly whole: boolean
  readonly centre: SwapFish
  readonly onWalk: (species: string) => void
}

function Neighbours({ map, centre, onWalk }: Omit<SideProps, 'whole'>) {
  return (
    <Box component="ol" aria-label={`Stand-ins for ${centre.common}, nearest first`} sx={{ listStyle: 'none', p: 0, m: 0 }}>
      {centre.neighbours.map((link) => {
        const fish = map.fish[link.to]
        if (!fish) return null
        return (
          <Box
            component="li"
            key={fish.species}
            sx={{
              display: 'grid',
              gridTemplateColumns: '44px minmax(0, 1fr)',
              columnGap: 1,
              alignItems: 'center',
              borderTop: `1px solid ${INK.hairline}`,
              py: 0.5,
            }}
          >
            <Box sx={{ fontFamily: HEADING, fontWeight: 700, fontSize: 20 }}>{link.standIn.toFixed(0)}</Box>
            <div>
              <Button
                onClick={() => onWalk(fish.species)}
                sx={{ p: 0, minWidth: 0, minHeight: 28, justifyContent: 'start', textAlign: 'left' }}
              >
                {fish.common}
              </Button>
              <Typography variant="body2" color="text.secondary">
                {fish.offer}; {link.alike.toFixed(0)} alike, fit {fish.fit.toFixed(0)}; {describeParting(link)}
              </Typography>
            </div>
          </Box>
        )
      })}
    </Box>
  )
}

/** Fish that have this one among their own stand-ins. */
function StandsInFor({ map, whole, centre, onWalk }: SideProps) {
  const here = map.fish.indexOf(centre)
  const those = map.fish.filter(({ neighbours }) => neighbours.some(({ to }) => to === here))
  const lead = those.filter(({ neighbours }) => neighbours[0]?.to === here).length
  return (
    <section aria-labelledby="stands-in-for">
      <Typography id="stands-in-for" component="h2" variant="h3" sx={{ mt: 2 }}>
        {!whole
          ? 'Whom it stands in for is being worked out'
          : those.length === 0
            ? 'It is nobody’s near stand-in'
            : `It stands in for ${those.length} fish${lead > 0 ? `, first for ${lead}` : ''}`}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 0.5 }}>
        {(whole ? those : []).map(({ species, common }) => (
          <Button key={species} size="small" onClick={() => onWalk(species)} sx={{ minWidth: 0, px: 0.75 }}>
            {common}
          </Button>
        ))}
      </Box>
    </section>
  )
}

/** Which fish stand in for which, in one way of cooking: one fish in the middle, its neighbours round it, a walk from one to the next. */
export default function SwapMapPage() {
  const [search, setSearch] = useSearchParams()
  const sheet = useSheet()
  const asked = search.get('method')
  const method = METHODS.find((one) => one === asked) ?? FIRST_METHOD
  const species = search.get('fish')
  const key = sheet ? `${sheet.name}|swaps|${method}` : null
  // What is drawn round one fish first, then every pair; what stands there stays while another way of cooking is asked for.
  const roundKey = key && `${key}|${species ?? ''}`
  const round = useAnswer(sheet, roundKey, async (desk) => await desk.swapMap(method, species))
  const isRound = round !== undefined && round.key === roundKey
  const [begun, setBegun] = useState<string | null>(null)
  if (isRound && begun !== key) setBegun(key)
  const every = useAnswer(sheet, begun === key ? key : null, async (desk) => await desk.swapMap(method))
  const isWhole = every !== undefined && every.key === key
  const answer = isWhole || !isRound ? (every ?? round) : round
  const whole = answer !== round
  const map = answer?.value.ok ? answer.value.value : undefined
  const able = map?.fish.filter(({ sentence }) => sentence === null) ?? []
  const best = able.reduce<SwapFish | undefined>((first, fish) => (!first || fish.fit > first.fit ? fish : first), undefined)
  const centre = map?.fish.find((fish) => fish.species === species) ?? best
  const offers = useOffers(
    useMemo(
      () => (map && centre ? [centre.offerId, ...centre.neighbours.flatMap(({ to }) => map.fish[to]?.offerId ?? [])] : []),
      [map, centre],
    ),
    undefined,
  )
  const go = (next: { fish?: string; method?: Method }) =>
    setSearch({ method: next.method ?? method, ...((next.fish ?? centre?.species) ? { fish: next.fish ?? centre?.species ?? '' } : {}) })
  if (!map || !centre) return <Waiting what="every pair of fish" shape="chart" />
  const walk = (fish: string) => go({ fish })
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1.5,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1.6fr) minmax(0, 1fr)' },
        alignItems: 'start',
        mt: 1,
      }}
    >
      <Paper component="section" aria-label="The map" sx={{ p: 2 }}>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center', mb: 1 }}>
          <Typography variant="h1" sx={{ flex: 1, minWidth: 260 }}>
            Instead of {centre.common}
          </Typography>
          <TextField
            select
            size="small"
            label="Cooked"
            value={method}
            onChange={({ target }) => go({ method: target.value as Method })}
            sx={{ width: 200 }}
          >
            {METHODS.map((one) => (
              <MenuItem key={one} value={one}>
                {METHOD_LABEL[one]}
              </MenuItem>
            ))}
          </TextField>
        </Box>
        {centre.sentence && (
          <Typography variant="body2" sx={{ borderLeft: `4px solid ${INK.brass}`, pl: 1, mb: 1 }}>
            It does not do this itself: {centre.sentence}
          </Typography>
        )}
        <Box sx={{ display: { xs: 'none', sm: 'block' } }}>
          <SwapDrawing map={map} centre={centre} offers={offers} onWalk={walk} />
        </Box>
        <Typography variant="body2" color="text.secondary" sx={{ display: { xs: 'none', sm: 'block' } }}>
          The nearer the more alike; thick lines do the dish best; a broken line goes one way only: the fish in the middle is not among the
          eight nearest of that one.
        </Typography>
      </Paper>
      <Paper component="section" aria-label="The same in words" sx={{ p: 2 }}>
        <FishSearch label="Walk to another fish" onPick={walk} />
        <Typography variant="body2" color="text.secondary" sx={{ my: 1 }}>
          {able.length} of {map.fish.length} fish do it {METHOD_LABEL[method].toLowerCase()} from {FORMAT_LABEL[map.brief.format]}. For a
          dish of yours, with its diners and its day, ask for stand-ins there.{' '}
          <Link to={fishPath(centre.species)}>{centre.common} in the book</Link>
        </Typography>
        <Neighbours map={map} centre={centre} onWalk={walk} />
        <StandsInFor map={map} whole={whole} centre={centre} onWalk={walk} />
      </Paper>
    </Box>
  )
}
