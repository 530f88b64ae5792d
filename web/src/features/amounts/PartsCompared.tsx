import Box from '@mui/material/Box'
import Typography from '@mui/material/Typography'
import type { Brief, PartCompared, PartsCompared as Compared, TakenFish } from '@tender-gill/contract'
import { Link } from 'react-router'
import { WorthBar } from '../../drawings/WorthBar.tsx'
import { nameQuestion, useAnswer, useSheet } from '../../engine/index.ts'
import { formatMassPrice } from '../../reader/index.ts'
import { INK } from '../../theme.ts'

/** A price so near is the same to a buyer. */
const SAME = 0.02

function describeWorth({ worthPerKg, asked, because }: PartCompared, { perKg, currency, part: reference }: Compared): string {
  if (worthPerKg === null) return because ?? 'It does not give this cut.'
  if (worthPerKg <= 0) return `At no price as good here as the ${reference}: what it lacks is not money.`
  const worth = `Worth ${formatMassPrice(worthPerKg, currency)} here`
  const against = Math.abs(worthPerKg / perKg - 1) < SAME ? `, as much as the ${reference}` : ''
  if (asked === null) return `${worth}${against}: the better buy below that.`
  return `${worth}${against}; asked ${formatMassPrice(asked, currency)}: ${asked <= worthPerKg ? 'the better buy' : 'too dear for it'}.`
}

/** Which of the parts to ask for, in words; nothing where no other part comes into question. */
function describeAnswer({ parts, part, currency }: Compared): string {
  const [best] = parts.filter(({ worthPerKg }) => worthPerKg !== null && worthPerKg > 0)
  if (!best?.worthPerKg) return `Ask for the ${part}: no other part does this dish as well.`
  return `Ask for the ${best.part} where it costs less than ${formatMassPrice(best.worthPerKg, currency)}, else for the ${part}.`
}

interface Props {
  readonly brief: Brief
  readonly taken: TakenFish
}

/** What the other parts of the fish are worth for the dish, beside the one that is taken: drawn to its price. */
export function PartsCompared({ brief, taken }: Props) {
  const sheet = useSheet(brief.date)
  const key = nameQuestion({ brief, taken, parts: true })
  const answer = useAnswer(sheet, key, (desk) => desk.parts(brief, taken))?.value
  if (!answer) return <Typography>Without a price of it, what another part would be worth cannot be said.</Typography>
  if (answer.parts.length === 0) return <Typography>It is sold as one part alone.</Typography>
  const most = Math.max(answer.perKg, ...answer.parts.map(({ worthPerKg }) => worthPerKg ?? 0))
  return (
    <>
      <Typography sx={{ fontWeight: 700 }}>{describeAnswer(answer)}</Typography>
      <Typography variant="body2" color="text.secondary" gutterBottom>
        Against the {answer.part} at {formatMassPrice(answer.perKg, answer.currency)}, the line on each bar.
      </Typography>
      <Box component="ul" aria-label="What the parts are worth" sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {answer.parts.map((part) => (
          <Box component="li" key={part.offerId} sx={{ borderTop: `1px solid ${INK.hairline}`, py: 0.75 }}>
            <Typography sx={{ fontWeight: 700 }}>{part.part}</Typography>
            <WorthBar worth={part.worthPerKg ?? 0} price={answer.perKg} most={most} label={describeWorth(part, answer)} />
            <Typography variant="body2">{describeWorth(part, answer)}</Typography>
          </Box>
        ))}
      </Box>
      <Typography variant="body2" sx={{ mt: 0.5 }}>
        <Link to={`/fish/${encodeURIComponent(taken.species)}`}>Which of your dishes the others do best</Link>
      </Typography>
    </>
  )
}
