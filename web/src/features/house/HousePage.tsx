import Alert from '@mui/material/Alert'
import Box from '@mui/material/Box'
import Button from '@mui/material/Button'
import Paper from '@mui/material/Paper'
import { styled } from '@mui/material/styles'
import Typography from '@mui/material/Typography'
import type { BandKey, HouseLeanings, TextureKey } from '@tender-gill/contract'
import { TEXTURE_KEYS } from '@tender-gill/contract/vocabulary'
import { ASK_LABEL } from '@tender-gill/core'
import { useState } from 'react'
import { toProblemDetails, useLeaningsQuery, useSaveLeaningsMutation } from '../../api/api.ts'
import { Waiting } from '../../shell/Waiting.tsx'
import { INK } from '../../theme.ts'
import { PullDots } from '../lineUp/PullDots.tsx'

const Pick = styled('select')({ font: 'inherit', minHeight: 40, border: `1px solid ${INK.slate}`, borderRadius: 4, background: INK.ice })

type Asks = NonNullable<HouseLeanings['asks']>

/** The leanings with one ask's weight set, or left to the method again. */
export function setLeaning(leanings: HouseLeanings, key: BandKey, pull: number | null): HouseLeanings {
  const { [key]: before, ...others } = leanings.asks ?? {}
  const { pull: _pull, ...rest } = before ?? {}
  const ask = pull === null ? rest : { ...rest, pull }
  const asks: Asks = Object.keys(ask).length > 0 ? { ...others, [key]: ask } : others
  const { asks: _asks, ...kept } = leanings
  return Object.keys(asks).length > 0 ? { ...kept, asks } : kept
}

function LeaningRow({
  trait,
  pull,
  onSet,
}: {
  readonly trait: TextureKey
  readonly pull: number | undefined
  readonly onSet: (pull: number | null) => void
}) {
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr auto', sm: '200px 130px 1fr' },
        columnGap: 2,
        alignItems: 'center',
        borderTop: `1px solid ${INK.hairline}`,
        minHeight: 44,
      }}
    >
      <Typography sx={{ fontWeight: pull === undefined ? 400 : 700 }}>{ASK_LABEL[trait]}</Typography>
      <PullDots name={ASK_LABEL[trait]} pull={pull ?? 0} onChange={onSet} />
      {pull === undefined ? (
        <Typography variant="body2" color="text.secondary">
          as each method has it
        </Typography>
      ) : (
        <Button
          size="small"
          sx={{ justifySelf: 'start' }}
          onClick={() => onSet(null)}
          aria-label={`${ASK_LABEL[trait]} as each method has it`}
        >
          matters {pull} of 5 here; as each method has it
        </Button>
      )}
    </Box>
  )
}

/** How the house leans: what matters more or less here than elsewhere, and how far fish is cooked. Each dish may say otherwise. */
export default function HousePage() {
  const { data } = useLeaningsQuery()
  const [save] = useSaveLeaningsMutation()
  const [failure, setFailure] = useState<string>()
  if (!data) return <Waiting what="the house" />
  const keep = async (leanings: HouseLeanings) => {
    const answer = await save({ revision: data.revision, input: { leanings } })
    setFailure(
      'error' in answer && answer.error ? (toProblemDetails(answer.error)?.detail ?? 'It could not be kept. Try again.') : undefined,
    )
  }
  const { leanings } = data
  const setDoneness = (value: string) => {
    const { doneness: _before, ...rest } = leanings
    void keep(value === 'moist' ? { ...rest, doneness: 'moist' } : rest)
  }
  return (
    <Paper component="section" aria-label="How the house leans" sx={{ p: 3, mt: 1, maxWidth: 760 }}>
      <Typography variant="h1" gutterBottom>
        How the house leans
      </Typography>
      <Typography gutterBottom>
        Good cooks disagree. What is set here holds for every dish whose method asks for it, and a dish may still say otherwise. A line-up
        says when a leaning changed its order.
      </Typography>
      {failure && <Alert severity="error">{failure}</Alert>}
      <label>
        <Typography component="span" sx={{ fontWeight: 700, display: 'block', mt: 1 }}>
          How far it is cooked
        </Typography>
        <Pick value={leanings.doneness ?? 'set'} onChange={(event) => setDoneness(event.target.value)}>
          <option value="set">set: 63 °C in the middle, the guideline</option>
          <option value="moist">moist: taken out sooner, with a caution</option>
        </Pick>
      </label>
      <Typography variant="body2" color="text.secondary">
        Moist never holds for children, pregnant, elderly or immunocompromised diners.
      </Typography>
      <Typography variant="h2" sx={{ mt: 3 }} gutterBottom>
        What matters here
      </Typography>
      <Box component="ul" aria-label="What matters here" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {TEXTURE_KEYS.map((trait) => (
          <LeaningRow
            key={trait}
            trait={trait}
            pull={leanings.asks?.[trait]?.pull}
            onSet={(pull) => void keep(setLeaning(leanings, trait, pull))}
          />
        ))}
      </Box>
    </Paper>
  )
}
