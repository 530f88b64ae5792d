import Box from '@mui/material/Box'
import type { Form, ResolvedOffer } from '@tender-gill/contract'
import { FLESH_KEYS } from '@tender-gill/contract/vocabulary'
import { Link } from 'react-router'
import { ASK_LABEL, FORM_LABEL } from '../reader/index.ts'
import { INK } from '../theme.ts'
import { sayLearnt } from './entryWords.ts'

const percent = (share: number): string => `${Math.round(100 * share)}`

/** Every learnt value of a fish that speaks here, each said as the house's, with one press to the entries behind it; nothing where nothing is learnt. */
export function HouseSays({ offer, form }: { readonly offer: ResolvedOffer; readonly form?: Form }) {
  const traits = FLESH_KEYS.flatMap((trait) => {
    const { learnt, ...house } = offer.traits[trait]
    return learnt ? [{ key: trait, words: `${ASK_LABEL[trait]}, ${sayLearnt(trait, house, learnt)}`, kinds: 'served' }] : []
  })
  const yields = offer.forms.flatMap(({ form: sold, yieldOfWhole, learnt }) =>
    learnt && (form === undefined || sold === form)
      ? [
          {
            key: sold,
            words: `${FORM_LABEL[sold]}, house: ${percent(yieldOfWhole.typical)} of 100 of the whole fish, the book ${percent(learnt.book.typical)}, from ${learnt.n} weighed`,
            kinds: 'weighed',
          },
        ]
      : [],
  )
  const all = [...traits, ...yields]
  if (all.length === 0) return null
  return (
    <Box
      component="ul"
      aria-label="What the house has learnt"
      sx={{ listStyle: 'none', m: 0, p: 0, pl: 1, borderLeft: `4px solid ${INK.roe}` }}
    >
      {all.map(({ key, words, kinds }) => (
        <li key={key}>
          <Link to={`/house-book/entries?offerId=${encodeURIComponent(offer.id)}&kinds=${kinds}`}>{words}</Link>
        </li>
      ))}
    </Box>
  )
}
