import Box from '@mui/material/Box'
import MenuItem from '@mui/material/MenuItem'
import TextField from '@mui/material/TextField'
import Typography from '@mui/material/Typography'
import type { Amounts, Body, RestUsed } from '@tender-gill/contract'
import { REST_USED } from '@tender-gill/contract/vocabulary'
import { CutMap, type MappedPart } from '../../drawings/CutMap.tsx'
import { formatMass, formatMoney } from '../../reader/index.ts'
import { HEADING, INK } from '../../theme.ts'
import { useRestUses, type Goes } from './useRestUses.ts'

const isUsed = (part: string): part is RestUsed => (REST_USED as readonly string[]).includes(part)
const NOWHERE = 'nowhere'
const BROTH = 'broth'

interface WhereToProps {
  readonly part: RestUsed
  readonly goes: Goes
  readonly others: readonly { readonly id: string; readonly dish: string }[]
  readonly onSet: (goes: Goes) => void
}

/** Where one part goes: into broth, to another dish, or nowhere yet. */
function WhereTo({ part, goes, others, onSet }: WhereToProps) {
  return (
    <TextField
      select
      size="small"
      label={`The ${part} goes`}
      value={goes === null ? NOWHERE : goes.kind === 'broth' ? BROTH : goes.id}
      onChange={({ target }) =>
        onSet(target.value === NOWHERE ? null : target.value === BROTH ? { kind: 'broth' } : { kind: 'serving', id: target.value })
      }
      sx={{ gridColumn: '2 / -1', my: 0.75, maxWidth: 260 }}
    >
      <MenuItem value={NOWHERE}>nowhere yet</MenuItem>
      <MenuItem value={BROTH}>into broth</MenuItem>
      {others.map(({ id, dish }) => (
        <MenuItem key={id} value={id}>
          to {dish}
        </MenuItem>
      ))}
    </TextField>
  )
}

/** The heaviest first; what is lost last, for it is on no map. */
const inOrder = ({ rest }: Amounts): Amounts['rest'] =>
  [...rest].sort((a, b) => Number(a.part === 'loss') - Number(b.part === 'loss') || b.g - a.g)

/** What of the fish does not go into the pan: where each part sits, its weight, its uses, and what must not be eaten. */
export function RestOfFish({ amounts, body, servingId }: { readonly amounts: Amounts; readonly body: Body; readonly servingId: string }) {
  const { goesOf, set, others, coming } = useRestUses(servingId)
  const { cost, buy, never } = amounts
  const rest = inOrder(amounts)
  const used = rest.reduce((sum, { g, uses }) => sum + (uses.length > 0 ? g : 0), 0)
  const assigned = rest.reduce((sum, { g, part, uses }) => sum + (uses.length > 0 && goesOf(part) !== null ? g : 0), 0)
  const restG = rest.reduce((sum, { g }) => sum + g, 0)
  const drawn = rest.some(({ part }) => part === 'head' || part === 'frame')
  const mapped: readonly MappedPart[] = [
    { part: 'pan', of: 'pan', number: null },
    ...rest.map(({ part, uses }, i): MappedPart => ({
      part,
      of: uses.length > 0 ? 'use' : 'none',
      number: part === 'loss' ? null : i + 1,
    })),
  ]
  return (
    <>
      {rest.length === 0 && <Typography>All of it goes into the pan.</Typography>}
      <Typography gutterBottom sx={{ display: rest.length === 0 ? 'none' : 'block' }}>
        <b>{formatMass(restG)}</b> of {formatMass(buy.g)} does not go into the pan; <b>{formatMass(used)}</b> of it is of use
        {assigned > 0 && `, ${formatMass(assigned)} goes somewhere, ${formatMass(used - assigned)} is left over`}.
      </Typography>
      {drawn && (
        <CutMap
          body={body}
          parts={mapped}
          label={`Where the parts sit: ${rest
            .filter(({ part }) => part !== 'loss')
            .map(({ part, g }, i) => `${i + 1} ${part}, ${formatMass(g)}`)
            .join('; ')}`}
        />
      )}
      <Box component="ul" aria-label="The rest of the fish" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {rest.map(({ part, g, uses, worth }, i) => (
          <Box
            component="li"
            key={part}
            sx={{
              borderTop: `1px solid ${INK.hairline}`,
              py: 0.5,
              display: 'grid',
              gridTemplateColumns: '24px minmax(0, 1fr) auto',
              columnGap: 1,
            }}
          >
            <Box component="span" aria-hidden sx={{ fontFamily: HEADING, fontWeight: 700 }}>
              {part === 'loss' || !drawn ? '' : i + 1}
            </Box>
            <Typography sx={{ fontWeight: 700 }}>{part === 'loss' ? 'lost: ice and drip' : part}</Typography>
            <Typography>
              {formatMass(g)}
              {worth !== null && cost ? `, ${formatMoney(worth, cost.currency)}` : ''}
            </Typography>
            <Typography variant="body2" color="text.secondary" sx={{ gridColumn: '2 / -1' }}>
              {uses.length > 0 ? uses.join('; ') : part === 'loss' ? 'paid for, and gone' : 'of no use'}
            </Typography>
            {uses.length > 0 && isUsed(part) && (
              <WhereTo part={part} goes={goesOf(part)} others={others} onSet={(goes) => set(part, goes)} />
            )}
          </Box>
        ))}
      </Box>
      {coming.length > 0 && (
        <Typography sx={{ borderLeft: `5px solid ${INK.kelp}`, pl: 1.25, mt: 1.5 }}>
          Comes to this dish: {coming.map(({ part, from }) => `${part} of ${from}`).join('; ')}.
        </Typography>
      )}
      {never.length > 0 && (
        <Box component="section" aria-label="What must not be eaten" sx={{ borderLeft: `5px solid ${INK.dulse}`, pl: 1.25, mt: 1.5 }}>
          <Typography component="h3" variant="h3">
            Not to be eaten
          </Typography>
          {never.map(({ sentence }) => (
            <Typography key={sentence} variant="body2">
              {sentence}
            </Typography>
          ))}
        </Box>
      )}
    </>
  )
}
